package dev.lonja.desk.meter;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterReplacement;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.meter.Reading;
import dev.lonja.core.meter.Ruling;
import dev.lonja.core.meter.UsageRate;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fleet.FleetRepository;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.query.UnitScope;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import org.springframework.stereotype.Service;

/** Rules on readings, corrects them, notes exchanged meters and lay-ups of one unit. */
@Service
@Allowed.ToSeeMachines
public class UnitMetersDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public UnitMetersDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** A unit's meters with all that was noted of them, and when it does not run. */
  public record UnitMeters(
      Unit unit,
      List<JudgedMeter> meters,
      UsageCalendar calendar,
      List<FleetRepository.StoredLayUp> layUps) {

    /** The meter with this id. */
    public Optional<JudgedMeter> meter(MeterId id) {
      return meters.stream().filter(m -> m.standing().file().meter().id().equals(id)).findFirst();
    }

    /** The meter that this reading is of. */
    public Optional<JudgedMeter> meterOf(long readingId) {
      return meters.stream().filter(m -> m.reading(readingId).isPresent()).findFirst();
    }
  }

  /** An exchange of meters: the old one's last reading, and what the new one stood at. */
  public record Exchange(
      MeterId meterId, LocalDate day, MeterValue end, MeterValue start, String reason) {}

  /** Why nothing was noted, beside what speaks against a reading. */
  public sealed interface Refused extends Refusal {}

  /** The unit has no such reading. */
  public record UnknownReading(String unit) implements Refused {}

  /** Whatever is decided, it cannot count. */
  public record CannotCount(JudgedReading judged) implements Refused {}

  /** It ends a meter, so that it cannot be corrected by itself. */
  public record EndsMeter() implements Refused {}

  /** Readings that count lie after the day of the exchange. */
  public record RanOn(long readings) implements Refused {}

  /** That exchange is not on file any more. */
  public record UnknownExchange() implements Refused {}

  /** That lay-up is not on file any more. */
  public record UnknownLayUp() implements Refused {}

  /** No machine is used so much on every day. */
  public record TooMuchADay(BigDecimal perDay, MeterMeasure measure) implements Refused {

    /** Empty for what a machine may be used a day. */
    public static Optional<TooMuchADay> of(BigDecimal perDay, MeterMeasure measure) {
      BigDecimal most = BigDecimal.valueOf(measure.highestPerDay().tenths(), 1);
      return perDay.compareTo(most) > 0
          ? Optional.of(new TooMuchADay(perDay, measure))
          : Optional.empty();
    }
  }

  /** It shares days with another lay-up. */
  public record Overlaps(LayUp other) implements Refused {}

  /** Empty for a unit that is not in service. */
  public Optional<UnitMeters> file(String code) {
    return store.read(session -> inService(session, code).map(unit -> file(session, unit)));
  }

  private UnitMeters file(Session session, Unit unit) {
    return new UnitMeters(
        unit,
        meters(session, unit),
        session.fleet().calendars(UnitScope.of(unit.id())).get(unit.id()),
        session.fleet().layUps(unit.id()));
  }

  private List<JudgedMeter> meters(Session session, Unit unit) {
    return FleetPicture.load(session, clock.today()).metersOf(unit).stream()
        .map(meter -> FleetPicture.judged(session, meter))
        .toList();
  }

  private Optional<Unit> inService(Session session, String code) {
    return session.fleet().serving(code, clock.today());
  }

  private Outcome onUnit(Sent sent, String code, BiFunction<Session, Unit, Outcome> work) {
    return once.run(
        sent,
        session ->
            inService(session, code)
                .map(unit -> work.apply(session, unit))
                .orElseGet(() -> Outcome.refused(RequestRefusal.CHANGED_MEANWHILE)));
  }

  private Outcome onReading(Sent sent, String code, long readingId, Work work) {
    return onUnit(
        sent,
        code,
        (session, unit) -> {
          for (JudgedMeter meter : meters(session, unit)) {
            Optional<JudgedReading> judged = meter.reading(readingId);
            if (judged.isPresent()) {
              return work.on(session, meter, judged.get().reading());
            }
          }
          return Outcome.refused(new UnknownReading(code));
        });
  }

  /** What is done to one reading. */
  private interface Work {
    Outcome on(Session session, JudgedMeter meter, Reading reading);
  }

  /** Counts a reading, or sets it aside. */
  @Allowed.ToKeepStore
  public Outcome rule(Sent sent, String code, long readingId, boolean accepted, String reason) {
    return onReading(
        sent,
        code,
        readingId,
        (session, meter, reading) -> {
          Ruling.Wanted ruling = new Ruling.Wanted(reading.id(), accepted, reason, sent.actor());
          JudgedReading then = meter.trying(ruling);
          if (then.accepted() != accepted) {
            return Outcome.refused(new CannotCount(then));
          }
          session.readings().rule(ruling, clock.now());
          return Outcome.done();
        });
  }

  /** Enters another value in the place of a reading. */
  @Allowed.ToKeepStore
  public Outcome correct(Sent sent, String code, long readingId, MeterValue value, String reason) {
    return onReading(
        sent,
        code,
        readingId,
        (session, meter, wrong) -> correct(session, sent, meter, wrong, value, reason));
  }

  private Outcome correct(
      Session session,
      Sent sent,
      JudgedMeter meter,
      Reading wrong,
      MeterValue value,
      String reason) {
    if (meter.notes().replacements().stream().anyMatch(c -> c.endReadingId() == wrong.id())) {
      return Outcome.refused(new EndsMeter());
    }
    MeterId meterId = meter.standing().file().meter().id();
    NewReading right = new NewReading(wrong.day(), wrong.at(), value, Optional.of(wrong.id()));
    JudgedMeter.Trial trial = meter.trying(right);
    if (!trial.isClean()) {
      return new Outcome.Refused(ReadingRefusal.of(meterId, trial));
    }
    long id =
        session
            .readings()
            .add(meterId, right, ReadingRepository.Source.ENTERED, sent.actor(), clock.now());
    audit(
        session,
        sent,
        meter.standing().file().unit(),
        Deed.CORRECTED,
        Facts.of("reading_id", wrong.id()).with("value", wrong.value().exactText()),
        Facts.of("reading_id", id).with("value", value.exactText()).with("reason", reason));
    return Outcome.done();
  }

  /** Notes that a meter was exchanged. */
  @Allowed.ToKeepStore
  public Outcome replace(Sent sent, String code, Exchange exchange) {
    return onUnit(
        sent,
        code,
        (session, unit) ->
            meters(session, unit).stream()
                .filter(m -> m.standing().file().meter().id().equals(exchange.meterId()))
                .findFirst()
                .map(meter -> replace(session, sent, meter, exchange))
                .orElseGet(
                    () -> Outcome.refused(new ReadingRefusal.UnknownMeter(exchange.meterId()))));
  }

  private Outcome replace(Session session, Sent sent, JudgedMeter meter, Exchange exchange) {
    if (exchange.day().isAfter(clock.today())) {
      return Outcome.refused(
          new ReadingRefusal.InFuture(exchange.meterId(), exchange.day(), clock.today()));
    }
    NewReading last = new NewReading(exchange.day(), Optional.empty(), exchange.end());
    JudgedMeter.Trial trial = meter.tryingExchange(last, exchange.start());
    if (!trial.judged().accepted()) {
      return Outcome.refused(new ReadingRefusal.SetAside(exchange.meterId(), trial.judged()));
    }
    if (trial.setAside() > 0) {
      return Outcome.refused(new RanOn(trial.setAside()));
    }
    long id =
        session
            .readings()
            .add(
                exchange.meterId(),
                last,
                ReadingRepository.Source.REPLACEMENT,
                sent.actor(),
                clock.now());
    session.readings().replace(id, exchange.start(), exchange.reason(), sent.actor(), clock.now());
    return Outcome.done();
  }

  /** Withdraws an exchange that was noted in error; the readings stay. */
  @Allowed.ToKeepStore
  public Outcome withdraw(Sent sent, String code, long replacementId, String reason) {
    return onUnit(
        sent,
        code,
        (session, unit) -> {
          Optional<MeterReplacement> exchange =
              meters(session, unit).stream()
                  .flatMap(meter -> meter.notes().replacements().stream())
                  .filter(change -> change.id() == replacementId)
                  .findFirst();
          if (exchange.isEmpty()) {
            return Outcome.refused(new UnknownExchange());
          }
          session.readings().withdraw(exchange.get(), reason, sent.actor(), clock.now());
          return Outcome.done();
        });
  }

  /**
   * States what a meter is used a day, which counts as long as its readings say too little; none
   * takes that back.
   *
   * @param perDay in the meter's own measure, 0 or more
   */
  @Allowed.ToKeepStore
  public Outcome declare(Sent sent, String code, MeterId meterId, Optional<BigDecimal> perDay) {
    return onUnit(
        sent,
        code,
        (session, unit) -> {
          Optional<Meter> meter =
              session.fleet().meters(UnitScope.of(unit.id())).stream()
                  .filter(known -> known.id().equals(meterId))
                  .findFirst();
          if (meter.isEmpty()) {
            return Outcome.refused(new ReadingRefusal.UnknownMeter(meterId));
          }
          MeterMeasure measure = meter.get().measure();
          Optional<TooMuchADay> much = perDay.flatMap(rate -> TooMuchADay.of(rate, measure));
          if (much.isPresent()) {
            return Outcome.refused(much.get());
          }
          session
              .fleet()
              .declareRate(meterId, perDay.map(rate -> UsageRate.declared(rate, measure)));
          audit(
              session,
              sent,
              unit,
              Deed.EDITED,
              rate(meter.get(), meter.get().declaredRate()),
              rate(meter.get(), perDay.map(rate -> UsageRate.declared(rate, measure))));
          return Outcome.done();
        });
  }

  private static Facts rate(Meter meter, Optional<UsageRate> rate) {
    return Facts.of("meter", meter.name())
        .with("declared", rate.map(UsageRate::display).orElse("none"));
  }

  /** Notes that a unit will not run, or did not run, from one day to another. */
  @Allowed.ToKeepStore
  public Outcome layUp(Sent sent, String code, LayUp layUp) {
    return onUnit(
        sent,
        code,
        (session, unit) -> {
          Optional<LayUp> other =
              session.fleet().layUps(unit.id()).stream()
                  .map(FleetRepository.StoredLayUp::layUp)
                  .filter(layUp::overlaps)
                  .findFirst();
          if (other.isPresent()) {
            return Outcome.refused(new Overlaps(other.get()));
          }
          session.fleet().addLayUp(unit.id(), layUp);
          audit(session, sent, unit, Deed.LAID_UP, Facts.NONE, days(layUp));
          return Outcome.done();
        });
  }

  /** Takes a lay-up off. */
  @Allowed.ToKeepStore
  public Outcome removeLayUp(Sent sent, String code, long layUpId) {
    return onUnit(
        sent,
        code,
        (session, unit) -> {
          Optional<LayUp> gone =
              session.fleet().layUps(unit.id()).stream()
                  .filter(stored -> stored.id() == layUpId)
                  .findFirst()
                  .map(FleetRepository.StoredLayUp::layUp);
          if (gone.isEmpty()) {
            return Outcome.refused(new UnknownLayUp());
          }
          session.fleet().removeLayUp(layUpId);
          audit(session, sent, unit, Deed.LAY_UP_TAKEN_OFF, days(gone.get()), Facts.NONE);
          return Outcome.done();
        });
  }

  private static Facts days(LayUp layUp) {
    return Facts.of("first_on", layUp.first()).with("last_on", layUp.last());
  }

  private void audit(Session session, Sent sent, Unit unit, Deed deed, Facts before, Facts after) {
    session.audit().add(sent.line(clock.now(), Matter.UNIT, unit.id(), deed, before, after));
  }
}
