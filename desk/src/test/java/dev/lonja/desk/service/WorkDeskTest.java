package dev.lonja.desk.service;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Origin;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.Cage;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.meter.ReadingRefusal;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.service.RecordRepository;
import dev.lonja.store.service.WorkLog;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * The workboat WB-1, whose port engine is changed its oil (task 1) by the port meter (1): last on
 * 14 September 2026 at 2,070.3 h. The meter showed 1,210 h on 6 April 2026, 2,208.2 h on 22
 * February and 2,260.3 h on 8 March 2027. In service since 2 May 2022.
 */
class WorkDeskTest {

  private static final UnitId BOAT = new UnitId(1);
  private static final TaskId OIL = new TaskId(1);
  private static final MeterId PORT = new MeterId(1);

  @RegisterExtension private final Cage cage = new Cage();
  private WorkDesk desk;

  @BeforeEach
  void open() {
    desk = new WorkDesk(cage.store(), cage.clock(), cage.once());
  }

  private static WorkDesk.Work oil(String day, String hours) {
    return new WorkDesk.Work(
        LocalDate.parse(day),
        Map.of(PORT, MeterValue.ofHours(hours)),
        Map.of(OIL, Optional.empty()),
        "North yard, receipt 4711",
        List.of());
  }

  private Outcome note(WorkDesk.Work work) {
    return desk.note(cage.sent(), "WB-1", work);
  }

  private Origin origin() {
    return cage.read(
        session ->
            FleetPicture.load(session, Cage.TODAY).tasks(BOAT).stream()
                .filter(standing -> standing.task().id().equals(OIL))
                .map(TaskStanding::origin)
                .findFirst()
                .orElseThrow());
  }

  private List<WorkLog.Noted> records() {
    return cage.read(session -> session.workLog().latest(BOAT, 99));
  }

  private long readings() {
    return cage.<Integer>read(session -> session.readings().of(PORT).readings().size());
  }

  /** From 25 February at 2,215 h the clock runs on; the reading is on file, and only once. */
  @Test
  void workDoneElsewhereRestartsTheClock() {
    long before = readings();
    assertThat(note(oil("2027-02-25", "2215"))).isInstanceOf(Outcome.Done.class);
    assertThat(origin())
        .isEqualTo(
            Origin.done(LocalDate.parse("2027-02-25"), Optional.of(MeterValue.ofHours("2215"))));
    assertThat(records().get(0).note()).isEqualTo("North yard, receipt 4711");
    assertThat(readings()).isEqualTo(before + 1);
    // what the meter showed on 8 March is on file already
    assertThat(note(oil("2027-03-08", "2260.3"))).isInstanceOf(Outcome.Done.class);
    assertThat(readings()).isEqualTo(before + 1);
  }

  /** What was done in April 2026 is history; the clock still runs from September. */
  @Test
  void whatIsNotedOfLongAgoIsHistory() {
    Origin before = origin();
    cage.write(
        session ->
            session
                .records()
                .move(
                    BOAT,
                    OIL,
                    Optional.of(LocalDate.parse("2027-04-20")),
                    "the slip is taken",
                    "storekeeper",
                    cage.clock().now().minusSeconds(60)));
    assertThat(note(oil("2026-04-06", "1210"))).isInstanceOf(Outcome.Done.class);
    assertThat(origin()).isEqualTo(before);
    assertThat(move()).isPresent();
    // done later than was known when it was moved: there is nothing left to move
    assertThat(note(oil("2027-02-25", "2215"))).isInstanceOf(Outcome.Done.class);
    assertThat(move()).isEmpty();
  }

  /** Noted for 8 March and withdrawn before the move: February is then the latest that is known. */
  @Test
  void whatWasWithdrawnIsNotKnown() {
    note(oil("2027-03-08", "2260.3"));
    desk.withdraw(cage.sent(), "WB-1", records().get(0).id(), "that was WB-2");
    cage.write(
        session ->
            session
                .records()
                .move(
                    BOAT,
                    OIL,
                    Optional.of(LocalDate.parse("2027-04-20")),
                    "the slip is taken",
                    "storekeeper",
                    cage.clock().now().plusSeconds(1)));
    assertThat(move()).isPresent();
    cage.write(
        session ->
            session
                .workLog()
                .add(
                    BOAT,
                    OIL,
                    LocalDate.parse("2027-02-25"),
                    Optional.of(MeterValue.ofHours("2215")),
                    "North yard",
                    "storekeeper",
                    cage.clock().now().plusSeconds(2)));
    assertThat(move()).isEmpty();
  }

  private Optional<RecordRepository.Move> move() {
    return cage.read(
        session ->
            Optional.ofNullable(
                session.records().moves(UnitScope.ALL).getOrDefault(BOAT, Map.of()).get(OIL)));
  }

  @Test
  void whatCannotBeIsRefusedAndNothingIsKept() {
    int before = records().size();
    assertThat(Cage.reasons(note(oil("2022-05-01", "0"))))
        .containsExactly(
            new WorkRefusal.OutsideService(
                LocalDate.parse("2022-05-01"), LocalDate.parse("2022-05-02"), Cage.TODAY));
    assertThat(Cage.reasons(note(oil("2027-03-16", "2300")))).hasSize(1);
    assertThat(Cage.reasons(note(oil("2026-09-14", "2070.3"))))
        .hasAtLeastOneElementOfType(WorkRefusal.DoneThatDay.class);
    assertThat(Cage.reasons(note(oil("2027-02-25", "2290"))))
        .hasAtLeastOneElementOfType(ReadingRefusal.SetsOthersAside.class);
    WorkDesk.Work blind =
        new WorkDesk.Work(
            LocalDate.parse("2027-02-25"),
            Map.of(),
            Map.of(OIL, Optional.empty()),
            "yard",
            List.of());
    assertThat(Cage.reasons(note(blind)))
        .hasOnlyElementsOfType(WorkRefusal.NoReading.class)
        .hasSize(1);
    WorkDesk.Work nothing =
        new WorkDesk.Work(LocalDate.parse("2027-02-25"), Map.of(), Map.of(), "yard", List.of());
    assertThat(Cage.reasons(note(nothing))).containsExactly(new WorkRefusal.NothingDone());
    assertThat(Cage.reasons(desk.note(cage.sent(), "WB-9", nothing)))
        .containsExactly(new WorkRefusal.UnknownUnit("WB-9"));
    assertThat(records()).hasSize(before);
  }

  private static WorkDesk.Line line(String day, String task, String hours) {
    return new WorkDesk.Line(
        "WB-1",
        LocalDate.parse(day),
        task,
        Optional.of(hours).filter(h -> !h.isEmpty()).map(BigDecimal::new),
        "old book");
  }

  /**
   * Two visits, the later one first: oil and filter on 25 February at one reading, the oil also in
   * January. All of it, or with one wrong line none.
   */
  @Test
  void aTableOfPastWorkIsNotedWholeOrNotAtAll() {
    int records = records().size();
    long readings = readings();
    List<WorkDesk.Line> good =
        List.of(
            line("2027-02-25", "Change port engine oil", "2215"),
            line("2027-02-25", "250 h service, both engines: Replace port oil filter", "2215"),
            line("2027-01-27", "change port engine oil", "2120"));
    List<WorkDesk.Line> bad = new ArrayList<>(good);
    bad.add(line("2027-02-25", "Change the oil", "2215"));
    bad.add(line("2027-02-25", "Replace port fuel filter", "2216"));
    bad.add(line("2027-02-26", "Replace port fuel filter", ""));
    assertThat(Cage.reasons(desk.noteAll(cage.sent(), bad)))
        .extracting(reason -> ((WorkDesk.Bad) reason).line())
        .containsExactly(3, 4, 5);
    assertThat(records()).hasSize(records);
    assertThat(readings()).isEqualTo(readings);
    assertThat(desk.noteAll(cage.sent(), good)).isEqualTo(Outcome.done(3));
    assertThat(records()).hasSize(records + 3);
    assertThat(readings()).isEqualTo(readings + 2);
    assertThat(origin().day()).isEqualTo(LocalDate.parse("2027-02-25"));
  }

  /** While a tray is out for it, what was done is said when it comes back. */
  @Test
  void whatATrayIsOutForIsNotNotedBesideIt() {
    cage.write(
        session -> {
          TrayId tray = session.trays().add(BOAT, "Oil", Cage.TODAY, List.of(OIL));
          session.trays().handOver(tray, 0, "workshop", Cage.TODAY);
        });
    assertThat(Cage.reasons(note(oil("2027-02-25", "2215"))))
        .singleElement()
        .isInstanceOfSatisfying(
            WorkRefusal.OutWithTray.class, out -> assertThat(out.tray()).startsWith("T-"));
  }

  @Test
  void whatWasNotedInErrorIsWithdrawn() {
    Origin before = origin();
    note(oil("2027-02-25", "2215"));
    long wrong = records().get(0).id();
    assertThat(desk.withdraw(cage.sent(), "WB-1", wrong, "that was WB-2"))
        .isInstanceOf(Outcome.Done.class);
    assertThat(origin()).isEqualTo(before);
    assertThat(Cage.reasons(desk.withdraw(cage.sent(), "WB-1", wrong, "again")))
        .containsExactly(new WorkRefusal.NotOnFile());
    assertThat(Cage.reasons(desk.withdraw(cage.sent(), "WB-2", 1, "of another unit")))
        .containsExactly(new WorkRefusal.NotOnFile());
  }
}
