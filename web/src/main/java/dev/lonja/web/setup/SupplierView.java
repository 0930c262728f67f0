package dev.lonja.web.setup;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.supplier.Freight;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.store.supplier.SupplierRepository;
import java.time.DayOfWeek;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * The terms of a supplier in a form.
 *
 * @param fields what stands in each: what was typed, else what is kept
 */
public record SupplierView(
    SupplierId id, String name, long version, List<Day> days, Map<String, String> fields) {

  /** A weekday: its name in the form, in words, and whether something arrives on it. */
  public record Day(String value, String field, String words, boolean arrives) {}

  static SupplierView of(SupplierRepository.Kept kept, Map<String, String> typed) {
    Supplier supplier = kept.supplier();
    Map<String, String> fields = typed.isEmpty() ? fields(supplier) : typed;
    return new SupplierView(
        supplier.id(),
        supplier.name(),
        kept.version(),
        Arrays.stream(DayOfWeek.values())
            .map(
                day ->
                    new Day(
                        day.name(),
                        "arrives-" + word(day),
                        word(day),
                        fields.containsKey("arrives-" + word(day))))
            .toList(),
        fields);
  }

  private static Map<String, String> fields(Supplier supplier) {
    Deliveries deliveries = supplier.deliveries();
    Map<String, String> fields = new LinkedHashMap<>();
    fields.put("name", supplier.name());
    fields.put("leadDays", String.valueOf(supplier.leadDays()));
    deliveries.arrivals().forEach(day -> fields.put("arrives-" + word(day), "yes"));
    fields.put("cutOff", deliveries.cutOff().map(Enum::name).orElse(""));
    fields.put("freight", supplier.freight().map(f -> f.each().exactText()).orElse(""));
    fields.put(
        "freeFrom", supplier.freight().flatMap(Freight::freeFrom).map(Money::exactText).orElse(""));
    fields.put(
        "closed",
        deliveries.closed().stream()
            .map(
                closed ->
                    closed.from().equals(closed.until())
                        ? closed.from().toString()
                        : closed.from() + " " + closed.until())
            .collect(Collectors.joining("\n")));
    return fields;
  }

  /** "monday". */
  static String word(DayOfWeek day) {
    return day.name().toLowerCase(Locale.ROOT);
  }
}
