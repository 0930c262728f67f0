package dev.lonja.store.service;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.inspection.InspectionOutcome;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterNotes;
import dev.lonja.core.meter.MeterReplacement;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.meter.Reading;
import dev.lonja.core.meter.ReadingLog;
import dev.lonja.core.meter.Ruling;
import dev.lonja.core.pour.FillLevel;
import dev.lonja.core.pour.FillPolicy;
import dev.lonja.core.pour.NewFill;
import dev.lonja.core.pour.RecordedFill;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.Timing;
import dev.lonja.core.tray.TrayId;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Stores;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.query.UnitScope;
import java.math.BigDecimal;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** What is recorded of machines, on a real file with the example store. */
class RecordsTest {

  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");
  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final long HOISTS = 2;

  @TempDir Path folder;
  private LonjaStore store;

  @BeforeEach
  void open() {
    store = Stores.example(folder);
  }

  @AfterEach
  void close() {
    store.close();
  }

  /** SW-1's meter ended at 108.4 h and starts again at 0.4: at 3.1 h its life is 111.1 h. */
  @Test
  void anExchangedMeterComesBackWithItsReadings() {
    assertThat(lifeOfSweeper()).isEqualTo(MeterValue.ofHours("111.1"));
  }

  @Test
  void anExchangeNotedInErrorIsWithdrawn() {
    MeterReplacement wrong = sweeper().replacements().get(0);
    write(records -> {}, session -> session.withdraw(wrong, "other machine", "auditor", NOW));
    assertThat(sweeper().replacements()).isEmpty();
    // 3.1 h then runs backwards, ruled on or not: it was accepted, so 108.4 and 96.2 h give way
    assertThat(lifeOfSweeper()).isEqualTo(MeterValue.ofHours("3.1"));
  }

  @Test
  void aRulingAndACorrectionAreKept() {
    Reading wrong = sweeper().readings().get(0);
    NewReading right =
        new NewReading(
            wrong.day(), Optional.empty(), MeterValue.ofHours("69.2"), Optional.of(wrong.id()));
    write(
        records -> {},
        readings -> {
          readings.add(
              new MeterId(10), right, ReadingRepository.Source.ENTERED, "storekeeper", NOW);
          readings.rule(new Ruling.Wanted(wrong.id(), false, "six for nine", "storekeeper"), NOW);
        });
    assertThat(sweeper().readings().stream().flatMap(r -> r.corrects().stream()))
        .containsExactly(wrong.id());
    assertThat(sweeper().rulings()).extracting(Ruling::reason).contains("six for nine");
    assertThatThrownBy(() -> Stores.tamper(store, "DELETE FROM reading_ruling"))
        .hasMessageContaining("rulings are never deleted");
  }

  /** The engine oil of the hoists lasts 750 h while an E9 oil is in. */
  @Test
  void tasksBringTheirIntervalsByFluid() {
    List<Task> tasks =
        store.read(session -> session.services().tasks(UnitScope.ALL).get(new UnitId(4)));
    Timing.ByInterval timed = tasks.get(0).byInterval().orElseThrow();
    assertThat(timed.byFluid()).hasSize(1);
    assertThat(timed.byFluid().get(0).fluidClass()).isEqualTo("E9");
    assertThat(timed.byFluid().get(0).interval().run().orElseThrow().display()).isEqualTo("750 h");
  }

  /** Two air filters of hoists were looked at, one replaced; a second look at one changes it. */
  @Test
  void inspectionsAreCountedByClassAndKind() {
    assertThat(hoistAirFilters()).isEqualTo(new ReplacementChance(1, 2));
    write(
        records ->
            records.addFound(25, Found.of(InspectionOutcome.REPLACED), "torn", "workshop", NOW),
        readings -> {});
    assertThat(hoistAirFilters()).isEqualTo(new ReplacementChance(2, 2));
  }

  private ReplacementChance hoistAirFilters() {
    return store
        .<Map<Long, Map<Position.Kind, ReplacementChance>>>read(s -> s.records().chances())
        .get(HOISTS)
        .get(Position.Kind.AIR_FILTER);
  }

  @Test
  void fillsStandUntilTheirTrayIsUndone() {
    TrayId tray =
        store.write(
            session ->
                session
                    .trays()
                    .add(new UnitId(4), "500 h service", TODAY, List.of(new TaskId(11))));
    NewFill fill =
        new NewFill(
            new CompartmentId(5),
            new ItemId(2),
            FillCondition.WITH_FILTER,
            Volume.ofLitres("7.9"),
            Optional.of(Volume.ofLitres("7.1")),
            Optional.of(FillLevel.RIGHT),
            TODAY,
            "workshop");
    write(
        records -> records.addFill(new UnitId(4), fill, Optional.of(tray), "full mark", NOW),
        readings -> {});
    assertThat(fills()).hasSize(2);
    assertThat(fills().get(1).volume()).isEqualTo(Volume.ofLitres("7.9"));
    write(
        records -> records.withdrawFillsOf(tray, "wrong machine", "storekeeper", NOW),
        readings -> {});
    assertThat(fills()).hasSize(1);
  }

  private List<RecordedFill> fills() {
    return store.read(session -> session.records().fills(UnitScope.ALL).get(new UnitId(4)));
  }

  /** The inspection of WB-1's impeller was moved to 29 March; done since, the move is over. */
  @Test
  void aMoveHoldsUntilTheTaskIsDoneOrMovedBack() {
    assertThat(move(1, 5).orElseThrow().day()).isEqualTo(LocalDate.parse("2027-03-29"));
    TrayId tray =
        store.write(
            session ->
                session.trays().add(new UnitId(1), "Service", TODAY, List.of(new TaskId(5))));
    store.write(
        session -> {
          session
              .services()
              .addDone(
                  new UnitId(1), new TaskId(5), TODAY, Optional.empty(), tray, "workshop", NOW);
          return true;
        });
    assertThat(move(1, 5)).isEmpty();
    store.write(
        session -> {
          session.services().withdrawOfTray(tray, "not done", "workshop", NOW.plusSeconds(1));
          return true;
        });
    assertThat(move(1, 5)).isPresent();
    write(
        records ->
            records.move(
                new UnitId(1), new TaskId(5), Optional.empty(), "slip is free", "storekeeper", NOW),
        readings -> {});
    assertThat(move(1, 5)).isEmpty();
  }

  private Optional<RecordRepository.Move> move(long unit, long task) {
    Map<UnitId, Map<TaskId, RecordRepository.Move>> moves =
        store.read(s -> s.records().moves(UnitScope.ALL));
    return Optional.ofNullable(
        moves.getOrDefault(new UnitId(unit), Map.of()).get(new TaskId(task)));
  }

  @Test
  void aFillIsPouredTheUsualWayUntilItIsSet() {
    assertThat(fillPolicy()).isEqualTo(FillPolicy.DEFAULT);
    FillPolicy own =
        new FillPolicy(
            new BigDecimal("0.035"),
            new BigDecimal("0.15"),
            Volume.ofLitres("0.25"),
            Volume.ofLitres("0.05"),
            Quantity.kilograms("0.0008"));
    store.write(
        session -> {
          session.settings().set(own);
          return true;
        });
    assertThat(fillPolicy()).isEqualTo(own);
  }

  private FillPolicy fillPolicy() {
    return store.read(session -> session.settings().fillPolicy());
  }

  private void write(Consumer<RecordRepository> records, Consumer<ReadingRepository> readings) {
    store.write(
        session -> {
          records.accept(session.records());
          readings.accept(session.readings());
          return true;
        });
  }

  private MeterNotes sweeper() {
    return store.read(session -> session.readings().of(new MeterId(10)));
  }

  private MeterValue lifeOfSweeper() {
    return ReadingLog.judge(sweeper())
        .lastAccepted()
        .flatMap(judged -> judged.counted())
        .orElseThrow()
        .life();
  }
}
