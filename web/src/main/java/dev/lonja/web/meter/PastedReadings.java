package dev.lonja.web.meter;

import dev.lonja.core.meter.MeterStanding;
import dev.lonja.web.request.Problem;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * Reads the lines of a pasted table of readings: unit, meter where there are several, value and,
 * unless it was today, day; cells set apart by tabs, semicolons or commas.
 */
final class PastedReadings {

  private static final String FIELD = "table";
  private static final int MOST_LINES = 10_000;
  private static final int LEAST_CELLS = 2;
  private static final int MOST_CELLS = 4;

  private final Map<String, List<MeterStanding>> byUnit;
  private final TypedReadings typed;
  private final String today;

  private PastedReadings(List<MeterStanding> meters, TypedReadings typed, LocalDate today) {
    this.typed = typed;
    this.today = today.toString();
    this.byUnit = meters.stream().collect(Collectors.groupingBy(m -> key(m.file().unit().code())));
  }

  /** Takes every line of a table. */
  static TypedReadings of(String table, List<MeterStanding> meters, LocalDate today) {
    TypedReadings typed = new TypedReadings(today);
    List<String> lines = table.lines().toList();
    if (lines.size() > MOST_LINES) {
      typed.refuse(
          new Problem(
              FIELD, "The table has " + lines.size() + " lines; allowed are " + MOST_LINES + "."));
      return typed;
    }
    PastedReadings pasted = new PastedReadings(meters, typed, today);
    for (int i = 0; i < lines.size(); i++) {
      pasted.line(i + 1, lines.get(i));
    }
    return typed;
  }

  /** Takes one line; empty ones and a heading are passed over. */
  private void line(int number, String text) {
    List<String> cells = cells(text);
    boolean heading = number == 1 && cells.get(0).equalsIgnoreCase("unit");
    if (text.isBlank() || heading) {
      return;
    }
    String label = "line " + number + ", " + cells.get(0);
    if (cells.size() < LEAST_CELLS || cells.size() > MOST_CELLS) {
      typed.refuse(
          FIELD,
          label,
          "it has "
              + cells.size()
              + " cells; write unit, meter where there are several, value, and the day.");
      return;
    }
    List<MeterStanding> meters = byUnit.getOrDefault(key(cells.get(0)), List.of());
    if (meters.isEmpty()) {
      typed.refuse(FIELD, label, "there is no unit \"" + cells.get(0) + "\" with a meter.");
      return;
    }
    Optional<MeterStanding> named = named(meters, cells.get(1));
    int valueAt = named.isPresent() ? 2 : 1;
    Optional<MeterStanding> meter =
        named.or(() -> meters.size() == 1 ? Optional.of(meters.get(0)) : Optional.empty());
    if (meter.isEmpty() || valueAt >= cells.size()) {
      typed.refuse(FIELD, label, "name its meter: " + names(meters) + ".");
      return;
    }
    String day = cells.size() > valueAt + 1 ? cells.get(valueAt + 1) : today;
    typed.add(FIELD, label, meter.get(), cells.get(valueAt), day);
  }

  private static List<String> cells(String text) {
    String separator = text.contains("\t") ? "\t" : text.contains(";") ? ";" : ",";
    return Arrays.stream(text.split(separator, -1)).map(String::strip).toList();
  }

  private static Optional<MeterStanding> named(List<MeterStanding> meters, String name) {
    return meters.stream()
        .filter(meter -> meter.file().meter().name().equalsIgnoreCase(name))
        .findFirst();
  }

  private static String names(List<MeterStanding> meters) {
    return String.join(", ", meters.stream().map(meter -> meter.file().meter().name()).toList());
  }

  private static String key(String code) {
    return code.toUpperCase(Locale.ROOT);
  }
}
