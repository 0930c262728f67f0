package dev.lonja.store.exchange;

import de.siegmar.fastcsv.writer.CsvWriter;
import dev.lonja.store.verification.Verification;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;

/**
 * The whole store as files and back. What is exported and imported again exports to the same bytes.
 * An import checks everything first and writes into an empty store only; any problem means that the
 * caller undoes its transaction.
 */
public final class Exchange {

  private final DSLContext context;

  public Exchange(DSLContext context) {
    this.context = context;
  }

  /** The files of the exchange by name: one CSV per table and {@code datapackage.json}. */
  public Map<String, String> files() {
    Map<String, String> files = new LinkedHashMap<>();
    for (ExchangeTable table : ExchangeTables.ALL) {
      files.put(table.file(), csv(table));
    }
    files.put(DataPackage.FILE, DataPackage.json());
    return files;
  }

  /** Writes {@link #files} into a folder, which is made if need be. */
  public void exportTo(Path folder) {
    try {
      Files.createDirectories(folder);
      for (Map.Entry<String, String> file : files().entrySet()) {
        Files.writeString(folder.resolve(file.getKey()), file.getValue());
      }
    } catch (IOException e) {
      throw new UncheckedIOException("cannot write to " + folder, e);
    }
  }

  /** Loads a folder or zip. */
  public List<ExchangeProblem> importFrom(Path source) {
    ExchangeFiles files = ExchangeFiles.read(source);
    return files.problems().isEmpty() ? importTexts(files.texts()) : files.problems();
  }

  /** Loads files given by name; what they must hold is said in {@code docs/formats.md}. */
  public List<ExchangeProblem> importTexts(Map<String, String> texts) {
    List<ExchangeProblem> problems = new ArrayList<>();
    Map<String, List<CheckedRow>> rows = ExchangeCheck.check(texts, problems);
    if (problems.isEmpty()) {
      problems.addAll(new ExchangeRows(context).insert(rows));
    }
    if (problems.isEmpty()) {
      for (Verification.Finding finding : new Verification(context).findings()) {
        problems.add(
            new ExchangeProblem(
                finding.table() + ".csv", 0, "", finding.text(), "data that agree"));
      }
    }
    return problems;
  }

  private String csv(ExchangeTable table) {
    StringWriter text = new StringWriter();
    try (CsvWriter csv = CsvWriter.builder().build(text)) {
      csv.writeRecord(table.header());
      for (Record row : rows(table)) {
        csv.writeRecord(table.columns().stream().map(column -> column.print(row)).toList());
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return text.toString();
  }

  private Iterable<? extends Record> rows(ExchangeTable table) {
    Field<?> key = table.column(table.key().get(0)).field();
    return context.select().from(table.table()).orderBy(key).fetch();
  }
}
