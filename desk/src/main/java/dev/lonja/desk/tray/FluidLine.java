package dev.lonja.desk.tray;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.SignOff;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.Optional;

/**
 * A tray's line that goes into a compartment: what the rules say of the fluid that is to lie there.
 *
 * @param product what is to lie there
 * @param signOff the signature it stands on, if it needed one
 * @param takenNow what the machine takes by now, where that is another than what the tray keeps
 * @param asked what the tray was asked to bring
 */
public record FluidLine(
    TrayLine line,
    Compartment compartment,
    Product product,
    Suitability verdict,
    Optional<SignOff> signOff,
    Optional<Product> takenNow,
    Optional<Product> asked) {

  /** Empty for parts, and for fluids that are on the tray for no compartment of the unit. */
  public static Optional<FluidLine> of(
      FluidBook book, UnitNeeds needs, TrayLine line, Optional<SignOff> signOff) {
    Optional<Compartment> compartment =
        line.compartmentId()
            .flatMap(
                id -> needs.compartments().stream().filter(c -> c.id().equals(id)).findFirst());
    Optional<Product> product = book.productOf(line.itemId());
    if (compartment.isEmpty() || product.isEmpty()) {
      return Optional.empty();
    }
    Optional<Product> asked = book.productOf(line.askedItemId());
    return Optional.of(
        new FluidLine(
            line,
            compartment.get(),
            product.get(),
            book.verdict(compartment.get().spec(), product.get().id()),
            signOff,
            compartment
                .get()
                .itemId()
                .flatMap(book::productOf)
                .filter(now -> asked.filter(a -> !a.id().equals(now.id())).isPresent()),
            asked));
  }

  /** The same as of a day. */
  static Optional<FluidLine> of(Session session, Tray tray, TrayLine line, LocalDate today) {
    return line.compartmentId().isEmpty()
        ? Optional.empty()
        : of(
            FluidBook.load(session, today),
            TrayMachine.of(FleetPicture.load(session, today), tray).needs(),
            line,
            session.pours().ofTrayLine(line.id()));
  }

  /** True if somebody has to sign before it is laid. */
  public boolean lacksSignature() {
    return !verdict.overall().isFree() && signOff.isEmpty();
  }
}
