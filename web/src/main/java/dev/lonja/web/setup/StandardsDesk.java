package dev.lonja.web.setup;

import dev.lonja.core.fluid.ClassList;
import dev.lonja.core.fluid.Coverage;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.reference.ReferenceColumn;
import dev.lonja.store.reference.ReferenceFile;
import dev.lonja.store.reference.ReferenceRepository;
import dev.lonja.store.reference.ReferenceRow;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** The public reference data, shown with the standards they remind of and edited with a history. */
@Service
@Allowed.ToSeeStore
public class StandardsDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public StandardsDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** A file in the list; {@code changed} rows are this store's own. */
  record FileRow(String name, String title, String standard, int rows, int changed) {}

  /**
   * One file.
   *
   * @param history what this store changed, newest first
   */
  record View(
      String name,
      String title,
      String standard,
      boolean editable,
      List<ReferenceColumn> columns,
      List<Row> rows,
      List<Change> history) {}

  /** A row; {@code own} if it is not as shipped. */
  record Row(String key, List<String> cells, boolean own) {}

  record Change(String when, String who, String what) {}

  List<FileRow> files() {
    return store.read(
        session ->
            Arrays.stream(ReferenceFile.values())
                .map(
                    file -> {
                      List<Row> rows = rows(session, file);
                      int own = (int) rows.stream().filter(Row::own).count();
                      return new FileRow(
                          file.fileName(), file.title(), file.standard(), rows.size(), own);
                    })
                .toList());
  }

  private static List<Row> rows(Session session, ReferenceFile file) {
    Set<ReferenceRow> shipped = Set.copyOf(ReferenceRepository.shipped(file));
    return session.references().rows(file).stream()
        .map(row -> new Row(row.key(), row.cells(), !shipped.contains(row)))
        .toList();
  }

  Optional<View> view(String name) {
    return ReferenceFile.named(name).map(file -> store.read(session -> view(session, file)));
  }

  private View view(Session session, ReferenceFile file) {
    List<Change> history = new ArrayList<>();
    for (ReferenceRepository.Change change : session.references().changes(file)) {
      LocalDate day = LocalDate.ofInstant(change.at(), session.settings().timeZone());
      history.add(
          0,
          new Change(
              Words.day(day, clock.today()),
              change.actor(),
              change
                  .cells()
                  .map(cells -> String.join(" · ", cells))
                  .orElse(change.key().replace("|", " · ") + " taken out")));
    }
    return new View(
        file.fileName(),
        file.title(),
        file.standard(),
        file.isEditable(),
        file.columns(),
        rows(session, file),
        history);
  }

  /** Sets or adds a row. */
  @Allowed.ToKeepStore
  public Outcome put(Sent sent, String name, Map<String, String> fields) {
    return change(
        sent,
        name,
        (session, file, typed) -> {
          List<String> cells = new ArrayList<>();
          for (ReferenceColumn column : file.columns()) {
            String cell = fields.getOrDefault(column.name(), "").strip();
            cells.add(cell);
            if (!column.allows(cell)) {
              typed.refuse(
                  column.name(),
                  column.title()
                      + " is \""
                      + cell
                      + "\"; allowed is "
                      + column.kind().allowed()
                      + (column.mayBeEmpty() ? ", or nothing." : "."));
            }
          }
          if (typed.problems().isEmpty()) {
            ReferenceRow row = new ReferenceRow(file, cells);
            session.references().put(row, sent.actor(), clock.now());
          }
        });
  }

  /** Takes a row out. */
  @Allowed.ToKeepStore
  public Outcome remove(Sent sent, String name, String key) {
    return change(
        sent,
        name,
        (session, file, typed) ->
            session.references().rows(file).stream()
                .filter(row -> row.key().equals(key))
                .findFirst()
                .ifPresentOrElse(
                    row -> session.references().remove(row, sent.actor(), clock.now()),
                    () -> typed.refuse("", "That row is not there any more.")));
  }

  private interface Edit {
    void run(Session session, ReferenceFile file, Typed typed);
  }

  /** An edit that is undone if what it leaves is unsound as a whole. */
  private Outcome change(Sent sent, String name, Edit edit) {
    return once.run(
        sent,
        session -> {
          Optional<ReferenceFile> file =
              ReferenceFile.named(name).filter(ReferenceFile::isEditable);
          if (file.isEmpty()) {
            return Outcome.refused(Problem.ofWhole("These data are not edited."));
          }
          Typed typed = new Typed();
          edit.run(session, file.get(), typed);
          if (typed.problems().isEmpty()) {
            checkClasses(session, typed);
          }
          return typed.problems().isEmpty()
              ? new Outcome.Done("/setup/standards/" + name)
              : new Outcome.Refused(typed.problems());
        });
  }

  /** What covers what must be known classes, and never run in a circle. */
  private static void checkClasses(Session session, Typed typed) {
    ClassList classes =
        ReferenceRepository.classes(session.references().rows(ReferenceFile.SERVICE_CLASSES));
    List<ReferenceRow> covers = session.references().rows(ReferenceFile.CLASS_COVERS);
    for (ReferenceRow row : covers) {
      for (String column : List.of("newer", "older")) {
        if (classes.named(row.cell(column)).isEmpty()) {
          typed.refuse(
              column,
              "\""
                  + row.cell(column)
                  + "\" is not a class of the list; write it with its organisation, such as API"
                  + " CK-4. Covering names known classes only.");
        }
      }
    }
    Coverage.circle(ReferenceRepository.pairs(classes, covers))
        .ifPresent(
            circle ->
                typed.refuse(
                    "newer",
                    "That makes a circle: "
                        + circle.stream().map(ServiceClass::text).collect(Collectors.joining(", "))
                        + " would cover each other. Covering runs from newer to older."));
  }
}
