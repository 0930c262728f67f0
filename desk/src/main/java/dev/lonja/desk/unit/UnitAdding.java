package dev.lonja.desk.unit;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.meter.UsageRate;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.meter.ReadingRefusal;
import dev.lonja.desk.meter.UnitMetersDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.variant.ClassAdding;
import dev.lonja.desk.variant.VariantAdding;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fleet.ClassRepository.StoredClass;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Taking a unit into the fleet within a transaction: with its class and variant where these are new
 * too, what its meters show, how much it runs, and when it does not.
 */
final class UnitAdding {

  private final Session session;
  private final StoreClock clock;
  private final Sent sent;
  private final List<Refusal> refusals = new ArrayList<>();

  UnitAdding(Session session, StoreClock clock, Sent sent) {
    this.session = session;
    this.clock = clock;
    this.sent = sent;
  }

  /** Answers its code. */
  Outcome add(NewUnit asked) {
    checkSelf(asked);
    checkClass(asked.unitClass());
    checkModel(asked);
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    UnitId id =
        session
            .fleet()
            .addUnit(
                asked.code(),
                asked.name(),
                classId(asked.unitClass()),
                variantId(asked.model()),
                asked.inServiceOn());
    asked.meters().forEach(meter -> session.fleet().addMeter(id, meter.name(), meter.start()));
    asked.layUp().ifPresent(layUp -> session.fleet().addLayUp(id, layUp));
    audit(id, asked);
    note(asked);
    return refusals.isEmpty() ? Outcome.done(asked.code()) : new Outcome.Refused(refusals);
  }

  private void checkSelf(NewUnit asked) {
    if (!UnitDesk.isCode(asked.code())) {
      refusals.add(new UnitRefusal.BadCode(asked.code()));
    } else if (session.fleet().unitByCode(asked.code()).isPresent()) {
      refusals.add(new UnitRefusal.CodeTaken(asked.code()));
    }
    if (asked.inServiceOn().isAfter(clock.today())) {
      refusals.add(new UnitRefusal.InFuture(asked.inServiceOn(), clock.today()));
    }
  }

  private void checkClass(NewUnit.OfClass of) {
    if (of instanceof NewUnit.OfClass.Added added) {
      refusals.addAll(
          new ClassAdding(session, clock, sent).refusals(added.code(), Optional.empty()));
    } else if (of instanceof NewUnit.OfClass.Known known
        && session.classes().byCode(known.code()).isEmpty()) {
      refusals.add(new UnitRefusal.UnknownClass(known.code(), List.of()));
    }
  }

  private void checkModel(NewUnit asked) {
    Map<String, MeterMeasure> meters = new HashMap<>();
    asked.meters().forEach(meter -> checkMeter(meter, meters));
    Optional<Long> origin;
    if (asked.model() instanceof NewUnit.OfModel.Added added) {
      refusals.addAll(
          new VariantAdding(session, clock, sent).refusals(added.copied(), added.name()));
      origin = added.copied();
    } else {
      origin = Optional.of(((NewUnit.OfModel.Known) asked.model()).variant());
      if (session.variants().byId(origin.get()).isEmpty()) {
        refusals.add(new UnitRefusal.NoVariant());
      }
    }
    origin
        .flatMap(session.variants()::byId)
        .ifPresent(
            variant -> refusals.addAll(meterRefusals(needed(session, variant), variant, meters)));
  }

  /** {@code known} are those before it, by name. */
  private void checkMeter(NewUnit.NewMeter meter, Map<String, MeterMeasure> known) {
    if (known.put(meter.name(), meter.start().measure()) != null) {
      refusals.add(new UnitRefusal.MeterTwice(meter.name()));
    }
    meter
        .perDay()
        .flatMap(rate -> UnitMetersDesk.TooMuchADay.of(rate, meter.start().measure()))
        .ifPresent(refusals::add);
    meter
        .shows()
        .filter(value -> value.compareTo(meter.start()) < 0)
        .map(value -> new UnitRefusal.FellSince(meter.name(), meter.start(), value))
        .ifPresent(refusals::add);
  }

  private static Set<String> needed(Session session, StoredVariant variant) {
    return session.variants().tasks().of(variant.variant().id()).stream()
        .flatMap(task -> task.meter().stream())
        .collect(Collectors.toSet());
  }

  /**
   * What a unit of a variant lacks for its tasks, and what it would count otherwise than others.
   *
   * @param needed by the variant's tasks
   */
  static List<UnitRefusal> meterRefusals(
      Set<String> needed, StoredVariant variant, Map<String, MeterMeasure> meters) {
    List<UnitRefusal> refusals = new ArrayList<>();
    needed.stream()
        .filter(name -> !meters.containsKey(name))
        .forEach(name -> refusals.add(new UnitRefusal.LacksMeter(name)));
    meters.forEach(
        (name, measure) ->
            Optional.ofNullable(variant.meters().get(name))
                .filter(symbol -> !symbol.equals(measure.symbol()))
                .ifPresent(symbol -> refusals.add(new UnitRefusal.OtherMeasure(name, symbol))));
    return refusals;
  }

  private long classId(NewUnit.OfClass of) {
    return of instanceof NewUnit.OfClass.Added added
        ? new ClassAdding(session, clock, sent).add(added.code(), added.name(), Optional.empty())
        : session
            .classes()
            .byCode(((NewUnit.OfClass.Known) of).code())
            .map(StoredClass::unitClass)
            .map(Unit.UnitClass::id)
            .orElseThrow();
  }

  private long variantId(NewUnit.OfModel of) {
    return of instanceof NewUnit.OfModel.Added added
        ? new VariantAdding(session, clock, sent).add(added.copied(), added.name())
        : ((NewUnit.OfModel.Known) of).variant();
  }

  /** What its meters show and are used, once they are there to be judged. */
  private void note(NewUnit asked) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    Unit unit =
        fleet.units().stream().filter(u -> u.code().equals(asked.code())).findFirst().orElseThrow();
    for (MeterStanding standing : fleet.metersOf(unit)) {
      Meter meter = standing.file().meter();
      NewUnit.NewMeter told =
          asked.meters().stream()
              .filter(m -> m.name().equals(meter.name()))
              .findFirst()
              .orElseThrow();
      told.perDay()
          .map(rate -> UsageRate.declared(rate, meter.measure()))
          .ifPresent(rate -> session.fleet().declareRate(meter.id(), Optional.of(rate)));
      told.shows().ifPresent(value -> read(standing, value));
    }
  }

  private void read(MeterStanding standing, MeterValue value) {
    LocalDate today = clock.today();
    NewReading reading = new NewReading(today, Optional.empty(), value);
    JudgedMeter.Trial trial = FleetPicture.judged(session, standing).trying(reading);
    refusals.addAll(ReadingRefusal.of(standing.file().meter().id(), trial));
    session
        .readings()
        .add(
            standing.file().meter().id(),
            reading,
            ReadingRepository.Source.ENTERED,
            sent.actor(),
            clock.now());
  }

  private void audit(UnitId id, NewUnit asked) {
    Facts after = Facts.of("code", asked.code()).with("name", asked.name());
    session.audit().add(sent.line(clock.now(), Matter.UNIT, id, Deed.ADDED, Facts.NONE, after));
  }
}
