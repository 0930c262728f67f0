package dev.lonja.store.verification;

import static dev.lonja.store.schema.Tables.CHANGE_OVER;
import static dev.lonja.store.schema.Tables.CLIMATE_MONTH;
import static dev.lonja.store.schema.Tables.COMPARTMENT;
import static dev.lonja.store.schema.Tables.FLUID_INTERVAL;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.SIGN_OFF;
import static dev.lonja.store.schema.Tables.TOP_UP;
import static dev.lonja.store.schema.Tables.UNIT;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.ClassList;
import dev.lonja.core.fluid.Coverage;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.item.ItemId;
import dev.lonja.store.reference.ReferenceFile;
import dev.lonja.store.reference.ReferenceRepository;
import dev.lonja.store.verification.Verification.Finding;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Table;
import org.jooq.impl.DSL;

/** Checks that what is kept of fluids agrees with itself. */
final class FluidVerification {

  private static final int MONTHS = 12;

  private final DSLContext context;
  private final List<Finding> findings = new ArrayList<>();

  FluidVerification(DSLContext context) {
    this.context = context;
  }

  List<Finding> findings() {
    checkYear();
    checkClasses();
    checkItems("change_overs", CHANGE_OVER, CHANGE_OVER.ID, CHANGE_OVER.ITEM_ID);
    checkItems("sign_offs", SIGN_OFF, SIGN_OFF.ID, SIGN_OFF.ITEM_ID);
    checkItems("top_ups", TOP_UP, TOP_UP.ID, TOP_UP.ITEM_ID);
    checkPlaces("sign_offs", SIGN_OFF, SIGN_OFF.ID, SIGN_OFF.UNIT_ID, SIGN_OFF.COMPARTMENT_ID);
    checkPlaces("top_ups", TOP_UP, TOP_UP.ID, TOP_UP.UNIT_ID, TOP_UP.COMPARTMENT_ID);
    return findings;
  }

  private void add(String table, String text) {
    findings.add(new Finding(table, text));
  }

  private void checkYear() {
    int months = context.fetchCount(CLIMATE_MONTH);
    if (months != 0 && months != MONTHS) {
      add("climate_months", "the temperature year has " + months + " months, not twelve");
    }
  }

  /**
   * Covering that runs in a circle would leave no verdict to be given; an interval that holds while
   * a class is in names one that there is.
   */
  private void checkClasses() {
    ReferenceRepository references = new ReferenceRepository(context);
    ClassList classes = ReferenceRepository.classes(references.rows(ReferenceFile.SERVICE_CLASSES));
    Coverage.circle(ReferenceRepository.pairs(classes, references.rows(ReferenceFile.CLASS_COVERS)))
        .ifPresent(
            circle ->
                add(
                    "reference_changes",
                    circle.stream().map(ServiceClass::text).collect(Collectors.joining(", "))
                        + " cover each other in a circle"));
    context
        .select(FLUID_INTERVAL.ID, FLUID_INTERVAL.FLUID_CLASS)
        .from(FLUID_INTERVAL)
        .where(DSL.lower(FLUID_INTERVAL.FLUID_CLASS).notIn(names(classes)))
        .orderBy(FLUID_INTERVAL.ID)
        .forEach(
            row ->
                add(
                    "fluid_intervals",
                    "row " + row.value1() + " holds while " + row.value2() + ", no class, is in"));
  }

  /** With their organisations and without, as labels have them. */
  private static Set<String> names(ClassList classes) {
    return classes.all().stream()
        .flatMap(known -> Stream.of(known.text(), known.name()))
        .map(name -> name.toLowerCase(Locale.ROOT))
        .collect(Collectors.toSet());
  }

  /** What goes into a compartment is a fluid. */
  private void checkItems(String name, Table<?> table, Field<Long> id, Field<ItemId> item) {
    context
        .select(id)
        .from(table)
        .join(ITEM)
        .on(ITEM.ID.eq(item))
        .where(ITEM.MEASURE.ne("L"))
        .forEach(row -> add(name, "row " + row.value1() + " puts pieces into a compartment"));
  }

  private void checkPlaces(
      String name,
      Table<?> table,
      Field<Long> id,
      Field<UnitId> unit,
      Field<CompartmentId> compartment) {
    context
        .select(id)
        .from(table)
        .join(UNIT)
        .on(UNIT.ID.eq(unit))
        .join(COMPARTMENT)
        .on(COMPARTMENT.ID.eq(compartment))
        .where(COMPARTMENT.VARIANT_ID.ne(UNIT.VARIANT_ID))
        .forEach(
            row -> add(name, "row " + row.value1() + " refers to another variant's compartment"));
  }
}
