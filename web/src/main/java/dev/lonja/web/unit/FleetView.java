package dev.lonja.web.unit;

import dev.lonja.core.service.Occurrence;
import dev.lonja.desk.service.DueDesk;
import dev.lonja.desk.unit.FleetDesk;
import dev.lonja.web.due.DueRuler;
import dev.lonja.web.due.DueWording;
import dev.lonja.web.due.UnitRuler;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;

/** All units with what is due next on each. */
public record FleetView(String summary, String scale, List<Row> rows) {

  public record Row(
      String code,
      String name,
      String model,
      String meters,
      String ruler,
      String next,
      State state) {}

  static FleetView of(List<FleetDesk.Row> units, LocalDate today) {
    List<Row> rows = units.stream().map(unit -> row(unit, today)).toList();
    long overdue = units.stream().filter(FleetDesk.Row::isOverdue).count();
    return new FleetView(
        Words.count(rows.size(), "unit", "units") + ", " + overdue + " overdue",
        DueRuler.scale(today, DueDesk.WEEKS),
        rows);
  }

  private static Row row(FleetDesk.Row row, LocalDate today) {
    Optional<Occurrence> next = row.occurrences().stream().findFirst();
    return new Row(
        row.unit().code(),
        row.unit().name(),
        row.unit().variant().display(),
        row.meters().stream()
            .map(meter -> meter.expectedToShow(today).display())
            .collect(Collectors.joining(", ")),
        UnitRuler.draw(row.unit().code(), row.occurrences(), today),
        next.map(Occurrence::title).orElse("nothing planned"),
        next.map(occurrence -> DueWording.state(occurrence, today))
            .orElse(State.open("nothing planned")));
  }
}
