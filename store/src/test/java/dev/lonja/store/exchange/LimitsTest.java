package dev.lonja.store.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Stores;
import java.io.IOException;
import java.io.StringWriter;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * What is taken in can be taken out: each text is filled to its limit, goes in, comes out as it
 * was, and one character more is named and refused. What the format allows the schema allows.
 */
class LimitsTest {

  private static final Pattern LONGEST = Pattern.compile("text of 1 to (\\d+) characters.*");

  private static final Pattern RANGE =
      Pattern.compile("a .*number.* from -?[0-9.]+ to ([0-9.]+)(?:, at most (\\d+) decimals)?");

  /** What the program numbers by itself. */
  private static final Set<String> COUNTED = Set.of("id", "version", "line_no");

  /**
   * What another row says as well: sums of movements, what is laid of what is wanted, capacities.
   */
  private static final Set<String> TIED =
      Set.of(
          "class_months.month",
          "class_months.factor",
          "climate_months.id",
          "capacities.volume_l",
          "capacities.high_l",
          "deviations.volume_l");

  @TempDir private Path folder;

  private static Map<String, String> example() throws IOException {
    Map<String, String> texts = new TreeMap<>();
    for (ExchangeTable table : ExchangeTables.ALL) {
      texts.put(table.file(), Files.readString(Stores.EXAMPLE.resolve(table.file())));
    }
    return texts;
  }

  /** The table with another text in the first cell of a column that holds something. */
  private static String filled(String csv, int column, String text) throws IOException {
    StringWriter out = new StringWriter();
    try (CsvReader<CsvRecord> reader = CsvReader.builder().ofCsvRecord(csv);
        CsvWriter writer = CsvWriter.builder().build(out)) {
      boolean header = true;
      boolean done = false;
      for (CsvRecord line : reader) {
        List<String> cells = new ArrayList<>(line.getFields());
        if (!header && !done && !cells.get(column).isEmpty()) {
          cells.set(column, text);
          done = true;
        }
        header = false;
        writer.writeRecord(cells);
      }
    }
    return out.toString();
  }

  @Test
  void everyTextGoesInAndOutAtItsLimit() throws IOException {
    Map<String, String> texts = example();
    List<String> tried = new ArrayList<>();
    for (ExchangeTable table : ExchangeTables.ALL) {
      if (table.name().equals("requests") || table.name().equals("settings")) {
        // keys and hashes of the program's own
        continue;
      }
      for (int i = 0; i < table.columns().size(); i++) {
        Column<?> column = table.columns().get(i);
        Matcher longest = LONGEST.matcher(column.format().allowed());
        String before = texts.get(table.file());
        boolean refersElsewhere = column.references().isPresent();
        if (!longest.matches() || refersElsewhere || !isFree(table, column)) {
          continue;
        }
        int most = Integer.parseInt(longest.group(1));
        String at = filled(before, i, "M".repeat(most));
        if (at.equals(before)) {
          // no row has anything there
          continue;
        }
        tried.add(table.name() + "." + column.name());
        assertThat(problems(texts, table, filled(before, i, "M".repeat(most + 1))))
            .as("one more in %s.%s", table.name(), column.name())
            .anyMatch(problem -> problem.column().equals(column.name()));
        texts.put(table.file(), at);
      }
    }
    assertThat(tried).hasSizeGreaterThan(40);
    try (LonjaStore store = LonjaStore.open(folder.resolve("full.db"))) {
      assertThat(store.<List<ExchangeProblem>>write(s -> s.exchange().importTexts(texts)))
          .isEmpty();
      assertThat(store.<Map<String, String>>read(s -> s.exchange().files()))
          .containsAllEntriesOf(texts);
    }
  }

  /** A column of numbers with the largest that its format takes. */
  private record Numbers(ExchangeTable table, int index, Column<?> column, BigDecimal most) {

    static List<Numbers> all() {
      List<Numbers> all = new ArrayList<>();
      for (ExchangeTable table : ExchangeTables.ALL) {
        for (int i = 0; i < table.columns().size(); i++) {
          Column<?> column = table.columns().get(i);
          Matcher range = RANGE.matcher(column.format().allowed());
          boolean isKey = column.references().isPresent() || COUNTED.contains(column.name());
          if (range.matches() && !isKey) {
            int decimals = range.group(2) == null ? 0 : Integer.parseInt(range.group(2));
            all.add(
                new Numbers(table, i, column, new BigDecimal(range.group(1)).setScale(decimals)));
          }
        }
      }
      return all;
    }

    String name() {
      return table.name() + "." + column.name();
    }

    /** The next number that could be written. */
    BigDecimal oneMore() {
      return most.add(most.ulp());
    }
  }

  @Test
  void everyNumberGoesInAndOutAtItsLimit() throws IOException {
    Map<String, String> texts = example();
    List<String> tried = new ArrayList<>();
    for (Numbers numbers : Numbers.all()) {
      ExchangeTable table = numbers.table();
      String before = texts.get(table.file());
      String over = filled(before, numbers.index(), numbers.oneMore().toPlainString());
      if (over.equals(before)) {
        // no row has anything there
        continue;
      }
      assertThat(problems(texts, table, over))
          .as("one more in " + numbers.name())
          .anyMatch(problem -> problem.column().equals(numbers.column().name()));
      if (!TIED.contains(numbers.name())) {
        tried.add(numbers.name());
        String most = numbers.most().stripTrailingZeros().toPlainString();
        texts.put(table.file(), filled(before, numbers.index(), most));
      }
    }
    assertThat(tried).hasSizeGreaterThan(20);
    try (LonjaStore store = LonjaStore.open(folder.resolve("full.db"))) {
      assertThat(store.<List<ExchangeProblem>>write(s -> s.exchange().importTexts(texts)))
          .isEmpty();
      assertThat(store.<Map<String, String>>read(s -> s.exchange().files()))
          .containsAllEntriesOf(texts);
    }
  }

  /** Whatever the way in, the table itself takes no more than the format could take out. */
  @Test
  void theTablesTakeNoLargerNumberThanTheFormat() {
    Path file;
    try (LonjaStore store = Stores.example(folder)) {
      file = store.file();
    }
    Stores.texts(file, "SELECT name FROM sqlite_master WHERE type = 'trigger'")
        .forEach(trigger -> Stores.sql(file, "DROP TRIGGER " + trigger));
    List<String> taken = new ArrayList<>();
    List<String> refusals = new ArrayList<>();
    for (Numbers numbers : Numbers.all()) {
      String table = numbers.table().table().getName();
      String field = numbers.column().field().getName();
      String row = "SELECT rowid FROM %s WHERE %s IS NOT NULL LIMIT 1".formatted(table, field);
      if (!Stores.texts(file, row).isEmpty()) {
        String change =
            "UPDATE %s SET %s = %s WHERE rowid = (%s)"
                .formatted(table, field, numbers.oneMore().unscaledValue(), row);
        try {
          Stores.sql(file, change);
          taken.add(numbers.name());
        } catch (IllegalStateException refused) {
          refusals.add(refused.getMessage());
        }
      }
    }
    assertThat(taken).isEmpty();
    assertThat(refusals)
        .hasSizeGreaterThan(20)
        .allMatch(refusal -> refusal.contains("CHECK constraint failed"));
  }

  /** False for what stands for something else: a word of a list, or the name of a meter. */
  private static boolean isFree(ExchangeTable table, Column<?> column) {
    return table.rules().stream().noneMatch(rule -> rule.column().equals(column.name()))
        && !List.of(
                "meters.name",
                "tasks.meter",
                "fluid_intervals.fluid_class",
                "part_properties.value",
                "trays.number")
            .contains(table.name() + "." + column.name());
  }

  private List<ExchangeProblem> problems(
      Map<String, String> texts, ExchangeTable table, String csv) {
    Map<String, String> changed = new TreeMap<>(texts);
    changed.put(table.file(), csv);
    try (LonjaStore store = LonjaStore.open(folder.resolve("probe.db"))) {
      return store.write(session -> session.exchange().importTexts(changed));
    }
  }
}
