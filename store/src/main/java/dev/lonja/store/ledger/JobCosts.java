package dev.lonja.store.ledger;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.PART;
import static dev.lonja.store.schema.Tables.SERVICE;
import static dev.lonja.store.schema.Tables.TASK;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_TASK;

import dev.lonja.core.cost.JobCost;
import dev.lonja.core.cost.Outside;
import dev.lonja.core.cost.Spent;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.part.Family;
import dev.lonja.core.quantity.Money;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** What left the shelves with trays, added up by what it is; what came back is taken off. */
public final class JobCosts {

  private static final Field<BigDecimal> VALUE = DSL.sum(MOVEMENT.VALUE_MINOR);

  private final DSLContext context;
  private final Currency currency;

  public JobCosts(DSLContext context, Currency currency) {
    this.context = context;
    this.currency = currency;
  }

  /** All jobs of a unit, in order of their days. */
  public List<JobCost> of(UnitId unit) {
    return where(TRAY.UNIT_ID.eq(unit).and(TRAY.HANDED_OVER_ON.isNotNull()));
  }

  /**
   * The jobs whose trays went out from one day to another, both included, in order of their days.
   */
  public List<JobCost> between(LocalDate first, LocalDate last) {
    return where(TRAY.HANDED_OVER_ON.between(first, last));
  }

  private List<JobCost> where(Condition which) {
    Map<String, JobCost> jobs = new LinkedHashMap<>();
    context
        .select(TRAY.NUMBER, TRAY.UNIT_ID, TRAY.TITLE, TRAY.HANDED_OVER_ON, PART.FAMILY, VALUE)
        .from(TRAY)
        .join(MOVEMENT)
        .on(MOVEMENT.REFERENCE.eq(TRAY.NUMBER))
        .join(ITEM)
        .on(ITEM.ID.eq(MOVEMENT.ITEM_ID))
        .join(PART)
        .on(PART.ID.eq(ITEM.PART_ID))
        .where(which)
        .groupBy(TRAY.ID, PART.FAMILY)
        .orderBy(TRAY.HANDED_OVER_ON, TRAY.ID)
        .forEach(row -> jobs.merge(row.get(TRAY.NUMBER), job(row), JobCosts::together));
    Map<String, Outside> outside = outside(which);
    return jobs.values().stream()
        .map(
            job ->
                new JobCost(
                    job.tray(),
                    job.unitId(),
                    job.title(),
                    job.day(),
                    job.spent(),
                    outside.getOrDefault(job.tray(), job.outside())))
        .toList();
  }

  /** By tray, what its services would cost elsewhere; each service once. */
  private Map<String, Outside> outside(Condition which) {
    Map<String, Outside> outside = new HashMap<>();
    context
        .selectDistinct(TRAY.NUMBER, SERVICE.ID, SERVICE.QUOTED_MINOR)
        .from(TRAY)
        .join(TRAY_TASK)
        .on(TRAY_TASK.TRAY_ID.eq(TRAY.ID))
        .join(TASK)
        .on(TASK.ID.eq(TRAY_TASK.TASK_ID))
        .join(SERVICE)
        .on(SERVICE.ID.eq(TASK.SERVICE_ID))
        .where(which)
        .forEach(
            row ->
                outside.merge(
                    row.get(TRAY.NUMBER),
                    Optional.ofNullable(row.get(SERVICE.QUOTED_MINOR))
                        .map(minor -> new Outside(new Money(minor, currency), 0))
                        .orElse(new Outside(Money.zero(currency), 1)),
                    Outside::plus));
    return outside;
  }

  private static JobCost together(JobCost one, JobCost other) {
    return new JobCost(
        one.tray(),
        one.unitId(),
        one.title(),
        one.day(),
        one.spent().plus(other.spent()),
        one.outside());
  }

  private JobCost job(Record row) {
    return new JobCost(
        row.get(TRAY.NUMBER),
        Optional.ofNullable(row.get(TRAY.UNIT_ID)),
        row.get(TRAY.TITLE),
        row.get(TRAY.HANDED_OVER_ON),
        spent(Family.valueOf(row.get(PART.FAMILY)), row.get(VALUE).longValueExact()),
        Outside.nothing(currency));
  }

  /** What leaves the shelf counts below zero in the ledger. */
  private Spent spent(Family family, long booked) {
    Money zero = Money.zero(currency);
    Money cost = new Money(-booked, currency);
    return switch (family) {
      case FLUID -> new Spent(zero, cost, zero);
      case KIT -> new Spent(zero, zero, cost);
      default -> new Spent(cost, zero, zero);
    };
  }
}
