package dev.lonja.desk.choice;

import dev.lonja.core.choice.PackChoice;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.FluidObjection;
import dev.lonja.desk.fluid.ShelfFluid;
import dev.lonja.desk.fluid.SignOffs;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.FluidLine;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.SignOff;
import dev.lonja.store.tray.Tray;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.springframework.stereotype.Service;

/**
 * What lies on a tray's line for a compartment: which packs of the product to take, which other
 * product, and who signs for one that the spec does not allow without a word.
 */
@Service
@Allowed.ToSeeStore
public class FluidChoiceDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public FluidChoiceDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * A line for a compartment on an open tray.
   *
   * @param packs which to take off the shelf; empty if they do not cover it
   * @param offers every product of the kind with its packs, the best verdict first
   */
  public record LineFile(
      Tray tray, FluidLine fluid, Optional<PackChoice.Choice> packs, List<Offer> offers) {

    /** True if the packs to take are others than the one that is asked for. */
    public boolean takesOthers() {
      return packs
          .filter(c -> !c.best().amounts().keySet().equals(Set.of(fluid.line().itemId())))
          .isPresent();
    }
  }

  /** A product with its packs and what of each is free. */
  public record Offer(ShelfFluid fluid, List<PackFree> packs) {}

  /** A pack with what of it is free. */
  public record PackFree(Item item, Quantity free) {}

  /** Why something is put on a line, and who answers for it; both may be empty where none asks. */
  public record Signature(Optional<String> why, Optional<String> signedBy) {}

  /** Why nothing was put on the line. */
  public sealed interface Refused extends Refusal {}

  /** The line is no longer on an open tray, or the item is no fluid. */
  public record Gone() implements Refused {}

  /** What is free on the shelf does not cover the line. */
  public record NotCovered() implements Refused {}

  /** It may not go in there at all. */
  public record MayNot(FluidObjection objection) implements Refused {}

  /** A reason is needed. */
  public record NeedsReason() implements Refused {}

  /** Somebody has to sign for it. */
  public record NeedsSigner() implements Refused {}

  /** An open tray's line for a compartment. */
  private record Target(Tray tray, FluidLine fluid, FluidBook book) {}

  private Optional<Target> target(Session session, TrayId trayId, long lineId) {
    Optional<Tray> tray = session.trays().byId(trayId).filter(Tray::isOpen);
    FluidBook book = FluidBook.load(session, clock.today());
    return tray.flatMap(
        t ->
            t.lines().stream()
                .filter(line -> line.id() == lineId && line.compartmentId().isPresent())
                .findFirst()
                .flatMap(
                    line ->
                        FluidLine.of(
                            book,
                            FleetPicture.load(session, clock.today())
                                .needs(t.unitId().orElseThrow()),
                            line,
                            session.pours().ofTrayLine(lineId)))
                .map(fluid -> new Target(t, fluid, book)));
  }

  /** Empty if the tray is not open, or the line is not one for a compartment. */
  public Optional<LineFile> line(TrayId trayId, long lineId) {
    return store.read(
        session -> target(session, trayId, lineId).map(target -> file(session, target)));
  }

  private LineFile file(Session session, Target target) {
    Spec spec = target.fluid().compartment().spec();
    return new LineFile(
        target.tray(),
        target.fluid(),
        packs(session, target),
        ShelfFluid.all(target.book(), spec, target.book().judge(spec)).stream()
            .map(fluid -> offer(target.book(), fluid))
            .toList());
  }

  private static Offer offer(FluidBook book, ShelfFluid fluid) {
    return new Offer(
        fluid,
        book.packs(fluid.product().id()).stream()
            .map(item -> new PackFree(item, book.freeOf(item)))
            .toList());
  }

  private Optional<PackChoice.Choice> packs(Session session, Target target) {
    return new ProductPacks(session, clock.today())
        .fromTheShelf(
            target.book(),
            target.fluid().product().id(),
            new Volume(target.fluid().line().wanted().millionths()),
            target.tray().plannedOn());
  }

  /** Puts the packs on the tray that cover the line best. */
  @Allowed.ToKeepStore
  public Outcome takePacks(Sent sent, TrayId trayId, long lineId) {
    return once.run(
        sent,
        session -> {
          Optional<Target> target = target(session, trayId, lineId);
          if (target.isEmpty()) {
            return Outcome.refused(new Gone());
          }
          Optional<PackChoice.Choice> choice = packs(session, target.get());
          if (choice.isEmpty()) {
            return Outcome.refused(new NotCovered());
          }
          split(session, target.get(), choice.get().best().amounts());
          session.trays().touch(trayId, target.get().tray().version());
          return Outcome.done();
        });
  }

  private static void split(Session session, Target target, Map<ItemId, Quantity> amounts) {
    TrayLine line = target.fluid().line();
    boolean first = true;
    for (Map.Entry<ItemId, Quantity> amount : amounts.entrySet()) {
      long id = line.id();
      if (first) {
        session.trayLines().setLaid(id, Quantity.zero(line.wanted().measure()));
        session.trayLines().setWanted(id, amount.getValue());
      } else {
        id =
            session
                .trayLines()
                .addLine(
                    target.tray().id(),
                    line.askedItemId(),
                    line.place(),
                    line.reason(),
                    amount.getValue(),
                    line.destination(),
                    line.taskId());
      }
      Optional<Long> signOff = session.trayLines().signOffOf(line.id());
      session.trayLines().substitute(id, amount.getKey(), otherPack(line, amount.getKey()));
      long lineId = id;
      signOff.ifPresent(s -> session.trayLines().setSignOff(lineId, s));
      first = false;
    }
  }

  /** Another pack of the same product needs no reason. */
  private static Optional<TrayLine.Substitution> otherPack(TrayLine line, ItemId itemId) {
    if (itemId.equals(line.askedItemId())) {
      return Optional.empty();
    }
    return line.substitution()
        .or(() -> Optional.of(new TrayLine.Substitution(line.askedItemId(), "")));
  }

  /**
   * Puts an item on the line, with a signature where the spec does not simply allow it.
   *
   * @param worded says a verdict as the one who signs was told it
   */
  @Allowed.ToKeepStore
  public Outcome lay(
      Sent sent,
      TrayId trayId,
      long lineId,
      ItemId itemId,
      Signature signature,
      Function<Suitability, String> worded) {
    return once.run(
        sent,
        session -> {
          Optional<Target> target = target(session, trayId, lineId);
          Optional<Item> item = session.items().byId(itemId).filter(i -> i.product().isPresent());
          if (target.isEmpty() || item.isEmpty()) {
            return Outcome.refused(new Gone());
          }
          return lay(session, sent, target.get(), item.get(), signature, worded);
        });
  }

  private Outcome lay(
      Session session,
      Sent sent,
      Target target,
      Item item,
      Signature signature,
      Function<Suitability, String> worded) {
    TrayLine line = target.fluid().line();
    Spec spec = target.fluid().compartment().spec();
    Suitability verdict = target.book().verdict(spec, item.product().orElseThrow().id());
    boolean asked = item.id().equals(line.askedItemId());
    List<Refused> refusals = objections(target.book(), spec, item, verdict, asked, signature);
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    session
        .trayLines()
        .substitute(
            line.id(),
            item.id(),
            asked
                ? Optional.empty()
                : Optional.of(
                    new TrayLine.Substitution(line.askedItemId(), signature.why().orElseThrow())));
    if (!verdict.overall().isFree()) {
      SignOff signOff =
          new SignOff(
              target.tray().unitId().orElseThrow(),
              target.fluid().compartment().id(),
              item.id(),
              Optional.of(target.tray().id()),
              SignOffs.shortened(worded.apply(verdict)),
              signature.signedBy().orElseThrow(),
              signature.why().orElseThrow(),
              sent.actor(),
              clock.now());
      session.trayLines().setSignOff(line.id(), SignOffs.add(session, sent, signOff));
    }
    session.trays().touch(target.tray().id(), target.tray().version());
    return Outcome.done();
  }

  private static List<Refused> objections(
      FluidBook book,
      Spec spec,
      Item item,
      Suitability verdict,
      boolean asked,
      Signature signature) {
    if (verdict.overall() == Level.NO) {
      return List.of(new MayNot(FluidObjection.of(book, spec, item)));
    }
    boolean signs = !verdict.overall().isFree();
    List<Refused> refusals = new ArrayList<>();
    if ((signs || !asked) && signature.why().isEmpty()) {
      refusals.add(new NeedsReason());
    }
    if (signs && signature.signedBy().isEmpty()) {
      refusals.add(new NeedsSigner());
    }
    return refusals;
  }
}
