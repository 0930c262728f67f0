package dev.lonja.desk.takeback;

import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.find.ScannedItems;
import dev.lonja.desk.ledger.Corrections;
import dev.lonja.desk.ledger.Postings;
import dev.lonja.desk.ledger.Salvage;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.tray.Tray;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Parts that came off the machine of a tray. What nobody keeps is waste; what somebody keeps goes
 * into its home bin as a lot under the machine's code.
 */
final class RemovedParts {

  private final Session session;
  private final Sent sent;
  private final Tray tray;
  private final StoreClock clock;

  RemovedParts(Session session, Sent sent, Tray tray, StoreClock clock) {
    this.session = session;
    this.sent = sent;
    this.tray = tray;
    this.clock = clock;
  }

  /** Where a part came off that may be kept, since a new one went there. */
  static List<TakeBackDesk.Removed> of(Session session, Tray tray) {
    List<TakeBackDesk.Removed> removed = new ArrayList<>();
    for (TrayLine line : tray.lines()) {
      boolean replaced =
          line.positionId().isPresent()
              && line.laid().isPositive()
              && line.laid().measure() == Measure.PIECES;
      if (replaced) {
        Item item = session.items().byId(line.askedItemId()).orElseThrow();
        if (Salvage.refusal(session, item).isEmpty()) {
          removed.add(new TakeBackDesk.Removed(line, item));
        }
      }
    }
    return removed;
  }

  /** Why what somebody keeps cannot have come off so. */
  List<Refusal> judge(TakeBackDesk.Notes notes) {
    List<Refusal> refusals = new ArrayList<>();
    notes.kept().forEach((id, kept) -> judge(id, kept, notes).ifPresent(refusals::add));
    return refusals;
  }

  private Optional<Refusal> judge(long lineId, TakeBackDesk.Kept kept, TakeBackDesk.Notes notes) {
    Optional<TrayLine> line = line(lineId);
    if (line.isEmpty()) {
      return Optional.of(new TrayRefusal.NothingCameOff(lineId));
    }
    if (line.get().taskId().map(notes.outcomes()::get).filter(this::isNotDone).isPresent()) {
      return Optional.of(new TrayRefusal.KeptWithoutWork(lineId));
    }
    Quantity pieces = Quantity.of(Measure.PIECES, kept.pieces());
    if (!pieces.isPositive() || !pieces.isCountable() || pieces.compareTo(line.get().laid()) > 0) {
      return Optional.of(new TrayRefusal.MoreCameOff(lineId, pieces, line.get().laid()));
    }
    List<Item> items = ScannedItems.of(session, kept.number());
    if (items.size() != 1) {
      return Optional.of(
          items.isEmpty()
              ? new TrayRefusal.KeptUnknown(lineId, kept.number())
              : new TrayRefusal.KeptOfSeveralMakes(lineId, kept.number(), items));
    }
    return Salvage.refusal(session, items.get(0))
        .map(waste -> new TrayRefusal.KeptWaste(lineId, items.get(0)));
  }

  private boolean isNotDone(TaskOutcome outcome) {
    return outcome instanceof TaskOutcome.NotDone;
  }

  private Optional<TrayLine> line(long id) {
    return of(session, tray).stream()
        .map(TakeBackDesk.Removed::line)
        .filter(line -> line.id() == id)
        .findFirst();
  }

  /** Puts what was judged on the shelf. */
  void keep(TakeBackDesk.Notes notes) {
    int lineNo = 1;
    for (Map.Entry<Long, TakeBackDesk.Kept> one : new TreeMap<>(notes.kept()).entrySet()) {
      TakeBackDesk.Kept kept = one.getValue();
      Item item = ScannedItems.of(session, kept.number()).get(0);
      Salvage salvage =
          new Salvage(
              item,
              kept.condition(),
              Quantity.of(Measure.PIECES, kept.pieces()),
              item.homeBin().id(),
              tray.unit().orElseThrow().code(),
              notes.day(),
              Money.zero(session.settings().currency()));
      String place = line(one.getKey()).orElseThrow().place();
      Booking booking = salvage.booking(session);
      Postings.write(session, item.id(), booking, posting("came off: " + place), lineNo);
      lineNo += ((Booking.Booked) booking).lines().size();
    }
  }

  /** Takes what was kept off the shelf again; refused if it has left it meanwhile. */
  Outcome undo(String reason) {
    int lineNo = 1;
    for (PastMovement kept : session.pastMovements().salvagedOf(tray.number())) {
      Booking booking = Corrections.of(session, kept.key().itemId(), List.of(kept));
      Outcome written =
          Postings.write(session, kept.key().itemId(), booking, posting(reason), lineNo++);
      if (written instanceof Outcome.Refused) {
        return written;
      }
    }
    return Outcome.done();
  }

  private Posting posting(String reason) {
    return new Posting(reason, tray.number(), sent.key(), sent.actor(), clock.now());
  }
}
