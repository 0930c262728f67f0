package dev.lonja.app.demo.master;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.service.TaskId;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * The demo's master data: files of the exchange format beside this class, as they stood on {@link
 * #WRITTEN_ON}. Every date in them moves along with the day on which the demo starts.
 */
public final class DemoMaster {

  public static final LocalDate WRITTEN_ON = LocalDate.parse("2027-03-15");

  private static final List<String> TABLES =
      List.of(
          "barcodes",
          "bins",
          "box_contents",
          "capacities",
          "class_months",
          "classes",
          "climate_months",
          "compartments",
          "deviations",
          "dispensers",
          "fluid_intervals",
          "item_bins",
          "items",
          "kit_ranges",
          "meters",
          "models",
          "part_properties",
          "parts",
          "policies",
          "positions",
          "product_approvals",
          "products",
          "services",
          "price_breaks",
          "satellites",
          "settings",
          "spec_approvals",
          "spec_classes",
          "spec_grades",
          "statements",
          "suppliers",
          "supplies",
          "tanks",
          "tasks",
          "units",
          "variants",
          "waste_containers",
          "waste_streams",
          "withdrawals");

  private static final Pattern DATE = Pattern.compile("\\b20[0-9]{2}-[0-9]{2}-[0-9]{2}\\b");

  private final Map<String, String> texts = new HashMap<>();
  private final Map<String, List<NamedCsvRecord>> rows = new HashMap<>();

  /**
   * A task of a variant; {@code interval} is in force, shortened where dust asks for it.
   *
   * @param isMeasured true for an inspection that asks for a value
   */
  public record TaskPlan(
      TaskId taskId,
      String service,
      String meter,
      double interval,
      int months,
      boolean inspects,
      boolean isMeasured) {}

  /** A unit of the fleet. */
  public record UnitRow(
      UnitId id, String code, long classId, long variantId, LocalDate inService) {}

  public DemoMaster(LocalDate today) {
    long later = ChronoUnit.DAYS.between(WRITTEN_ON, today);
    for (String table : TABLES) {
      String text = moved(resource("store/" + table + ".csv"), later);
      texts.put(table + ".csv", text);
      rows.put(table, read(text));
    }
  }

  /** By file name, as the import takes them. */
  public Map<String, String> texts() {
    return texts;
  }

  /** The rows of a file of the demo that is no table of the exchange format. */
  public static List<NamedCsvRecord> extra(String name) {
    return read(resource(name));
  }

  private static String moved(String text, long days) {
    return DATE.matcher(text)
        .replaceAll(date -> LocalDate.parse(date.group()).plusDays(days).toString());
  }

  private static String resource(String name) {
    try (InputStream input = DemoMaster.class.getResourceAsStream(name)) {
      if (input == null) {
        throw new IllegalStateException("the demo's file " + name + " is missing");
      }
      return new String(input.readAllBytes(), StandardCharsets.UTF_8);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static List<NamedCsvRecord> read(String text) {
    try (CsvReader<NamedCsvRecord> reader = CsvReader.builder().ofNamedCsvRecord(text)) {
      return reader.stream().toList();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static long number(NamedCsvRecord row, String column) {
    return Long.parseLong(row.getField(column));
  }

  private NamedCsvRecord only(String table, Map<String, ?> where) {
    return rows.get(table).stream()
        .filter(
            row ->
                where.entrySet().stream()
                    .allMatch(e -> row.getField(e.getKey()).equals(e.getValue().toString())))
        .findFirst()
        .orElseThrow(() -> new IllegalStateException("no row of " + table + " with " + where));
  }

  public UnitRow unit(String code) {
    NamedCsvRecord row = only("units", Map.of("code", code));
    return new UnitRow(
        new UnitId(number(row, "id")),
        code,
        number(row, "class_id"),
        number(row, "variant_id"),
        LocalDate.parse(row.getField("in_service_on")));
  }

  public MeterId meter(UnitId unit, String name) {
    return new MeterId(number(only("meters", Map.of("unit_id", unit, "name", name)), "id"));
  }

  public CompartmentId compartment(long variant, String name) {
    Map<String, Object> which = Map.of("variant_id", variant, "name", name);
    return new CompartmentId(number(only("compartments", which), "id"));
  }

  public ItemId item(String number) {
    long part = number(only("parts", Map.of("number", number)), "id");
    return new ItemId(number(only("items", Map.of("part_id", part)), "id"));
  }

  /** How much of its mean month a class runs in each month of the year. */
  public double[] months(long classId) {
    return rows.get("class_months").stream()
        .filter(row -> number(row, "class_id") == classId)
        .mapToDouble(row -> Double.parseDouble(row.getField("factor")))
        .toArray();
  }

  /** The tasks of a variant in order of entry. */
  public List<TaskPlan> tasks(long variant) {
    Map<Long, String> services = new HashMap<>();
    rows.get("services").stream()
        .filter(row -> number(row, "variant_id") == variant)
        .forEach(row -> services.put(number(row, "id"), row.getField("name")));
    return rows.get("tasks").stream()
        .filter(row -> services.containsKey(number(row, "service_id")))
        .map(row -> task(row, services.get(number(row, "service_id"))))
        .toList();
  }

  private static TaskPlan task(NamedCsvRecord row, String service) {
    String interval = row.getField("interval_h_or_km");
    String months = row.getField("interval_months");
    boolean byInterval = !interval.isEmpty() || !months.isEmpty();
    return new TaskPlan(
        new TaskId(number(row, "id")),
        service,
        row.getField("meter"),
        interval.isEmpty()
            ? 0
            : Double.parseDouble(interval) * Double.parseDouble(row.getField("severity")),
        byInterval ? (months.isEmpty() ? 0 : Integer.parseInt(months)) : 12,
        row.getField("action").equals("inspect"),
        !row.getField("value_kind").isEmpty());
  }

  /** When the store opens. */
  public static Instant morning(LocalDate day) {
    return day.atTime(7, 30).toInstant(ZoneOffset.UTC);
  }
}
