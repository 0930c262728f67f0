package dev.lonja.store.reference;

import static dev.lonja.store.schema.Tables.REFERENCE_CHANGE;

import dev.lonja.core.fluid.ClassList;
import dev.lonja.core.fluid.Coverage;
import dev.lonja.core.fluid.FluidReference;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.grade.GradeTable;
import dev.lonja.core.mixture.FreezeTable;
import dev.lonja.core.mixture.Glycol;
import dev.lonja.core.quantity.Temperature;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Arrays;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jooq.DSLContext;

/**
 * The reference data in force: what ships, with this store's changes. A value that the store
 * changed is kept when what ships changes.
 */
public final class ReferenceRepository {

  private static final String BETWEEN_CELLS = "|";

  private final DSLContext context;

  public ReferenceRepository(DSLContext context) {
    this.context = context;
  }

  /** A change of the store's own; without cells the row was taken out. */
  public record Change(String key, Optional<List<String>> cells, String actor, Instant at) {}

  /** What ships. */
  public static List<ReferenceRow> shipped(ReferenceFile file) {
    return ShippedReference.rows(file);
  }

  /** What is in force: shipped rows in their order, then the store's own. */
  public List<ReferenceRow> rows(ReferenceFile file) {
    return merged(file, changes(file));
  }

  /** All changes of a file, oldest first. */
  public List<Change> changes(ReferenceFile file) {
    return context
        .selectFrom(REFERENCE_CHANGE)
        .where(REFERENCE_CHANGE.FILE.eq(file.fileName()))
        .orderBy(REFERENCE_CHANGE.ID)
        .fetch(
            row ->
                new Change(
                    row.get(REFERENCE_CHANGE.ROW_KEY),
                    Optional.ofNullable(row.get(REFERENCE_CHANGE.CONTENT))
                        .map(ReferenceRepository::cells),
                    row.get(REFERENCE_CHANGE.ACTOR),
                    row.get(REFERENCE_CHANGE.RECORDED_AT)));
  }

  private static List<String> cells(String content) {
    return Arrays.asList(content.split("\\|", -1));
  }

  private static List<ReferenceRow> merged(ReferenceFile file, List<Change> changes) {
    Map<String, ReferenceRow> rows = new LinkedHashMap<>();
    shipped(file).forEach(row -> rows.put(row.key(), row));
    for (Change change : changes) {
      change
          .cells()
          .ifPresentOrElse(
              cells -> rows.put(change.key(), new ReferenceRow(file, cells)),
              () -> rows.remove(change.key()));
    }
    return List.copyOf(rows.values());
  }

  /** Sets or adds a row. */
  public void put(ReferenceRow row, String actor, Instant at) {
    add(row.file(), row.key(), Optional.of(row.cells()), actor, at);
  }

  /** Takes a row out. */
  public void remove(ReferenceRow row, String actor, Instant at) {
    add(row.file(), row.key(), Optional.empty(), actor, at);
  }

  private void add(
      ReferenceFile file, String key, Optional<List<String>> cells, String actor, Instant at) {
    context
        .insertInto(REFERENCE_CHANGE)
        .set(REFERENCE_CHANGE.FILE, file.fileName())
        .set(REFERENCE_CHANGE.ROW_KEY, key)
        .set(
            REFERENCE_CHANGE.CONTENT,
            cells.map(list -> String.join(BETWEEN_CELLS, list)).orElse(null))
        .set(REFERENCE_CHANGE.ACTOR, actor)
        .set(REFERENCE_CHANGE.RECORDED_AT, at)
        .execute();
  }

  /** What verdicts rest on, as this store has it. */
  public FluidReference fluids() {
    Map<ReferenceFile, List<ReferenceRow>> rows = new EnumMap<>(ReferenceFile.class);
    for (ReferenceFile file : ReferenceFile.values()) {
      rows.put(file, shipped(file));
    }
    Map<String, List<Change>> changes =
        context
            .selectFrom(REFERENCE_CHANGE)
            .orderBy(REFERENCE_CHANGE.ID)
            .fetchGroups(
                REFERENCE_CHANGE.FILE,
                row ->
                    new Change(
                        row.get(REFERENCE_CHANGE.ROW_KEY),
                        Optional.ofNullable(row.get(REFERENCE_CHANGE.CONTENT))
                            .map(ReferenceRepository::cells),
                        row.get(REFERENCE_CHANGE.ACTOR),
                        row.get(REFERENCE_CHANGE.RECORDED_AT)));
    changes.forEach(
        (name, list) ->
            ReferenceFile.named(name).ifPresent(file -> rows.put(file, merged(file, list))));
    return fluids(rows::get);
  }

  /** The same from rows that are not in force yet; those must be sound. */
  public static FluidReference fluids(Function<ReferenceFile, List<ReferenceRow>> rows) {
    GradeTable grades =
        new GradeTable(
            temperatures(rows.apply(ReferenceFile.ENGINE_COLD), "cranking_at_c"),
            grades(rows.apply(ReferenceFile.ENGINE_HOT)),
            temperatures(rows.apply(ReferenceFile.GEAR_COLD), "at_150000_mpas_c"),
            grades(rows.apply(ReferenceFile.GEAR_HOT)),
            grades(rows.apply(ReferenceFile.HYDRAULIC_GRADES)),
            grades(rows.apply(ReferenceFile.CONSISTENCIES)));
    ClassList classes = classes(rows.apply(ReferenceFile.SERVICE_CLASSES));
    return new FluidReference(
        grades,
        classes,
        Coverage.of(pairs(classes, rows.apply(ReferenceFile.CLASS_COVERS))),
        freezing(rows.apply(ReferenceFile.FREEZE_POINTS)));
  }

  /**
   * The tables that rows of {@link ReferenceFile#FREEZE_POINTS} make, each beginning with plain
   * water at 0 °C; a glycol whose rows make none is absent.
   */
  public static Map<Glycol, FreezeTable> freezing(List<ReferenceRow> rows) {
    Map<Glycol, FreezeTable> tables = new EnumMap<>(Glycol.class);
    for (Glycol glycol : Glycol.values()) {
      String points =
          rows.stream()
              .filter(row -> row.cell("glycol").equals(glycol.name().toLowerCase(Locale.ROOT)))
              .sorted(Comparator.comparing(row -> new BigDecimal(row.cell("share"))))
              .map(row -> "; " + row.cell("share") + " " + row.cell("freezes_at_c"))
              .collect(Collectors.joining());
      FreezeTable.read("0 0" + points).ifPresent(table -> tables.put(glycol, table));
    }
    return tables;
  }

  /** The list of classes that rows of {@link ReferenceFile#SERVICE_CLASSES} make. */
  public static ClassList classes(List<ReferenceRow> rows) {
    return new ClassList(
        rows.stream()
            .map(
                row ->
                    new ClassList.Entry(
                        new ServiceClass(row.cell("organisation"), row.cell("name")),
                        row.cell("organisation_needed").equals("yes")))
            .toList());
  }

  /** What rows of {@link ReferenceFile#CLASS_COVERS} say of classes that are known. */
  public static List<Coverage.Pair> pairs(ClassList classes, List<ReferenceRow> rows) {
    return rows.stream()
        .flatMap(
            row ->
                classes.named(row.cell("newer")).stream()
                    .flatMap(
                        newer ->
                            classes.named(row.cell("older")).stream()
                                .map(older -> new Coverage.Pair(newer, older))))
        .toList();
  }

  private static Map<String, Temperature> temperatures(List<ReferenceRow> rows, String column) {
    return rows.stream()
        .collect(
            Collectors.toMap(
                row -> row.cell("grade"),
                row -> Temperature.ofCelsius(new BigDecimal(row.cell(column)))));
  }

  private static Set<String> grades(List<ReferenceRow> rows) {
    return rows.stream().map(row -> row.cell("grade")).collect(Collectors.toSet());
  }
}
