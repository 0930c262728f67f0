package dev.lonja.desk.setting;

import dev.lonja.core.fluid.ClassList;
import dev.lonja.core.fluid.Coverage;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.reference.ReferenceColumn;
import dev.lonja.store.reference.ReferenceFile;
import dev.lonja.store.reference.ReferenceRepository;
import dev.lonja.store.reference.ReferenceRow;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** The public reference data, shown as shipped and as this store has them, with a history. */
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

  /** A file with its rows. */
  public record Standard(ReferenceFile file, List<Row> rows) {

    /** How many rows are this store's own. */
    public int changed() {
      return (int) rows.stream().filter(Row::own).count();
    }
  }

  /** A row; {@code own} if it is not as shipped. */
  public record Row(ReferenceRow row, boolean own) {}

  /** One file with what this store changed in it, newest first. */
  public record Edited(Standard standard, List<ReferenceRepository.Change> history) {}

  /** Why a row was not changed. */
  public sealed interface Refused extends Refusal {}

  /** These data are not edited. */
  public record NotEdited() implements Refused {}

  /** A cell holds what its column does not allow. */
  public record BadCell(ReferenceColumn column, String cell) implements Refused {}

  /** The row is not there any more. */
  public record NoSuchRow() implements Refused {}

  /** Covering names a class that is not in the list; {@code column} is newer or older. */
  public record UnknownClass(String column, String name) implements Refused {}

  /** The freeze points of a glycol would not fall as its share rises, or it is not known. */
  public record BadFreezing(String glycol) implements Refused {}

  /** Classes would cover each other. */
  public record Circle(Set<ServiceClass> classes) implements Refused {}

  public List<Standard> all() {
    return store.read(
        session ->
            Arrays.stream(ReferenceFile.values()).map(file -> standard(session, file)).toList());
  }

  private static Standard standard(Session session, ReferenceFile file) {
    Set<ReferenceRow> shipped = Set.copyOf(ReferenceRepository.shipped(file));
    return new Standard(
        file,
        session.references().rows(file).stream()
            .map(row -> new Row(row, !shipped.contains(row)))
            .toList());
  }

  /** Empty if no file has this name. */
  public Optional<Edited> file(String name) {
    return ReferenceFile.named(name)
        .map(
            file ->
                store.read(
                    session -> {
                      List<ReferenceRepository.Change> history =
                          new ArrayList<>(session.references().changes(file));
                      Collections.reverse(history);
                      return new Edited(standard(session, file), history);
                    }));
  }

  /** Sets or adds a row; {@code cells} by the names of the columns. */
  @Allowed.ToKeepStore
  public Outcome put(Sent sent, String name, Map<String, String> cells) {
    return change(
        sent,
        name,
        (session, file) -> {
          List<Refused> refusals = new ArrayList<>();
          List<String> row = new ArrayList<>();
          for (ReferenceColumn column : file.columns()) {
            String cell = cells.getOrDefault(column.name(), "").strip();
            row.add(cell);
            if (!column.allows(cell)) {
              refusals.add(new BadCell(column, cell));
            }
          }
          if (refusals.isEmpty()) {
            session.references().put(new ReferenceRow(file, row), sent.actor(), clock.now());
          }
          return refusals;
        });
  }

  /** Takes a row out. */
  @Allowed.ToKeepStore
  public Outcome remove(Sent sent, String name, String key) {
    return change(
        sent,
        name,
        (session, file) -> {
          Optional<ReferenceRow> row =
              session.references().rows(file).stream().filter(r -> r.key().equals(key)).findFirst();
          row.ifPresent(r -> session.references().remove(r, sent.actor(), clock.now()));
          return row.isPresent() ? List.of() : List.of(new NoSuchRow());
        });
  }

  private interface Edit {
    List<? extends Refused> run(Session session, ReferenceFile file);
  }

  /** An edit that is undone if what it leaves is unsound as a whole. */
  private Outcome change(Sent sent, String name, Edit edit) {
    return once.run(
        sent,
        session -> {
          Optional<ReferenceFile> file =
              ReferenceFile.named(name).filter(ReferenceFile::isEditable);
          if (file.isEmpty()) {
            return Outcome.refused(new NotEdited());
          }
          List<Refused> refusals = new ArrayList<>(edit.run(session, file.get()));
          if (refusals.isEmpty()) {
            refusals.addAll(unsound(session));
          }
          return refusals.isEmpty() ? Outcome.done() : new Outcome.Refused(refusals);
        });
  }

  /**
   * What covers what must be known classes, and never run in a circle; freeze points must fall as
   * shares rise.
   */
  private static List<Refused> unsound(Session session) {
    ClassList classes =
        ReferenceRepository.classes(session.references().rows(ReferenceFile.SERVICE_CLASSES));
    List<ReferenceRow> covers = session.references().rows(ReferenceFile.CLASS_COVERS);
    List<Refused> refusals = new ArrayList<>();
    for (ReferenceRow row : covers) {
      for (String column : List.of("newer", "older")) {
        if (classes.named(row.cell(column)).isEmpty()) {
          refusals.add(new UnknownClass(column, row.cell(column)));
        }
      }
    }
    Coverage.circle(ReferenceRepository.pairs(classes, covers))
        .map(Circle::new)
        .ifPresent(refusals::add);
    List<ReferenceRow> freezing = session.references().rows(ReferenceFile.FREEZE_POINTS);
    Set<String> sound =
        ReferenceRepository.freezing(freezing).keySet().stream()
            .map(glycol -> glycol.name().toLowerCase(Locale.ROOT))
            .collect(Collectors.toSet());
    freezing.stream()
        .map(row -> row.cell("glycol"))
        .distinct()
        .filter(glycol -> !sound.contains(glycol))
        .map(BadFreezing::new)
        .forEach(refusals::add);
    return refusals;
  }
}
