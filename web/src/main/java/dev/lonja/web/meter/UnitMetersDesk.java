package dev.lonja.web.meter;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterNotes;
import dev.lonja.core.meter.MeterReplacement;
import dev.lonja.core.meter.Reading;
import dev.lonja.core.meter.ReadingLog;
import dev.lonja.core.meter.Ruling;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.fleet.FleetRepository;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Rules on readings, corrects them, notes exchanged meters and lay-ups of one unit. */
@Service
@Allowed.ToSeeMachines
public class UnitMetersDesk {

  private static final int LONGEST_REASON = 200;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  /**
   * What is to become of a reading.
   *
   * @param what accept, refuse or correct
   * @param value the right value, for a correction
   */
  public record ReadingForm(long readingId, String what, String value, String reason) {}

  /** An exchanged meter as typed. */
  public record ReplacementForm(
      MeterId meterId, String day, String end, String start, String reason) {}

  public UnitMetersDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** The page; empty for a unit that is not in service. */
  Optional<UnitMetersView> view(String code) {
    return store.read(
        session ->
            inService(session, code)
                .map(unit -> new UnitMetersPage(session, unit, clock.today()).view()));
  }

  private static Optional<Unit> inService(Session session, String code) {
    return session.fleet().unitByCode(code).filter(unit -> unit.retiredOn().isEmpty());
  }

  private List<JudgedMeter> meters(Session session, String code) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    return fleet.meters().values().stream()
        .filter(meter -> meter.file().unit().code().equals(code))
        .map(meter -> FleetPicture.judged(session, meter))
        .toList();
  }

  /** Accepts a reading, sets it aside, or enters another in its place. */
  @Allowed.ToKeepStore
  public Outcome decide(Sent sent, String code, ReadingForm form) {
    return once.run(
        sent,
        session -> {
          for (JudgedMeter meter : meters(session, code)) {
            Optional<JudgedReading> judged =
                meter.log().readings().stream()
                    .filter(r -> r.reading().id() == form.readingId())
                    .findFirst();
            if (judged.isPresent()) {
              return decide(session, sent, meter, judged.get().reading(), form);
            }
          }
          return Outcome.refused(Problem.ofWhole(code + " has no such reading."));
        });
  }

  private Outcome decide(
      Session session, Sent sent, JudgedMeter meter, Reading reading, ReadingForm form) {
    Typed typed = new Typed();
    Optional<String> reason = typed.text("reason", "The reason", form.reason(), LONGEST_REASON);
    if (form.what().equals("correct")) {
      return correct(session, sent, meter, reading, form, typed);
    }
    if (!form.what().equals("accept") && !form.what().equals("refuse")) {
      typed.refuse("what", "Choose whether to count it, set it aside or correct it.");
    }
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    boolean accepted = form.what().equals("accept");
    Ruling ruling =
        new Ruling(Long.MAX_VALUE, reading.id(), accepted, reason.orElseThrow(), sent.actor());
    ReadingLog then = ReadingLog.judge(meter.notes().with(ruling));
    JudgedReading judged = then.judgementOf(reading);
    if (judged.accepted() != accepted) {
      return Outcome.refused(Problem.ofWhole("It cannot count: " + ReadingWording.why(judged)));
    }
    session.readings().rule(ruling, clock.now());
    return done(meter);
  }

  private Outcome correct(
      Session session, Sent sent, JudgedMeter meter, Reading wrong, ReadingForm form, Typed typed) {
    boolean endsMeter =
        meter.notes().replacements().stream()
            .anyMatch(change -> change.endReadingId() == wrong.id());
    if (endsMeter) {
      return Outcome.refused(
          Problem.ofWhole("This reading ends a meter. Withdraw the exchange and note it anew."));
    }
    Optional<MeterValue> value =
        MeterEntry.value(
            typed, "value", "The right reading", form.value(), wrong.value().measure());
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    Reading right =
        new Reading(
            Long.MAX_VALUE, wrong.day(), wrong.at(), value.orElseThrow(), Optional.of(wrong.id()));
    List<String> objections = MeterEntry.objections(meter, right);
    if (!objections.isEmpty()) {
      return new Outcome.Refused(
          objections.stream().map(text -> new Problem("value", text)).toList());
    }
    long id =
        session
            .readings()
            .add(
                meter.standing().file().meter().id(),
                right,
                ReadingRepository.Source.ENTERED,
                sent.actor(),
                clock.now());
    audit(
        session,
        sent,
        meter.standing().file().unit(),
        "reading corrected",
        wrong.value().display(),
        right.value().display() + " (reading " + id + "), " + form.reason().strip());
    return done(meter);
  }

  /** Notes that a meter was exchanged. */
  @Allowed.ToKeepStore
  public Outcome replace(Sent sent, String code, ReplacementForm form) {
    return once.run(
        sent,
        session -> {
          return meters(session, code).stream()
              .filter(meter -> meter.standing().file().meter().id().equals(form.meterId()))
              .findFirst()
              .map(meter -> replace(session, sent, meter, form))
              .orElseGet(() -> Outcome.refused(Problem.ofWhole(code + " has no such meter.")));
        });
  }

  private Outcome replace(Session session, Sent sent, JudgedMeter meter, ReplacementForm form) {
    Typed typed = new Typed();
    Optional<LocalDate> day = typed.dayUpTo("day", form.day(), clock.today());
    Optional<MeterValue> end = Optional.empty();
    if (form.end().isBlank()) {
      typed.refuse("end", "The old meter's last reading is missing. " + lastKnown(meter));
    } else {
      end = value(typed, "end", "The old meter's last reading", form.end(), meter);
    }
    Optional<MeterValue> start =
        value(typed, "start", "The new meter's first reading", form.start(), meter);
    Optional<String> reason = typed.text("reason", "The reason", form.reason(), LONGEST_REASON);
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    Reading last =
        new Reading(Long.MAX_VALUE, day.orElseThrow(), Optional.empty(), end.orElseThrow());
    MeterReplacement change = new MeterReplacement(Long.MAX_VALUE, last.id(), start.orElseThrow());
    MeterNotes then = meter.notes().with(List.of(last)).with(change);
    JudgedReading judged = ReadingLog.judge(then).judgementOf(last);
    if (!judged.accepted()) {
      return Outcome.refused(new Problem("end", ReadingWording.why(judged)));
    }
    long others = MeterEntry.newlySetAside(meter, then, last);
    if (others > 0) {
      return Outcome.refused(
          new Problem(
              "day",
              others
                  + (others == 1 ? " reading" : " readings")
                  + " after that day would be set aside; the old meter seems to have run on."));
    }
    long id =
        session
            .readings()
            .add(
                meter.standing().file().meter().id(),
                last,
                ReadingRepository.Source.REPLACEMENT,
                sent.actor(),
                clock.now());
    session
        .readings()
        .replace(
            new MeterReplacement(0, id, start.get()),
            reason.orElseThrow(),
            sent.actor(),
            clock.now());
    return done(meter);
  }

  private static Optional<MeterValue> value(
      Typed typed, String field, String what, String text, JudgedMeter meter) {
    return MeterEntry.value(typed, field, what, text, meter.standing().file().meter().measure());
  }

  private static String lastKnown(JudgedMeter meter) {
    return meter
        .log()
        .lastAccepted()
        .map(JudgedReading::reading)
        .map(
            last ->
                "If it cannot be read any more, write the last accepted one, "
                    + last.value().display()
                    + " on "
                    + last.day()
                    + ".")
        .orElse("If it was never read, write what it stood at when it went into service.");
  }

  /** Withdraws an exchange that was noted in error; the readings stay. */
  @Allowed.ToKeepStore
  public Outcome withdraw(Sent sent, String code, long replacementId, String reason) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          Optional<String> why = typed.text("reason", "The reason", reason, LONGEST_REASON);
          if (why.isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          for (JudgedMeter meter : meters(session, code)) {
            for (MeterReplacement change : meter.notes().replacements()) {
              if (change.id() == replacementId) {
                session.readings().withdraw(change, why.get(), sent.actor(), clock.now());
                return done(meter);
              }
            }
          }
          return Outcome.refused(Problem.ofWhole("That exchange is not on file any more."));
        });
  }

  /** Notes that a unit will not run, or did not run, from one day to another. */
  @Allowed.ToKeepStore
  public Outcome layUp(Sent sent, String code, String first, String last) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          Optional<LocalDate> from = typed.day("first", first);
          Optional<LocalDate> to = typed.day("last", last);
          Optional<Unit> unit = inService(session, code);
          if (from.isPresent() && to.isPresent() && from.get().isAfter(to.get())) {
            typed.refuse(
                "last",
                "The last day, " + to.get() + ", lies before the first, " + from.get() + ".");
          } else if (from.isPresent() && to.isPresent() && unit.isPresent()) {
            overlap(session, unit.get(), new LayUp(from.get(), to.get()))
                .ifPresent(
                    other ->
                        typed.refuse(
                            "first",
                            "It overlaps the lay-up from "
                                + other.first()
                                + " to "
                                + other.last()
                                + ". Take that one off first."));
          }
          if (!typed.problems().isEmpty() || unit.isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          LayUp layUp = new LayUp(from.orElseThrow(), to.orElseThrow());
          session.fleet().addLayUp(unit.get().id(), layUp);
          audit(session, sent, unit.get(), "lay-up", "", layUp.first() + " to " + layUp.last());
          return done(unit.get());
        });
  }

  private static Optional<LayUp> overlap(Session session, Unit unit, LayUp layUp) {
    return session.fleet().layUps(unit.id()).stream()
        .map(FleetRepository.StoredLayUp::layUp)
        .filter(
            other -> !other.first().isAfter(layUp.last()) && !layUp.first().isAfter(other.last()))
        .findFirst();
  }

  /** Takes a lay-up off. */
  @Allowed.ToKeepStore
  public Outcome removeLayUp(Sent sent, String code, long layUpId) {
    return once.run(
        sent,
        session -> {
          Unit unit = inService(session, code).orElseThrow();
          Optional<LayUp> gone =
              session.fleet().layUps(unit.id()).stream()
                  .filter(stored -> stored.id() == layUpId)
                  .findFirst()
                  .map(FleetRepository.StoredLayUp::layUp);
          if (gone.isEmpty()) {
            return Outcome.refused(Problem.ofWhole("That lay-up is not on file any more."));
          }
          session.fleet().removeLayUp(layUpId);
          String before = gone.get().first() + " to " + gone.get().last();
          audit(session, sent, unit, "lay-up taken off", before, "");
          return done(unit);
        });
  }

  private void audit(
      Session session, Sent sent, Unit unit, String action, String before, String after) {
    AuditLog.Line line = new AuditLog.Line(action, before, after, sent.actor(), clock.now());
    session.audit().add("unit", unit.id().value(), line);
  }

  private static Outcome done(JudgedMeter meter) {
    return done(meter.standing().file().unit());
  }

  private static Outcome done(Unit unit) {
    return new Outcome.Done("/fleet/" + unit.code() + "/meters");
  }
}
