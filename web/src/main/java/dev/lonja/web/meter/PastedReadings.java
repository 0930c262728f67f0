package dev.lonja.web.meter;

import dev.lonja.core.meter.MeterStanding;
import dev.lonja.desk.fleet.FleetPicture;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** Reads the lines of a pasted table of readings into a batch. */
final class PastedReadings {

  private static final String FIELD = "table";
  private static final int LEAST_CELLS = 2;
  private static final int MOST_CELLS = 4;

  private final Map<String, List<MeterStanding>> byUnit = new HashMap<>();
  private final ReadingBatch batch;
  private final String today;

  PastedReadings(FleetPicture fleet, ReadingBatch batch) {
    this.batch = batch;
    this.today = fleet.today().toString();
    fleet.units().forEach(unit -> byUnit.put(key(unit.code()), fleet.metersOf(unit)));
  }

  /** Takes one line; empty ones and a heading are passed over. */
  void line(int number, String text) {
    List<String> cells = cells(text);
    boolean heading = number == 1 && cells.get(0).equalsIgnoreCase("unit");
    if (text.isBlank() || heading) {
      return;
    }
    String label = "line " + number + ", " + cells.get(0);
    if (cells.size() < LEAST_CELLS || cells.size() > MOST_CELLS) {
      batch.refuse(
          FIELD,
          label,
          "it has "
              + cells.size()
              + " cells; write unit, meter where there are several, value, and the day.");
      return;
    }
    List<MeterStanding> meters = byUnit.get(key(cells.get(0)));
    if (meters == null) {
      batch.refuse(FIELD, label, "there is no unit \"" + cells.get(0) + "\".");
      return;
    }
    Optional<MeterStanding> named = named(meters, cells.get(1));
    int valueAt = named.isPresent() ? 2 : 1;
    Optional<MeterStanding> meter =
        named.or(() -> meters.size() == 1 ? Optional.of(meters.get(0)) : Optional.empty());
    if (meter.isEmpty() || valueAt >= cells.size()) {
      batch.refuse(FIELD, label, "name its meter: " + names(meters) + ".");
      return;
    }
    String day = cells.size() > valueAt + 1 ? cells.get(valueAt + 1) : today;
    batch.add(FIELD, label, meter.get(), cells.get(valueAt), day);
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
