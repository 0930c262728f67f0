package dev.lonja.store.fluid;

import static dev.lonja.store.schema.Tables.COMPARTMENT;
import static dev.lonja.store.schema.Tables.SPEC_APPROVAL;
import static dev.lonja.store.schema.Tables.SPEC_CLASS;
import static dev.lonja.store.schema.Tables.SPEC_GRADE;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.ApprovalCode;
import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Grade;
import dev.lonja.core.grade.GradeChart;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.mixture.Protection;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.Temperature;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jspecify.annotations.Nullable;

/** What compartments demand of their fluids. */
public final class SpecRepository {

  private final DSLContext context;

  public SpecRepository(DSLContext context) {
    this.context = context;
  }

  /** The specs of all compartments, by compartment. */
  public Map<CompartmentId, Spec> all() {
    Map<CompartmentId, List<GradeRow>> charts =
        context
            .selectFrom(SPEC_GRADE)
            .orderBy(SPEC_GRADE.ID)
            .fetchGroups(SPEC_GRADE.COMPARTMENT_ID, SpecRepository::gradeRow);
    Map<CompartmentId, Map<Long, Set<ServiceClass>>> groups = new HashMap<>();
    context
        .selectFrom(SPEC_CLASS)
        .forEach(
            row ->
                groups
                    .computeIfAbsent(row.get(SPEC_CLASS.COMPARTMENT_ID), id -> new TreeMap<>())
                    .computeIfAbsent(row.get(SPEC_CLASS.GROUP_NO), no -> new HashSet<>())
                    .add(
                        new ServiceClass(
                            row.get(SPEC_CLASS.ORGANISATION), row.get(SPEC_CLASS.NAME))));
    Map<CompartmentId, List<ApprovalCode>> approvals =
        context
            .selectFrom(SPEC_APPROVAL)
            .orderBy(SPEC_APPROVAL.ID)
            .fetchGroups(
                SPEC_APPROVAL.COMPARTMENT_ID, row -> new ApprovalCode(row.get(SPEC_APPROVAL.CODE)));
    Map<CompartmentId, Spec> specs = new HashMap<>();
    for (Record row : context.selectFrom(COMPARTMENT)) {
      CompartmentId id = row.get(COMPARTMENT.ID);
      specs.put(
          id,
          new Spec(
              FluidKind.valueOf(row.get(COMPARTMENT.FLUID_KIND)),
              new GradeChart(charts.getOrDefault(id, List.of())),
              new ArrayList<>(groups.getOrDefault(id, Map.of()).values()),
              approvals.getOrDefault(id, List.of()),
              Spec.ApprovalMode.valueOf(row.get(COMPARTMENT.APPROVAL_MODE)),
              limits(row)));
    }
    return specs;
  }

  private static GradeRow gradeRow(Record row) {
    return new GradeRow(
        new Grade(row.get(SPEC_GRADE.GRADE)),
        temperature(row.get(SPEC_GRADE.LOWEST_TENTHS)),
        temperature(row.get(SPEC_GRADE.HIGHEST_TENTHS)));
  }

  private static Optional<Temperature> temperature(@Nullable Long tenths) {
    return Optional.ofNullable(tenths).map(Math::toIntExact).map(Temperature::new);
  }

  private static Spec.Limits limits(Record row) {
    return new Spec.Limits(
        Optional.ofNullable(row.get(COMPARTMENT.MOST_ASH_E3))
            .map(Math::toIntExact)
            .map(AshContent::new),
        Optional.ofNullable(row.get(COMPARTMENT.LEAST_ZINC_MG_KG)).map(Math::toIntExact),
        Spec.FrictionModifier.valueOf(row.get(COMPARTMENT.FRICTION_MODIFIER)),
        row.get(COMPARTMENT.WET_CLUTCH) == 1,
        row.get(COMPARTMENT.BIODEGRADABLE) == 1,
        Optional.ofNullable(row.get(COMPARTMENT.CHEMISTRY)).map(Chemistry::valueOf),
        Optional.ofNullable(row.get(COMPARTMENT.BASE)).map(BrakeBase::valueOf),
        new Protection(
            temperature(row.get(COMPARTMENT.PROTECT_TENTHS_C)),
            Optional.ofNullable(row.get(COMPARTMENT.MIX_SHARE_E4))
                .map(share -> BigDecimal.valueOf(share, 4))));
  }

  /** Writes the spec of a compartment in place of what was there. */
  public void save(CompartmentId compartmentId, Spec spec) {
    delete(compartmentId);
    Record row = context.newRecord(COMPARTMENT);
    write(row, spec);
    context.update(COMPARTMENT).set(row).where(COMPARTMENT.ID.eq(compartmentId)).execute();
    addRows(compartmentId, spec);
  }

  /** Puts the columns of a spec that stand in the compartment's own row. */
  public static void write(Record row, Spec spec) {
    Spec.Limits limits = spec.limits();
    row.set(COMPARTMENT.FLUID_KIND, spec.kind().name());
    row.set(COMPARTMENT.APPROVAL_MODE, spec.mode().name());
    row.set(
        COMPARTMENT.MOST_ASH_E3,
        limits.mostAsh().map(ash -> (long) ash.thousandthsOfPercent()).orElse(null));
    row.set(
        COMPARTMENT.LEAST_ZINC_MG_KG,
        limits.leastZincMilligrams().map(Integer::longValue).orElse(null));
    row.set(COMPARTMENT.FRICTION_MODIFIER, limits.frictionModifier().name());
    row.set(COMPARTMENT.WET_CLUTCH, limits.wetClutch() ? 1L : 0L);
    row.set(COMPARTMENT.BIODEGRADABLE, limits.biodegradable() ? 1L : 0L);
    row.set(COMPARTMENT.CHEMISTRY, limits.chemistry().map(Enum::name).orElse(null));
    row.set(COMPARTMENT.BASE, limits.base().map(Enum::name).orElse(null));
    row.set(
        COMPARTMENT.PROTECT_TENTHS_C,
        limits.protection().downTo().map(frost -> (long) frost.tenthsCelsius()).orElse(null));
    row.set(
        COMPARTMENT.MIX_SHARE_E4,
        limits
            .protection()
            .share()
            .map(share -> share.movePointRight(4).longValueExact())
            .orElse(null));
  }

  private void addRows(CompartmentId compartmentId, Spec spec) {
    for (GradeRow grade : spec.chart().rows()) {
      context
          .insertInto(SPEC_GRADE)
          .set(SPEC_GRADE.COMPARTMENT_ID, compartmentId)
          .set(SPEC_GRADE.GRADE, grade.grade().text())
          .set(SPEC_GRADE.LOWEST_TENTHS, tenths(grade.lowest()))
          .set(SPEC_GRADE.HIGHEST_TENTHS, tenths(grade.highest()))
          .execute();
    }
    long group = 0;
    for (Set<ServiceClass> classes : spec.classGroups()) {
      group++;
      for (ServiceClass serviceClass : classes.stream().sorted().toList()) {
        context
            .insertInto(SPEC_CLASS)
            .set(SPEC_CLASS.COMPARTMENT_ID, compartmentId)
            .set(SPEC_CLASS.GROUP_NO, group)
            .set(SPEC_CLASS.ORGANISATION, serviceClass.organisation())
            .set(SPEC_CLASS.NAME, serviceClass.name())
            .execute();
      }
    }
    for (ApprovalCode code : spec.approvals()) {
      context
          .insertInto(SPEC_APPROVAL)
          .set(SPEC_APPROVAL.COMPARTMENT_ID, compartmentId)
          .set(SPEC_APPROVAL.CODE, code.text())
          .execute();
    }
  }

  private static @Nullable Long tenths(Optional<Temperature> temperature) {
    return temperature.map(t -> (long) t.tenthsCelsius()).orElse(null);
  }

  /** Deletes what stands in tables of its own; the compartment's row stays. */
  public void delete(CompartmentId compartmentId) {
    context.deleteFrom(SPEC_GRADE).where(SPEC_GRADE.COMPARTMENT_ID.eq(compartmentId)).execute();
    context.deleteFrom(SPEC_CLASS).where(SPEC_CLASS.COMPARTMENT_ID.eq(compartmentId)).execute();
    context
        .deleteFrom(SPEC_APPROVAL)
        .where(SPEC_APPROVAL.COMPARTMENT_ID.eq(compartmentId))
        .execute();
  }
}
