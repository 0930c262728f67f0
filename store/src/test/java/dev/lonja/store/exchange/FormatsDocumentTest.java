package dev.lonja.store.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Holds {@code docs/formats.md} against the format as it is. */
class FormatsDocumentTest {

  private static final Path DOCUMENT = Path.of("..", "docs", "formats.md");

  /**
   * Every table has a section with a block of two lines: its header and an example row that fits.
   */
  @Test
  void everyTableIsDocumentedWithARowThatFits() throws IOException {
    String document = Files.readString(DOCUMENT);
    for (ExchangeTable table : ExchangeTables.ALL) {
      Matcher block =
          Pattern.compile("## " + table.name() + "\n.*?```csv\n(.*?)```", Pattern.DOTALL)
              .matcher(document);
      assertThat(block.find()).as("a section on %s", table.name()).isTrue();
      for (Column<?> column : table.columns()) {
        assertThat(block.group()).contains(row(column));
      }
      try (CsvReader<CsvRecord> reader = CsvReader.builder().ofCsvRecord(block.group(1))) {
        List<CsvRecord> lines = reader.stream().toList();
        assertThat(lines.get(0).getFields()).isEqualTo(table.header());
        assertThat(lines.size()).as("rows of %s", table.name()).isGreaterThan(1);
        lines.subList(1, lines.size()).forEach(line -> checkCells(table, line));
      }
    }
  }

  /** What is allowed stands in the document as the import words it. */
  private static String row(Column<?> column) {
    return "| `%s` | %s | %s; %s"
        .formatted(
            column.name(),
            column.format().type(),
            column.meaning().replace("|", "\\|"),
            column.allowed());
  }

  private static void checkCells(ExchangeTable table, CsvRecord line) {
    for (int i = 0; i < table.columns().size(); i++) {
      Column<?> column = table.columns().get(i);
      String cell = line.getField(i);
      boolean good =
          cell.isEmpty() ? !column.required() : column.format().parse().apply(cell).isPresent();
      assertThat(good).as("%s.%s \"%s\"", table.name(), column.name(), cell).isTrue();
    }
  }
}
