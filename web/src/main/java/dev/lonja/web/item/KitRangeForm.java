package dev.lonja.web.item;

import dev.lonja.core.quantity.Power;
import dev.lonja.core.quantity.Spoken;
import dev.lonja.core.take.KitRange;
import dev.lonja.core.text.Lengths;
import dev.lonja.web.request.Typed;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Reads which machines a kit is made for, a range a row. */
final class KitRangeForm {

  /** As many as a page shows. */
  static final int MOST_ROWS = 8;

  private static final String POWER_ALLOWED = "1 W to 100,000 kW";

  private final Map<String, String> fields;
  private final Typed typed;

  KitRangeForm(Map<String, String> fields, Typed typed) {
    this.fields = fields;
    this.typed = typed;
  }

  /** The form as it shows what is noted. */
  static Map<String, String> fields(List<KitRange> ranges) {
    Map<String, String> fields = new LinkedHashMap<>();
    for (int row = 0; row < ranges.size(); row++) {
      KitRange range = ranges.get(row);
      fields.put("make-" + row, range.make());
      fields.put("model-" + row, range.model());
      fields.put("engine-" + row, range.engine());
      fields.put("least-" + row, range.least().map(Power::exactText).orElse(""));
      fields.put("most-" + row, range.most().map(Power::exactText).orElse(""));
    }
    return fields;
  }

  /** A row in which nothing stands is none; empty if something is wrong. */
  Optional<List<KitRange>> read() {
    List<KitRange> ranges = new ArrayList<>();
    for (int row = 0; row < MOST_ROWS; row++) {
      range(row).filter(range -> !ranges.contains(range)).ifPresent(ranges::add);
    }
    return typed.all(() -> ranges);
  }

  private Optional<KitRange> range(int row) {
    String make = words("make-" + row, "The make");
    String model = words("model-" + row, "The model");
    String engine = words("engine-" + row, "The engine's code");
    Optional<Power> least = power("least-" + row, "The lowest power");
    Optional<Power> most = power("most-" + row, "The highest power");
    if (least.isPresent() && most.filter(high -> high.compareTo(least.get()) < 0).isPresent()) {
      typed.refuse(
          "most-" + row,
          "The highest power is "
              + most.get().display()
              + "; allowed is the lowest, "
              + least.get().display()
              + ", or more.");
      return Optional.empty();
    }
    return make.isEmpty()
            && model.isEmpty()
            && engine.isEmpty()
            && least.isEmpty()
            && most.isEmpty()
        ? Optional.empty()
        : Optional.of(new KitRange(make, model, engine, least, most));
  }

  private String text(String field) {
    return fields.getOrDefault(field, "").strip();
  }

  private String words(String field, String what) {
    return text(field).isEmpty()
        ? ""
        : typed.text(field, what, text(field), Lengths.NAME).orElse("");
  }

  private Optional<Power> power(String field, String what) {
    return text(field).isEmpty()
        ? Optional.empty()
        : typed.spoken(field, what, text(field), POWER_ALLOWED, Spoken.POWER);
  }
}
