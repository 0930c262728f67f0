package dev.lonja.store.crossref;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import de.siegmar.fastcsv.writer.CsvWriter;
import dev.lonja.core.calendar.SensibleDay;
import dev.lonja.core.crossref.Confidence;
import dev.lonja.core.crossref.NewStatement;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.statementlist.KnownParts;
import dev.lonja.core.statementlist.ListCheck;
import dev.lonja.core.statementlist.ListProblem;
import dev.lonja.core.statementlist.ListRow;
import dev.lonja.core.text.Lengths;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.math.BigDecimal;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.CancellationException;
import java.util.function.UnaryOperator;

/**
 * Lists of cross-references as CSV files, in and out: {@code make, number, kind, other_make,
 * other_number} and, if they are there, {@code confidence, note, source, said_on}.
 */
public final class StatementList {

  private static final List<String> NEEDED =
      List.of("make", "number", "kind", "other_make", "other_number");
  private static final List<String> ALL =
      List.of(
          "make",
          "number",
          "kind",
          "other_make",
          "other_number",
          "confidence",
          "note",
          "source",
          "said_on");
  private static final int LONGEST = Lengths.NAME;
  private static final int LONGEST_NOTE = Lengths.REASON;
  private static final int STEP = 2_000;

  private final StatementRepository statements;

  /**
   * What a list says of all its rows, where a row does not say otherwise.
   *
   * @param source whose list it is
   */
  public record Origin(Source source, LocalDate saidOn) {}

  /** Hears how far the work is, and stops it by throwing {@link CancellationException}. */
  public interface Progress {
    void at(long rows);
  }

  public StatementList(StatementRepository statements) {
    this.statements = statements;
  }

  /** Reads a list and holds it against what stands; nothing is written. */
  public ListCheck.Result check(Path file, Origin origin, Progress progress) {
    KnownParts parts = new KnownParts();
    statements.forEachPart(parts::add);
    ListCheck check = new ListCheck(parts);
    statements.forEachStanding(check::standing);
    try (InputStream input = Files.newInputStream(file);
        CsvReader<CsvRecord> reader =
            CsvReader.builder()
                .skipEmptyLines(true)
                .allowMissingFields(true)
                .allowExtraFields(true)
                .ofCsvRecord(input)) {
      read(reader, check, origin, progress);
    } catch (CsvParseException e) {
      check.refuse(new ListProblem(0, "", "" + e.getMessage(), "CSV by RFC 4180, in UTF-8"));
    } catch (IOException e) {
      throw new UncheckedIOException("cannot read " + file, e);
    }
    return check.result();
  }

  private static void read(
      CsvReader<CsvRecord> reader, ListCheck check, Origin origin, Progress progress) {
    Map<String, Integer> columns = new HashMap<>();
    long rows = 0;
    for (CsvRecord line : reader) {
      if (columns.isEmpty()) {
        for (int i = 0; i < line.getFieldCount(); i++) {
          columns.put(line.getField(i).strip().replace("\uFEFF", ""), i);
        }
        if (!columns.keySet().containsAll(NEEDED)) {
          check.refuse(
              new ListProblem(
                  line.getStartingLineNumber(),
                  "",
                  String.join(",", line.getFields()),
                  "a header with " + String.join(", ", NEEDED)));
          return;
        }
      } else {
        new Row(line, columns, origin).into(check);
        if (++rows % STEP == 0) {
          progress.at(rows);
        }
      }
    }
    if (columns.isEmpty()) {
      check.refuse(new ListProblem(1, "", "an empty file", String.join(",", NEEDED)));
    }
    progress.at(rows);
  }

  /** One line while it is read; the first thing wrong with it is told. */
  private static final class Row {
    private final CsvRecord line;
    private final Map<String, Integer> columns;
    private final Origin origin;
    private Optional<ListProblem> problem = Optional.empty();

    Row(CsvRecord line, Map<String, Integer> columns, Origin origin) {
      this.line = line;
      this.columns = columns;
      this.origin = origin;
    }

    void into(ListCheck check) {
      String make = text("make");
      String number = number("number");
      StatementKind kind = word("kind", StatementKind.values(), StatementKind.SAME);
      String otherMake = text("other_make");
      String otherNumber = number("other_number");
      Source source =
          cell("source").isEmpty()
              ? origin.source()
              : word("source", Source.values(), origin.source());
      LocalDate saidOn = day();
      Confidence confidence = confidence(source);
      String note = cell("note");
      if (note.length() > LONGEST_NOTE) {
        refuse("note", note.substring(0, 40) + "…", "at most " + LONGEST_NOTE + " characters");
      }
      problem.ifPresentOrElse(
          check::refuse,
          () ->
              check.add(
                  new ListRow(
                      line.getStartingLineNumber(),
                      make,
                      number,
                      kind,
                      otherMake,
                      otherNumber,
                      source,
                      saidOn,
                      confidence,
                      note)));
    }

    private String cell(String column) {
      Integer at = columns.get(column);
      return at == null || at >= line.getFieldCount() ? "" : line.getField(at).strip();
    }

    private void refuse(String column, String value, String allowed) {
      if (problem.isEmpty()) {
        problem =
            Optional.of(new ListProblem(line.getStartingLineNumber(), column, value, allowed));
      }
    }

    private String text(String column) {
      String text = cell(column);
      if (text.isEmpty() || text.length() > LONGEST) {
        refuse(column, text, "text of 1 to " + LONGEST + " characters");
      }
      return text;
    }

    private String number(String column) {
      String text = text(column);
      if (PartKey.of(text).isEmpty()) {
        refuse(column, text, "a number with at least one letter or digit");
      }
      return text;
    }

    private <E extends Enum<E>> E word(String column, E[] words, E otherwise) {
      String text = cell(column);
      return Arrays.stream(words)
          .filter(word -> word.name().equalsIgnoreCase(text))
          .findFirst()
          .orElseGet(
              () -> {
                refuse(
                    column,
                    text,
                    "one of "
                        + String.join(
                            ", ",
                            Arrays.stream(words)
                                .map(word -> word.name().toLowerCase(Locale.ROOT))
                                .toList()));
                return otherwise;
              });
    }

    private LocalDate day() {
      String text = cell("said_on");
      if (text.isEmpty()) {
        return origin.saidOn();
      }
      try {
        LocalDate day = LocalDate.parse(text);
        if (SensibleDay.is(day)) {
          return day;
        }
        refuse("said_on", text, "a date " + SensibleDay.ALLOWED);
        return origin.saidOn();
      } catch (DateTimeException e) {
        refuse("said_on", text, "a date as YYYY-MM-DD");
        return origin.saidOn();
      }
    }

    private Confidence confidence(Source source) {
      String text = cell("confidence");
      if (text.isEmpty()) {
        return source.confidence();
      }
      boolean number = text.matches("[01](\\.[0-9]{1,4})?");
      BigDecimal value = number ? new BigDecimal(text) : BigDecimal.ZERO;
      if (value.signum() <= 0 || value.compareTo(BigDecimal.ONE) > 0) {
        refuse("confidence", text, "more than 0, up to 1, at most four decimals");
        return source.confidence();
      }
      return new Confidence(value);
    }
  }

  /** Writes what a checked list has that is new; the caller's transaction is the whole of it. */
  public void write(ListCheck.Result checked, String actor, Instant at, Progress progress) {
    Map<PartId, PartId> ids = statements.addParts(checked.newParts());
    List<NewStatement> fresh = checked.fresh();
    for (int from = 0; from < fresh.size(); from += STEP) {
      List<NewStatement> step = new ArrayList<>(STEP);
      for (NewStatement s : fresh.subList(from, Math.min(from + STEP, fresh.size()))) {
        step.add(
            s.between(
                ids.getOrDefault(s.subject(), s.subject()),
                ids.getOrDefault(s.object(), s.object())));
      }
      statements.addAll(step, actor, at);
      progress.at(from + step.size());
    }
  }

  /**
   * Writes every standing statement as a list, which can be read in again if its cells are as they
   * are.
   *
   * @param cell how a cell is written
   */
  public void export(Writer target, UnaryOperator<String> cell) {
    Map<PartId, String[]> names = new HashMap<>();
    statements.forEachPart((id, make, number, key) -> names.put(id, new String[] {make, number}));
    CsvWriter csv = CsvWriter.builder().build(target);
    csv.writeRecord(ALL);
    statements.forEachStanding(
        s ->
            write(
                csv,
                cell,
                names.get(s.subject())[0],
                names.get(s.subject())[1],
                s.kind().name().toLowerCase(Locale.ROOT),
                names.get(s.object())[0],
                names.get(s.object())[1],
                PlainDecimal.of(s.confidence().value()),
                s.note(),
                s.source().name().toLowerCase(Locale.ROOT),
                s.saidOn().toString()));
    try {
      csv.flush();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void write(CsvWriter csv, UnaryOperator<String> cell, String... cells) {
    csv.writeRecord(Arrays.stream(cells).map(cell).toList());
  }
}
