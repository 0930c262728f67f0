package dev.lonja.web.unitclass;

import dev.lonja.core.fleet.Outline;
import dev.lonja.desk.variant.ClassDesk;
import dev.lonja.store.fleet.ClassRepository;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * One class of units.
 *
 * @param proposed months that readings suggest; empty if they say nothing
 * @param feed the path of its calendar, if it has one
 */
public record ClassView(
    String code,
    String name,
    List<String> units,
    String outline,
    List<Choice> outlines,
    long version,
    List<MonthField> months,
    MonthBars drawing,
    Optional<Proposal> proposed,
    Optional<String> feed) {

  public record Choice(String value, String words) {}

  /** A month of the form, with what is typed in it. */
  public record MonthField(int number, String name, String value) {}

  public record Proposal(MonthBars drawing, List<MonthField> months) {}

  /** All classes. */
  public record All(List<Row> rows) {}

  public record Row(String code, String name, int units) {}

  static All all(List<ClassDesk.Row> rows) {
    return new All(
        rows.stream()
            .map(row -> new Row(row.unitClass().code(), row.unitClass().name(), row.units()))
            .toList());
  }

  static ClassView of(ClassDesk.ClassFile file) {
    ClassRepository.StoredClass stored = file.stored();
    return new ClassView(
        stored.unitClass().code(),
        stored.unitClass().name(),
        file.units(),
        stored.outline().name(),
        Arrays.stream(Outline.values()).map(o -> new Choice(o.name(), o.words())).toList(),
        stored.version(),
        fields(stored.months()),
        MonthBars.bare(stored.months(), "The year of the class"),
        file.learned()
            .map(
                months ->
                    new Proposal(
                        MonthBars.named(months, "What the readings of two years suggest"),
                        fields(months))),
        stored.secret().map(secret -> "/feeds/" + secret + ".ics"));
  }

  private static List<MonthField> fields(List<Integer> factors) {
    List<MonthField> fields = new ArrayList<>();
    for (int month = 1; month <= factors.size(); month++) {
      String name = Month.of(month).getDisplayName(TextStyle.SHORT, Locale.ENGLISH);
      fields.add(new MonthField(month, name, MonthBars.words(factors.get(month - 1))));
    }
    return fields;
  }
}
