package dev.lonja.web.tray;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.Item;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.SignOff;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.fluid.FluidAdvice;
import dev.lonja.web.fluid.ReasonWording;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A tray's line that goes into a compartment: what the rules say of the fluid that is to lie there.
 *
 * @param product what is to lie there
 * @param signOff the signature it stands on, if it needed one
 */
public record FluidLine(
    TrayLine line,
    Compartment compartment,
    Product product,
    Suitability verdict,
    Optional<SignOff> signOff) {

  /** Empty for parts, and for fluids that are on the tray for no compartment of the unit. */
  public static Optional<FluidLine> of(
      Session session, FluidBook book, UnitNeeds needs, TrayLine line) {
    Optional<Compartment> compartment =
        line.compartmentId()
            .flatMap(
                id -> needs.compartments().stream().filter(c -> c.id().equals(id)).findFirst());
    Optional<Product> product = session.items().byId(line.itemId()).flatMap(Item::product);
    return compartment.isEmpty() || product.isEmpty()
        ? Optional.empty()
        : Optional.of(
            new FluidLine(
                line,
                compartment.get(),
                product.get(),
                book.verdict(compartment.get().spec(), product.get().id()),
                session.pours().ofTrayLine(line.id())));
  }

  /** The same as of a day. */
  static Optional<FluidLine> of(Session session, TrayId trayId, TrayLine line, LocalDate today) {
    if (line.compartmentId().isEmpty()) {
      return Optional.empty();
    }
    UnitId unit = session.trays().byId(trayId).orElseThrow().unitId();
    return of(
        session,
        FluidBook.load(session, today),
        FleetPicture.load(session, today).needs(unit),
        line);
  }

  /** A fluid that no compartment of its kind takes without a word is not put on by hand. */
  static Optional<String> refusalByHand(Session session, Tray tray, Item item, LocalDate today) {
    List<Spec> places =
        FleetPicture.load(session, today).needs(tray.unitId()).compartments().stream()
            .map(Compartment::spec)
            .filter(spec -> item.product().filter(p -> p.kind() == spec.kind()).isPresent())
            .toList();
    FluidBook book = FluidBook.load(session, today);
    boolean allowed =
        places.stream()
            .anyMatch(
                spec -> book.verdict(spec, item.product().orElseThrow().id()).overall().isFree());
    return places.isEmpty() || allowed
        ? Optional.empty()
        : Optional.of(
            "No compartment of "
                + tray.unitCode()
                + " takes it without a signature. "
                + FluidAdvice.refusal(book, places.get(0), item)
                + " To sign for it, choose it on the compartment's own line.");
  }

  /** True if somebody has to sign before it is laid. */
  public boolean lacksSignature() {
    return !verdict.overall().isFree() && signOff.isEmpty();
  }

  /** "It needs a signature: lacks CV 41.2." or who has signed; empty if it is simply allowed. */
  public String words() {
    if (signOff.isPresent()) {
      return "signed by " + signOff.get().signedBy() + ": " + signOff.get().why();
    }
    return lacksSignature()
        ? "needs a signature: " + String.join("; ", ReasonWording.against(verdict))
        : "";
  }

  /** That the machine takes something else by now; empty if it does not. */
  String keeps(Session session) {
    Optional<Product> now =
        compartment.itemId().flatMap(id -> session.items().byId(id)).flatMap(Item::product);
    Optional<Product> asked = session.items().byId(line.askedItemId()).flatMap(Item::product);
    boolean differs =
        now.isPresent() && asked.isPresent() && !now.get().id().equals(asked.get().id());
    return differs
        ? "The machine takes "
            + now.get().display()
            + " by now; this tray keeps "
            + asked.get().display()
            + "."
        : "";
  }
}
