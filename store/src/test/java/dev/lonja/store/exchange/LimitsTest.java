package dev.lonja.store.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Stores;
import java.io.IOException;
import java.io.StringWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
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
        if (longest.matches() && !refersElsewhere && isFree(table, column)) {
          int most = Integer.parseInt(longest.group(1));
          String at = filled(before, i, "M".repeat(most));
          if (!at.equals(before)) {
            tried.add(table.name() + "." + column.name());
            assertThat(problems(texts, table, filled(before, i, "M".repeat(most + 1))))
                .as("one more in %s.%s", table.name(), column.name())
                .anyMatch(problem -> problem.column().equals(column.name()));
            texts.put(table.file(), at);
          }
        }
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

  /** False for what stands for something else: a word of a list, or the name of a meter. */
  private static boolean isFree(ExchangeTable table, Column<?> column) {
    return table.rules().stream().noneMatch(rule -> rule.column().equals(column.name()))
        && !List.of("meters.name", "tasks.meter", "part_properties.value", "trays.number")
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
