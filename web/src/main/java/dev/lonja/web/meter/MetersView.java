package dev.lonja.web.meter;

import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** All meters, to be read one after the other. */
public record MetersView(String summary, String today, List<Row> rows) {

  /** A meter with what is known of it. */
  public record Row(
      MeterId id,
      String unit,
      String machine,
      String name,
      String measure,
      String last,
      String expected,
      Optional<State> silent) {}

  /** Those that have been silent longest come first. */
  static MetersView of(List<MeterStanding> meters, LocalDate today) {
    List<MeterStanding> silent = meters.stream().filter(meter -> meter.isStale(today)).toList();
    List<Row> rows = new ArrayList<>();
    silent.forEach(meter -> rows.add(row(meter, today)));
    meters.stream()
        .filter(meter -> !meter.isStale(today))
        .forEach(meter -> rows.add(row(meter, today)));
    return new MetersView(
        Words.count(rows.size(), "meter", "meters") + ", " + silent.size() + " silent",
        today.toString(),
        rows);
  }

  private static Row row(MeterStanding meter, LocalDate today) {
    return new Row(
        meter.file().meter().id(),
        meter.file().unit().code(),
        meter.file().unit().name(),
        meter.file().meter().name(),
        meter.file().meter().measure().symbol(),
        meter
            .lastAccepted()
            .map(last -> last.shown().display() + " on " + Words.day(last.day(), today))
            .orElse("never read"),
        meter.expectedToShow(today).display(),
        meter.isStale(today)
            ? Optional.of(State.note(meter.silentDays(today) + " days silent"))
            : Optional.empty());
  }
}
