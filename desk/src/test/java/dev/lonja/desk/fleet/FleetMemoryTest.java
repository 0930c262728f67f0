package dev.lonja.desk.fleet;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Engine;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.inspection.InspectionOutcome;
import dev.lonja.core.machine.ShelfFacts;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.meter.Ruling;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.OccurrencePlanner;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.Cage;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.fleet.VariantRepository;
import dev.lonja.store.query.UnitScope;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * The fleet that is kept and brought up to date is the one that a start would read: held against
 * one that is, after each kind of write.
 */
class FleetMemoryTest {

  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");
  private static final UnitId BOAT = new UnitId(1);
  private static final MeterId PORT = new MeterId(1);

  @RegisterExtension private final Cage cage = new Cage();

  static Stream<Named<Consumer<Session>>> writes() {
    return Stream.of(
        Named.of("a reading", s -> read(s, "2300.0")),
        Named.of(
            "a ruling",
            s -> s.readings().rule(new Ruling.Wanted(read(s, "9000.0"), true, "seen", "a"), NOW)),
        Named.of("a lay-up", s -> s.fleet().addLayUp(BOAT, spring())),
        Named.of("a unit edited", s -> edit(s, "Another name", unit(s).unitClass().id())),
        Named.of("a unit of another class", s -> edit(s, "Workboat", unit(s).unitClass().id() + 1)),
        Named.of("a unit retired", s -> s.fleet().retire(BOAT, unit(s).version(), Cage.TODAY)),
        Named.of(
            "a unit that leaves in autumn",
            s -> s.fleet().retire(BOAT, unit(s).version(), LocalDate.parse("2027-10-01"))),
        Named.of("a unit added", FleetMemoryTest::add),
        Named.of("a task done", FleetMemoryTest::done),
        Named.of(
            "a task moved",
            s ->
                s.records()
                    .move(BOAT, task(s).id(), Optional.of(spring().last()), "later", "a", NOW)),
        Named.of(
            "the months of a class",
            s -> s.classes().setMonths(unit(s).unitClass().id(), 0, winterOnly())),
        Named.of("a model renamed", FleetMemoryTest::rename),
        Named.of("a compartment gone", FleetMemoryTest::withoutHint),
        Named.of(
            "another school",
            s ->
                s.policies()
                    .choose(Holder.STORE, Choice.of(School.SHORTENED, new BigDecimal("0.75")))),
        Named.of(
            "another school for one machine",
            s -> s.policies().choose(new Holder.OfUnit(BOAT), Choice.of(School.METER_ALONE))),
        Named.of("what an inspection found", FleetMemoryTest::inspected));
  }

  @ParameterizedTest
  @MethodSource("writes")
  void whatIsKeptIsWhatAStartWouldRead(Consumer<Session> write) {
    List<Object> before = kept();
    cage.store()
        .write(
            session -> {
              FleetPicture.load(session, Cage.TODAY);
              write.accept(session);
              assertThat(told(session)).isNotEqualTo(before);
              return true;
            });
    List<Object> after = kept();
    assertThat(after).isNotEqualTo(before);
    try (LonjaStore started = LonjaStore.open(cage.store().file())) {
      assertThat(after).isEqualTo(started.<List<Object>>read(FleetMemoryTest::told));
    }
  }

  /** What has nothing to do with a unit leaves its plans as they are, unit by unit. */
  @Test
  void onlyWhatIsTouchedIsWorkedOutAnew() {
    FleetPicture before = cage.read(session -> FleetPicture.load(session, Cage.TODAY));
    LocalDate until = before.horizon();
    List<UnitPlan> plans = before.plans(until);
    cage.store()
        .write(
            session -> {
              session.fleet().addLayUp(BOAT, spring());
              return true;
            });
    FleetPicture after = cage.read(session -> FleetPicture.load(session, Cage.TODAY));
    assertThat(after).isNotSameAs(before);
    for (UnitPlan plan : after.plans(until)) {
      boolean same = plans.stream().anyMatch(known -> known == plan);
      assertThat(same).as(plan.unitCode()).isEqualTo(!plan.unitId().equals(BOAT));
    }
  }

  /**
   * Tomorrow's fleet may be worked out today; today's is forgotten once tomorrow's is asked for.
   */
  @Test
  void theNextDayIsWorkedOutBesideThisOne() {
    LocalDate tomorrow = Cage.TODAY.plusDays(1);
    FleetPicture today = cage.read(session -> FleetPicture.load(session, Cage.TODAY));
    FleetPicture ahead = cage.read(session -> FleetPicture.ahead(session, tomorrow));
    assertThat(cage.<FleetPicture>read(s -> FleetPicture.load(s, Cage.TODAY))).isSameAs(today);
    assertThat(cage.<FleetPicture>read(s -> FleetPicture.load(s, tomorrow))).isSameAs(ahead);
    assertThat(ahead.today()).isEqualTo(tomorrow);
    assertThat(cage.<FleetPicture>read(s -> FleetPicture.load(s, Cage.TODAY))).isNotSameAs(today);
  }

  /** One plan to the horizon serves every shorter look: the nearer plan is how it begins. */
  @Test
  void aNearerPlanIsHowALongerOneBegins() {
    FleetPicture fleet = cage.read(session -> FleetPicture.load(session, Cage.TODAY));
    for (Unit unit : fleet.units()) {
      for (int days = 0; days < 800; days += 37) {
        LocalDate until = Cage.TODAY.plusDays(days);
        assertThat(fleet.planOf(unit, until).occurrences())
            .as(unit.code() + " until " + until)
            .isEqualTo(OccurrencePlanner.plan(fleet.tasks(unit.id()), Cage.TODAY, until));
      }
    }
  }

  /** It leaves on 1 October 2027: services up to 30 September are planned, none later. */
  @Test
  void aUnitThatLeavesLaterIsPlannedUntilThen() {
    LocalDate leaves = LocalDate.parse("2027-10-01");
    cage.store().write(s -> s.fleet().retire(BOAT, unit(s).version(), leaves));
    FleetPicture fleet = cage.read(session -> FleetPicture.load(session, Cage.TODAY));
    Unit boat = fleet.units().stream().filter(u -> u.id().equals(BOAT)).findFirst().orElseThrow();
    List<LocalDate> days =
        fleet.planOf(boat, fleet.horizon()).occurrences().stream().map(o -> o.date()).toList();
    assertThat(days).isNotEmpty().allMatch(leaves::isAfter);
    FleetPicture then = cage.read(session -> FleetPicture.load(session, leaves));
    assertThat(then.units()).extracting(Unit::id).doesNotContain(BOAT);
    assertThat(then.tasks(BOAT)).isEmpty();
    assertThat(then.needs(BOAT)).isEqualTo(fleet.needs(BOAT));
  }

  private List<Object> kept() {
    return cage.read(FleetMemoryTest::told);
  }

  /** All that the picture tells of each unit. */
  static List<Object> told(Session session) {
    FleetPicture fleet = FleetPicture.load(session, Cage.TODAY);
    List<Object> told =
        new ArrayList<>(List.of(fleet.policies(), fleet.variants(), fleet.meters()));
    for (Unit unit : fleet.units()) {
      told.add(unit);
      told.add(fleet.file(unit.id()));
      told.add(fleet.makers(unit.id()));
      told.add(fleet.tasks(unit.id()));
      told.add(fleet.planOf(unit, fleet.horizon()));
    }
    return told;
  }

  private static LayUp spring() {
    return new LayUp(Cage.TODAY.plusDays(3), Cage.TODAY.plusDays(40));
  }

  private static List<Integer> winterOnly() {
    return List.of(60_000, 0, 0, 0, 0, 0, 0, 0, 0, 0, 0, 60_000);
  }

  private static Unit unit(Session session) {
    return session.fleet().units(UnitScope.of(BOAT)).get(0);
  }

  private static Task task(Session session) {
    return session.services().tasks(UnitScope.of(BOAT)).get(BOAT).get(0);
  }

  private static long read(Session session, String hours) {
    NewReading reading =
        new NewReading(Cage.TODAY, Optional.empty(), MeterValue.ofHours(hours), Optional.empty());
    return session.readings().add(PORT, reading, ReadingRepository.Source.ENTERED, "a", NOW);
  }

  private static void edit(Session session, String name, long classId) {
    Unit unit = unit(session);
    session.fleet().editUnit(BOAT, unit.version(), name, classId, unit.inServiceOn());
  }

  private static void add(Session session) {
    Unit boat = unit(session);
    UnitId id =
        session
            .fleet()
            .addUnit("WB-9", "Workboat", boat.unitClass().id(), boat.variant().id(), Cage.TODAY);
    session.fleet().addMeter(id, "port", MeterValue.ofHours("0"));
    session.fleet().addMeter(id, "starboard", MeterValue.ofHours("12.5"));
  }

  private static void done(Session session) {
    TaskId task = task(session).id();
    TrayId tray = session.trays().add(BOAT, "Service", Cage.TODAY, List.of(task));
    MeterValue life = MeterValue.ofHours("2262.0");
    session.services().addDone(BOAT, task, Cage.TODAY, Optional.of(life), tray, "a", NOW);
  }

  private static void inspected(Session session) {
    TaskId task = task(session).id();
    TrayId tray = session.trays().add(BOAT, "Service", Cage.TODAY, List.of(task));
    MeterValue life = MeterValue.ofHours("2262.0");
    long record =
        session.services().addDone(BOAT, task, Cage.TODAY, Optional.of(life), tray, "a", NOW);
    session.records().addFound(record, Found.of(InspectionOutcome.SOUND), "", "a", NOW);
  }

  private static void rename(Session session) {
    session
        .variants()
        .rename(
            unit(session).variant().id(),
            0,
            new VariantRepository.Named("Corvane", "Renamed", "", Engine.UNKNOWN));
  }

  private static void withoutHint(Session session) {
    long variant = unit(session).variant().id();
    Compartment first = session.fleet().needs(ShelfFacts.NONE).get(variant).compartments().get(0);
    session
        .variants()
        .save(
            variant,
            new Compartment(
                first.id(),
                "Another name",
                first.kind(),
                first.spec(),
                Optional.empty(),
                first.capacities(),
                first.filling(),
                first.hint(),
                first.changeOver()));
  }
}
