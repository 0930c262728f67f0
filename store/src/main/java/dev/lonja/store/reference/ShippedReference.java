package dev.lonja.store.reference;

import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.NamedCsvRecord;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** The reference data as they ship, read once. */
final class ShippedReference {

  private static final Map<ReferenceFile, List<ReferenceRow>> ROWS = readAll();

  private ShippedReference() {}

  static List<ReferenceRow> rows(ReferenceFile file) {
    return Objects.requireNonNull(ROWS.get(file));
  }

  private static Map<ReferenceFile, List<ReferenceRow>> readAll() {
    Map<ReferenceFile, List<ReferenceRow>> all = new EnumMap<>(ReferenceFile.class);
    for (ReferenceFile file : ReferenceFile.values()) {
      all.put(file, read(file));
    }
    return all;
  }

  private static List<ReferenceRow> read(ReferenceFile file) {
    String name = file.fileName() + ".csv";
    List<ReferenceRow> rows = new ArrayList<>();
    try (Reader text =
            new InputStreamReader(
                Objects.requireNonNull(
                    ShippedReference.class.getResourceAsStream(
                        "/dev/lonja/store/reference/" + name),
                    name),
                StandardCharsets.UTF_8);
        CsvReader<NamedCsvRecord> lines = CsvReader.builder().ofNamedCsvRecord(text)) {
      for (NamedCsvRecord line : lines) {
        rows.add(
            new ReferenceRow(
                file, file.columns().stream().map(c -> line.getField(c.name())).toList()));
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return List.copyOf(rows);
  }
}
