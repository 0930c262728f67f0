package dev.lonja.web.tray;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.Reading;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.ledger.PackedIssue;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.book.LedgerWording;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.meter.ReadingWording;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/**
 * Hands trays over, takes unused parts back and undoes a hand-over. Handing over issues every line,
 * notes the meters and records the tasks as done, all in one transaction.
 */
@Service
@Allowed.ToKeepStore
public class HandOverDesk {

  private static final int LONGEST_NAME = 60;

  private final OnceOnly once;
  private final StoreClock clock;

  /**
   * What the hand-over form brings.
   *
   * @param version of the tray when the form was shown
   * @param meters by meter id, as typed
   */
  public record Form(long version, String mechanic, Map<MeterId, String> meters) {}

  public HandOverDesk(OnceOnly once, StoreClock clock) {
    this.once = once;
    this.clock = clock;
  }

  @Allowed.ToKeepStore
  public Outcome handOver(Sent sent, TrayId trayId, Form form) {
    return once.run(
        sent,
        session -> {
          Optional<Tray> tray = session.trays().byId(trayId);
          if (tray.isEmpty() || !tray.get().isOpen()) {
            return Outcome.refused(Problem.ofWhole("This tray is not open any more."));
          }
          return new HandOver(session, tray.get(), sent).run(form);
        });
  }

  /** Takes part of an item back that went out with the tray. */
  @Allowed.ToKeepStore
  public Outcome takeBack(Sent sent, TrayId trayId, ItemId itemId, String quantity) {
    return once.run(
        sent,
        session -> {
          Tray tray = session.trays().byId(trayId).orElseThrow();
          List<PastMovement> issued =
              session.ledger().issuesOf(tray.number()).getOrDefault(itemId, List.of());
          Typed typed = new Typed();
          Optional<BigDecimal> amount = typed.decimal("back", "The quantity", quantity);
          if (amount.isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          ItemStock stock = session.ledger().stockOf(itemId);
          Booking booking =
              Ledger.takeBack(stock, issued, Quantity.of(stock.measure(), amount.get()));
          Posting posting = posting(tray, sent, "unused, came back");
          return LedgerWording.write(
              session, itemId, booking, posting, 1, TrayDesk.path(trayId), "back");
        });
  }

  /** Undoes a hand-over by correcting movements; the tray is open again with nothing laid. */
  @Allowed.ToKeepStore
  public Outcome undo(Sent sent, TrayId trayId, long version, String reason) {
    return once.run(sent, session -> undo(session, trayId, version, reason, sent));
  }

  private Outcome undo(Session session, TrayId trayId, long version, String reason, Sent sent) {
    Tray tray = session.trays().byId(trayId).orElseThrow();
    Typed typed = new Typed();
    Optional<String> why = typed.text("reason", "The reason", reason, 200);
    if (why.isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    if (tray.state() != Tray.State.HANDED_OVER || !session.trays().reopen(trayId, version)) {
      return Outcome.refused(
          Problem.ofWhole("The tray has changed since this page was shown. Look at it again."));
    }
    session.trays().unlayAll(trayId);
    session.services().withdrawOfTray(trayId, why.get(), sent.actor(), clock.now());
    session.records().withdrawFillsOf(trayId, why.get(), sent.actor(), clock.now());
    Posting posting = posting(tray, sent, why.get());
    int lineNo = 1;
    for (Map.Entry<ItemId, List<PastMovement>> issues :
        new TreeMap<>(session.ledger().issuesOf(tray.number())).entrySet()) {
      for (PastMovement issue : issues.getValue()) {
        if (issue.stillOut().isZero()) {
          continue;
        }
        Booking booking = Ledger.correct(session.ledger().stockOf(issues.getKey()), List.of(issue));
        Outcome written =
            LedgerWording.write(session, issues.getKey(), booking, posting, lineNo++, "", "");
        if (written instanceof Outcome.Refused) {
          return written;
        }
      }
    }
    return new Outcome.Done(TrayDesk.path(trayId));
  }

  private Posting posting(Tray tray, Sent sent, String reason) {
    return new Posting(reason, tray.number(), sent.key(), sent.actor(), clock.now());
  }

  /** One hand-over within its transaction. */
  private final class HandOver {
    private final Session session;
    private final Tray tray;
    private final Sent sent;
    private final LocalDate today = clock.today();
    private final Typed typed = new Typed();

    HandOver(Session session, Tray tray, Sent sent) {
      this.session = session;
      this.tray = tray;
      this.sent = sent;
    }

    Outcome run(Form form) {
      Optional<String> mechanic =
          typed.text("mechanic", "The mechanic's name", form.mechanic(), LONGEST_NAME);
      if (tray.lines().stream().anyMatch(line -> !line.isLaid())) {
        typed.refuse("", "Not every line is laid. Lay the rest, or leave it out.");
      }
      FleetPicture fleet = FleetPicture.load(session, today);
      Map<MeterId, MeterValue> meters = readMeters(fleet, form.meters());
      if (!typed.problems().isEmpty()) {
        return new Outcome.Refused(typed.problems());
      }
      if (!session.trays().handOver(tray.id(), form.version(), mechanic.orElseThrow(), today)) {
        return Outcome.refused(
            Problem.ofWhole(
                "The tray has changed since this form was shown; what is on it now stands above. "
                    + "Look it through and hand over again."));
      }
      Outcome issued = issueLines(mechanic.orElseThrow());
      if (issued instanceof Outcome.Refused) {
        return issued;
      }
      meters.forEach(this::addReading);
      recordTasks(fleet, meters);
      return issued;
    }

    private Map<MeterId, MeterValue> readMeters(
        FleetPicture fleet, Map<MeterId, String> typedMeters) {
      Map<MeterId, MeterValue> values = new LinkedHashMap<>();
      for (MeterStanding meter : metersOfTray(fleet, tray)) {
        MeterId id = meter.file().meter().id();
        String field = MeterEntry.field(id);
        String text = typedMeters.getOrDefault(id, "");
        MeterEntry.value(typed, field, "The meter reading", text, meter.file().meter().measure())
            .ifPresent(
                value -> {
                  judge(meter, field, value);
                  values.put(id, value);
                });
      }
      return values;
    }

    private void judge(MeterStanding meter, String field, MeterValue value) {
      JudgedReading judged = judged(meter, value);
      if (!judged.accepted()) {
        typed.refuse(field, ReadingWording.why(judged));
      }
    }

    private JudgedReading judged(MeterStanding meter, MeterValue value) {
      Reading reading = new Reading(Long.MAX_VALUE, today, Optional.of(clock.now()), value);
      return FleetPicture.judged(session, meter).logWith(reading).judgementOf(reading);
    }

    private Outcome issueLines(String mechanic) {
      Posting posting = posting(tray, sent, "handed over to " + mechanic);
      Map<ItemId, Quantity> heldElsewhere = session.ledger().heldBesides(tray.id());
      Map<ItemId, Quantity> amounts = new TreeMap<>();
      for (TrayLine line : tray.lines()) {
        amounts.merge(line.itemId(), line.laid(), Quantity::plus);
      }
      int lineNo = 1;
      for (Map.Entry<ItemId, Quantity> amount : amounts.entrySet()) {
        Quantity none = Quantity.zero(amount.getValue().measure());
        Quantity held = heldElsewhere.getOrDefault(amount.getKey(), none);
        Booking booking = PackedIssue.of(session, amount.getKey(), amount.getValue(), held, today);
        Outcome written =
            LedgerWording.write(session, amount.getKey(), booking, posting, lineNo, "", "");
        if (written instanceof Outcome.Refused) {
          return written;
        }
        lineNo += ((Booking.Booked) booking).lines().size();
      }
      return new Outcome.Done(TrayDesk.path(tray.id()));
    }

    private void addReading(MeterId meterId, MeterValue value) {
      Reading reading = new Reading(0, today, Optional.of(clock.now()), value);
      session
          .readings()
          .add(meterId, reading, ReadingRepository.Source.HAND_OVER, sent.actor(), clock.now());
    }

    private void recordTasks(FleetPicture fleet, Map<MeterId, MeterValue> meters) {
      for (TaskStanding standing : fleet.tasks().get(tray.unitId())) {
        Task task = standing.task();
        if (tray.taskIds().contains(task.id())) {
          session
              .services()
              .addDone(
                  tray.unitId(),
                  task.id(),
                  today,
                  task.meterId().map(id -> fleet.meters().get(id).life(meters.get(id))),
                  tray.id(),
                  sent.actor(),
                  clock.now());
        }
      }
    }
  }

  /** The meters that the tray's tasks count by. */
  static List<MeterStanding> metersOfTray(FleetPicture fleet, Tray tray) {
    return fleet.tasks().get(tray.unitId()).stream()
        .map(TaskStanding::task)
        .filter(task -> tray.taskIds().contains(task.id()))
        .flatMap(task -> task.meterId().stream())
        .distinct()
        .map(id -> fleet.meters().get(id))
        .toList();
  }
}
