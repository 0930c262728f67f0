package dev.lonja.desk.fleet;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Task;
import dev.lonja.desk.Cage;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ClassRepository.StoredClass;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.query.UnitScope;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.function.BiConsumer;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Writes of many kinds in an order drawn by chance: after each of them the fleet that is kept is
 * the one that a start would read.
 */
@Tag("long")
class FleetMemoryLongTest {

  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");
  private static final int WRITES = 60;

  @RegisterExtension private final Cage cage = new Cage();

  private static final List<BiConsumer<Session, Random>> KINDS =
      List.of(
          FleetMemoryLongTest::read,
          FleetMemoryLongTest::layUp,
          FleetMemoryLongTest::rename,
          FleetMemoryLongTest::moveTask,
          FleetMemoryLongTest::months,
          FleetMemoryLongTest::school,
          FleetMemoryLongTest::leave);

  @ParameterizedTest
  @ValueSource(longs = {1, 2, 3, 4, 5})
  void whatIsKeptIsWhatAStartWouldRead(long seed) {
    Random random = new Random(seed);
    for (int i = 0; i < WRITES; i++) {
      BiConsumer<Session, Random> kind = KINDS.get(random.nextInt(KINDS.size()));
      cage.store()
          .write(
              session -> {
                kind.accept(session, random);
                return true;
              });
      List<Object> kept = cage.read(FleetMemoryTest::told);
      try (LonjaStore started = LonjaStore.open(cage.store().file())) {
        assertThat(kept)
            .as("seed " + seed + ", write " + i)
            .isEqualTo(started.<List<Object>>read(FleetMemoryTest::told));
      }
    }
  }

  private static <T> T one(List<T> of, Random random) {
    return of.get(random.nextInt(of.size()));
  }

  private static Unit unit(Session session, Random random) {
    return one(FleetPicture.load(session, Cage.TODAY).units(), random);
  }

  /** Ahead by up to ten hours or kilometres, now and then backwards, which is kept and flagged. */
  private static void read(Session session, Random random) {
    List<MeterStanding> meters =
        List.copyOf(FleetPicture.load(session, Cage.TODAY).meters().values());
    MeterStanding meter = one(meters, random);
    MeterValue shown = meter.expectedToShow(Cage.TODAY);
    long tenths = Math.max(0, shown.tenths() + random.nextInt(120) - 20);
    NewReading reading =
        new NewReading(
            Cage.TODAY,
            Optional.empty(),
            new MeterValue(tenths, shown.measure()),
            Optional.empty());
    session
        .readings()
        .add(meter.file().meter().id(), reading, ReadingRepository.Source.ENTERED, "a", NOW);
  }

  private static void layUp(Session session, Random random) {
    LocalDate first = Cage.TODAY.plusDays(random.nextInt(500));
    session
        .fleet()
        .addLayUp(unit(session, random).id(), new LayUp(first, first.plusDays(random.nextInt(20))));
  }

  private static void rename(Session session, Random random) {
    Unit unit = unit(session, random);
    session
        .fleet()
        .editUnit(
            unit.id(),
            unit.version(),
            "Name " + random.nextInt(1000),
            unit.unitClass().id(),
            unit.inServiceOn());
  }

  private static void moveTask(Session session, Random random) {
    Unit unit = unit(session, random);
    List<Task> tasks = session.services().tasks(UnitScope.of(unit.id())).get(unit.id());
    Optional<LocalDate> day =
        Optional.of(Cage.TODAY.plusDays(random.nextInt(90))).filter(d -> random.nextBoolean());
    session
        .records()
        .move(unit.id(), one(tasks, random).id(), day, day.isPresent() ? "later" : "", "a", NOW);
  }

  private static void months(Session session, Random random) {
    StoredClass chosen = one(session.classes().all(), random);
    List<Integer> turned = new ArrayList<>(chosen.months());
    Collections.rotate(turned, 1 + random.nextInt(11));
    session.classes().setMonths(chosen.unitClass().id(), chosen.version(), turned);
  }

  private static void school(Session session, Random random) {
    School school =
        one(
            List.of(
                School.MAKERS_INTERVAL,
                School.BY_SEVERITY,
                School.METER_ALONE,
                School.EVERY_SERVICE,
                School.WITH_EVERY_OIL_CHANGE),
            random);
    Unit unit = unit(session, random);
    Holder holder =
        one(
            List.of(
                Holder.STORE,
                new Holder.OfUnit(unit.id()),
                new Holder.OfClass(unit.unitClass().id())),
            random);
    session.policies().choose(holder, Choice.of(school));
  }

  private static void leave(Session session, Random random) {
    Unit unit = unit(session, random);
    session
        .fleet()
        .retire(unit.id(), unit.version(), Cage.TODAY.plusDays(10 + random.nextInt(900)));
  }
}
