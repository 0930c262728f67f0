package dev.lonja.desk.unit;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.service.Occurrence;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.Matter;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Answers what each machine is and when it is due. */
@Service
@Allowed.ToSeeMachines
public class FleetDesk {

  private static final int MOST_EVENTS = 60;

  private final LonjaStore store;
  private final StoreClock clock;

  public FleetDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** A unit in service with its meters and what is planned for it. */
  public record Row(Unit unit, List<MeterStanding> meters, List<Occurrence> occurrences) {

    /** True if what is next lies behind, and no tray is out for it. */
    public boolean isOverdue() {
      return occurrences.stream()
          .findFirst()
          .filter(next -> !next.isOut() && next.leading().isOverdue())
          .isPresent();
    }

    LocalDate firstDay() {
      return occurrences.isEmpty() ? LocalDate.MAX : occurrences.get(0).date();
    }
  }

  /** A unit that has left the fleet, with what was done to its file, latest first. */
  public record Retired(Unit unit, LocalDate retiredOn, List<AuditLine> events) {}

  /** All units in service, the next due first; of one day what is overdue. */
  @KeptAnswer
  public List<Row> all() {
    FleetPicture fleet = store.read(session -> FleetPicture.load(session, clock.today()));
    return fleet.units().stream()
        .map(
            unit ->
                new Row(
                    unit, fleet.metersOf(unit), fleet.planOf(unit, fleet.horizon()).occurrences()))
        .sorted(
            Comparator.comparing(Row::firstDay)
                .thenComparing(row -> !row.isOverdue())
                .thenComparing(row -> row.unit().code()))
        .toList();
  }

  /** The file of a unit in service; empty for any other code. */
  @KeptAnswer
  public Optional<UnitRecord> unit(String code) {
    return store.read(
        session ->
            session
                .fleet()
                .serving(code, clock.today())
                .map(unit -> UnitRecord.of(session, unit, clock.today())));
  }

  /** What is kept of a unit that has left the fleet; empty for any other code. */
  public Optional<Retired> retired(String code) {
    return store.read(
        session ->
            session
                .fleet()
                .unitByCode(code)
                .filter(unit -> !unit.serves(clock.today()))
                .flatMap(
                    unit ->
                        unit.retiredOn()
                            .map(
                                day ->
                                    new Retired(
                                        unit,
                                        day,
                                        session
                                            .audit()
                                            .latest(Matter.UNIT, unit.id(), MOST_EVENTS)))));
  }
}
