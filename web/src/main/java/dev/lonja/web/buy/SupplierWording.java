package dev.lonja.web.buy;

import dev.lonja.core.supplier.Supplier;
import dev.lonja.web.frame.Words;
import java.time.DayOfWeek;
import java.time.format.TextStyle;
import java.util.Locale;
import java.util.stream.Collectors;

/** Says on which terms a supplier delivers. */
public final class SupplierWording {

  private SupplierWording() {}

  /** "9 days as quoted, arrives Mon and Thu, orders up to Wed". */
  public static String terms(Supplier supplier) {
    String arrivals =
        supplier.deliveries().arrivals().isEmpty()
            ? ""
            : ", arrives "
                + supplier.deliveries().arrivals().stream()
                    .sorted()
                    .map(SupplierWording::day)
                    .collect(Collectors.joining(" and "));
    String cutOff =
        supplier.deliveries().cutOff().map(day -> ", orders up to " + day(day)).orElse("");
    return Words.count(supplier.leadDays(), "day", "days") + " as quoted" + arrivals + cutOff;
  }

  private static String day(DayOfWeek day) {
    return day.getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
  }
}
