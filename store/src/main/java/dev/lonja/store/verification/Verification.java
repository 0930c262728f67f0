package dev.lonja.store.verification;

import static dev.lonja.store.schema.Tables.CLASS_MONTH;
import static dev.lonja.store.schema.Tables.COMPARTMENT;
import static dev.lonja.store.schema.Tables.DEVIATION;
import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.LOT;
import static dev.lonja.store.schema.Tables.LOT_WORTH;
import static dev.lonja.store.schema.Tables.METER;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.PART;
import static dev.lonja.store.schema.Tables.POSITION;
import static dev.lonja.store.schema.Tables.REQUEST;
import static dev.lonja.store.schema.Tables.SERVICE;
import static dev.lonja.store.schema.Tables.STATEMENT;
import static dev.lonja.store.schema.Tables.STOCK;
import static dev.lonja.store.schema.Tables.TASK;
import static dev.lonja.store.schema.Tables.TASK_RECORD;
import static dev.lonja.store.schema.Tables.UNIT;
import static dev.lonja.store.schema.Tables.WITHDRAWAL;

import dev.lonja.core.crossref.ReplacementCircles;
import dev.lonja.core.crossref.ReplacementCircles.Replacement;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.place.BinId;
import dev.lonja.store.fleet.FleetRepository;
import dev.lonja.store.fleet.MeterDigests;
import dev.lonja.store.query.UnitScope;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Checks that a whole store agrees with itself: keys, ledger, stock, values. */
public final class Verification {

  /** Something that does not agree, in the table where it shows. */
  public record Finding(String table, String text) {}

  private static final int MONTHS = 12;
  private static final long MEAN_ONE = 120_000;
  private static final String OTHER = " refers to another variant's ";

  private final DSLContext context;
  private final List<Finding> findings = new ArrayList<>();

  public Verification(DSLContext context) {
    this.context = context;
  }

  /** Everything that does not agree; empty for a sound store. */
  public List<Finding> findings() {
    findings.clear();
    checkFile();
    checkKeys();
    checkStock();
    checkWorth();
    checkMovementPlaces();
    checkValues();
    checkAnswers();
    checkRequests();
    checkRecords();
    checkMonths();
    checkVariants();
    checkLeads();
    checkUnits();
    checkPreferredItems();
    checkItems();
    checkReplacements();
    findings.addAll(new FluidVerification(context).findings());
    findings.addAll(new TrayVerification(context).findings());
    findings.addAll(PolicyVerification.findings(context));
    findings.addAll(FillingVerification.findings(context));
    findings.addAll(StoresVerification.findings(context));
    if (findings.isEmpty()) {
      checkDigests();
    }
    return List.copyOf(findings);
  }

  private void add(String table, String text) {
    findings.add(new Finding(table, text));
  }

  /** Made of readings and calendars, which have to agree for it to say anything. */
  private void checkDigests() {
    FleetRepository fleet = new FleetRepository(context);
    new MeterDigests(context, new MeterDigests.Unkept(), false)
        .untrue(fleet.meters(UnitScope.ALL), fleet.calendars(UnitScope.ALL))
        .forEach(
            id ->
                add(
                    "meter_digest",
                    "what is kept of meter " + id + " is not what its readings come down to"));
  }

  private void checkFile() {
    for (Record row : context.fetch("PRAGMA integrity_check")) {
      if (!"ok".equals(row.get(0, String.class))) {
        add("file", row.get(0, String.class));
      }
    }
    for (Record row : context.fetch("PRAGMA foreign_key_check")) {
      add(row.get(0, String.class), "row " + row.get(1) + " refers to nothing");
    }
  }

  private void checkKeys() {
    for (Record row : context.select(PART.NUMBER, PART.NUMBER_KEY, PART.NEAR_KEY).from(PART)) {
      Optional<PartKey> key = PartKey.of(row.get(PART.NUMBER));
      boolean right =
          key.filter(k -> k.text().equals(row.get(PART.NUMBER_KEY)))
              .filter(k -> k.near().equals(row.get(PART.NEAR_KEY)))
              .isPresent();
      if (!right) {
        add("parts", row.get(PART.NUMBER) + " has the key " + row.get(PART.NUMBER_KEY));
      }
    }
  }

  private record LotInBin(LotId lot, BinId bin) {}

  private void checkStock() {
    Map<LotInBin, Long> sums = new HashMap<>();
    context
        .select(MOVEMENT.LOT_ID, MOVEMENT.BIN_ID, MOVEMENT.QUANTITY_MICRO)
        .from(MOVEMENT)
        .orderBy(MOVEMENT.ID)
        .forEach(
            row -> {
              long after =
                  sums.merge(new LotInBin(row.value1(), row.value2()), row.value3(), Long::sum);
              if (after < 0) {
                add("movements", "lot " + row.value1() + " goes below zero");
              }
            });
    Map<LotInBin, Long> stock =
        context
            .selectFrom(STOCK)
            .fetchMap(
                row -> new LotInBin(row.get(STOCK.LOT_ID), row.get(STOCK.BIN_ID)),
                row -> row.get(STOCK.QUANTITY_MICRO));
    sums.forEach(
        (place, sum) -> {
          if (!sum.equals(stock.get(place))) {
            add("movements", "lot " + place.lot() + " adds up to " + sum + ", not to its stock");
          }
        });
    if (!sums.keySet().containsAll(stock.keySet())) {
      add("movements", "there is stock that no movement accounts for");
    }
  }

  private void checkWorth() {
    Map<LotId, Long> sums =
        context
            .select(MOVEMENT.LOT_ID, DSL.sum(MOVEMENT.VALUE_MINOR).cast(Long.class))
            .from(MOVEMENT)
            .groupBy(MOVEMENT.LOT_ID)
            .fetchMap(row -> row.value1(), row -> row.value2());
    Map<LotId, Long> kept =
        context.selectFrom(LOT_WORTH).fetchMap(LOT_WORTH.LOT_ID, LOT_WORTH.VALUE_MINOR);
    Set<LotId> lots = new TreeSet<>(sums.keySet());
    lots.addAll(kept.keySet());
    for (LotId lot : lots) {
      if (!Objects.equals(sums.get(lot), kept.get(lot))) {
        add("movements", "what is kept of lot " + lot + " is not what its movements are worth");
      }
    }
  }

  private void checkMovementPlaces() {
    context
        .select(MOVEMENT.ID)
        .from(MOVEMENT)
        .join(LOT)
        .on(LOT.ID.eq(MOVEMENT.LOT_ID))
        .where(LOT.ITEM_ID.ne(MOVEMENT.ITEM_ID))
        .forEach(row -> add("movements", "movement " + row.value1() + " moves another item's lot"));
    context
        .select(MOVEMENT.ID)
        .from(MOVEMENT)
        .join(ITEM)
        .on(ITEM.ID.eq(MOVEMENT.ITEM_ID))
        .where(ITEM.MEASURE.eq("pc"), MOVEMENT.QUANTITY_MICRO.mod(1_000_000L).ne(0L))
        .forEach(row -> add("movements", "movement " + row.value1() + " moves part of a piece"));
  }

  /**
   * The value of what is on hand never falls below zero and is zero when nothing is left; what an
   * invoice changed counts together, since it goes onto a delivery and from there to what left.
   */
  private void checkValues() {
    Map<ItemId, long[]> running = new HashMap<>();
    Field<String> next =
        DSL.lead(DSL.iif(isRevalued(), MOVEMENT.REQUEST_KEY, DSL.inline("")))
            .over(DSL.partitionBy(MOVEMENT.ITEM_ID).orderBy(MOVEMENT.ID));
    Field<Boolean> goesOn =
        DSL.field(isRevalued().and(next.eq(MOVEMENT.REQUEST_KEY))).as("goes_on");
    context
        .select(
            MOVEMENT.ID, MOVEMENT.ITEM_ID, MOVEMENT.QUANTITY_MICRO, MOVEMENT.VALUE_MINOR, goesOn)
        .from(MOVEMENT)
        .orderBy(MOVEMENT.ID)
        .forEach(
            row -> {
              long[] sum = running.computeIfAbsent(row.value2(), id -> new long[2]);
              sum[0] += row.value3();
              sum[1] += row.value4();
              boolean isDone = !Boolean.TRUE.equals(row.value5());
              if (isDone && (sum[1] < 0 || (sum[0] == 0 && sum[1] != 0))) {
                add(
                    "movements",
                    "after movement " + row.value1() + " the item is worth " + sum[1] + " minor");
              }
            });
  }

  private static Condition isRevalued() {
    return MOVEMENT.KIND.eq(MovementKind.REVALUED.name());
  }

  private void checkAnswers() {
    var answer = MOVEMENT.as("answer");
    context
        .select(MOVEMENT.ID)
        .from(MOVEMENT)
        .join(answer)
        .on(answer.REFERS_TO.eq(MOVEMENT.ID))
        .groupBy(MOVEMENT.ID, MOVEMENT.QUANTITY_MICRO)
        .having(
            DSL.abs(DSL.sum(answer.QUANTITY_MICRO))
                .gt(DSL.abs(MOVEMENT.QUANTITY_MICRO).cast(java.math.BigDecimal.class)))
        .forEach(row -> add("movements", "more than movement " + row.value1() + " came back"));
  }

  private void checkRequests() {
    context
        .select(MOVEMENT.ID)
        .from(MOVEMENT)
        .leftJoin(REQUEST)
        .on(REQUEST.REQUEST_KEY.eq(MOVEMENT.REQUEST_KEY))
        .where(REQUEST.REQUEST_KEY.isNull())
        .forEach(row -> add("movements", "movement " + row.value1() + " has no request"));
  }

  /** What belongs to a variant refers to parts of the same variant only. */
  private void checkVariants() {
    context
        .select(POSITION.ID)
        .from(POSITION)
        .join(COMPARTMENT)
        .on(COMPARTMENT.ID.eq(POSITION.COMPARTMENT_ID))
        .where(COMPARTMENT.VARIANT_ID.ne(POSITION.VARIANT_ID))
        .forEach(row -> add("positions", "position " + row.value1() + OTHER + "compartment"));
    context
        .select(TASK.ID, SERVICE.VARIANT_ID, COMPARTMENT.VARIANT_ID, POSITION.VARIANT_ID)
        .from(TASK)
        .join(SERVICE)
        .on(SERVICE.ID.eq(TASK.SERVICE_ID))
        .leftJoin(COMPARTMENT)
        .on(COMPARTMENT.ID.eq(TASK.COMPARTMENT_ID))
        .leftJoin(POSITION)
        .on(POSITION.ID.eq(TASK.POSITION_ID))
        .forEach(
            row -> {
              String task = "task " + row.value1() + OTHER;
              addIfOther("tasks", row.value2(), row.value3(), task + "compartment");
              addIfOther("tasks", row.value2(), row.value4(), task + "position");
            });
  }

  /** A task is led by another one of its variant. */
  private void checkLeads() {
    var lead = TASK.as("lead");
    var leadService = SERVICE.as("lead_service");
    context
        .select(TASK.ID, SERVICE.VARIANT_ID, leadService.VARIANT_ID)
        .from(TASK)
        .join(SERVICE)
        .on(SERVICE.ID.eq(TASK.SERVICE_ID))
        .join(lead)
        .on(lead.ID.eq(TASK.WITH_TASK_ID))
        .join(leadService)
        .on(leadService.ID.eq(lead.SERVICE_ID))
        .forEach(
            row ->
                addIfOther(
                    "tasks", row.value2(), row.value3(), "task " + row.value1() + OTHER + "task"));
  }

  /** A unit has the meters that its tasks count by, and deviates in parts of its own variant. */
  private void checkUnits() {
    context
        .selectDistinct(UNIT.CODE, TASK.METER_NAME)
        .from(UNIT)
        .join(SERVICE)
        .on(SERVICE.VARIANT_ID.eq(UNIT.VARIANT_ID))
        .join(TASK)
        .on(TASK.SERVICE_ID.eq(SERVICE.ID))
        .leftJoin(METER)
        .on(METER.UNIT_ID.eq(UNIT.ID), METER.NAME.eq(TASK.METER_NAME))
        .where(TASK.METER_NAME.isNotNull(), METER.ID.isNull())
        .forEach(row -> add("units", row.value1() + " has no meter called " + row.value2()));
    var taskService = SERVICE.as("task_service");
    context
        .select(
            DEVIATION.ID,
            UNIT.VARIANT_ID,
            COMPARTMENT.VARIANT_ID,
            POSITION.VARIANT_ID,
            taskService.VARIANT_ID)
        .from(DEVIATION)
        .join(UNIT)
        .on(UNIT.ID.eq(DEVIATION.UNIT_ID))
        .leftJoin(COMPARTMENT)
        .on(COMPARTMENT.ID.eq(DEVIATION.COMPARTMENT_ID))
        .leftJoin(POSITION)
        .on(POSITION.ID.eq(DEVIATION.POSITION_ID))
        .leftJoin(TASK)
        .on(TASK.ID.eq(DEVIATION.TASK_ID))
        .leftJoin(taskService)
        .on(taskService.ID.eq(TASK.SERVICE_ID))
        .forEach(
            row -> {
              String deviation = "deviation " + row.value1() + OTHER;
              addIfOther("deviations", row.value2(), row.value3(), deviation + "compartment");
              addIfOther("deviations", row.value2(), row.value4(), deviation + "position");
              addIfOther("deviations", row.value2(), row.value5(), deviation + "task");
            });
  }

  private void addIfOther(String table, long variantId, @Nullable Long other, String text) {
    if (other != null && other != variantId) {
      add(table, text);
    }
  }

  /** No number replaces another that, over others, replaces it. */
  private void checkReplacements() {
    List<Replacement> all =
        context
            .select(STATEMENT.SUBJECT_ID, STATEMENT.OBJECT_ID)
            .from(STATEMENT)
            .leftJoin(WITHDRAWAL)
            .on(WITHDRAWAL.STATEMENT_ID.eq(STATEMENT.ID))
            .where(WITHDRAWAL.ID.isNull(), STATEMENT.KIND.eq(StatementKind.REPLACES.name()))
            .fetch(row -> new Replacement(row.value1(), row.value2()));
    ReplacementCircles circles = new ReplacementCircles(all);
    all.stream()
        .filter(circles::holds)
        .forEach(
            r ->
                add(
                    "statements",
                    "part " + r.subject() + " replaces part " + r.object() + " in a circle"));
  }

  /**
   * Of what is stocked the family is known, only fluids are counted in litres and only grease in
   * kilograms.
   */
  private void checkItems() {
    context
        .select(ITEM.ID, PART.FAMILY, ITEM.MEASURE)
        .from(ITEM)
        .join(PART)
        .on(PART.ID.eq(ITEM.PART_ID))
        .where(
            PART.FAMILY
                .isNull()
                .or(PART.FAMILY.eq(Family.FLUID.name()).ne(ITEM.MEASURE.eq("L")))
                .or(PART.FAMILY.eq(Family.GREASE.name()).ne(ITEM.MEASURE.eq("kg"))))
        .forEach(
            row ->
                add(
                    "items",
                    "item "
                        + row.value1()
                        + " is of family "
                        + row.value2()
                        + ", in "
                        + row.value3()));
  }

  /** Compartments take fluids, grease points grease, and other positions pieces. */
  private void checkPreferredItems() {
    context
        .select(COMPARTMENT.ID)
        .from(COMPARTMENT)
        .join(ITEM)
        .on(ITEM.ID.eq(COMPARTMENT.ITEM_ID).or(ITEM.ID.eq(COMPARTMENT.FLUSH_ITEM_ID)))
        .where(ITEM.MEASURE.ne("L"))
        .forEach(row -> add("compartments", "compartment " + row.value1() + " is to take pieces"));
    context
        .select(POSITION.ID)
        .from(POSITION)
        .join(ITEM)
        .on(ITEM.ID.eq(POSITION.ITEM_ID))
        .where(
            ITEM.MEASURE.ne(
                DSL.when(POSITION.KIND.eq(Position.Kind.GREASE_POINT.name()), "kg")
                    .otherwise("pc")))
        .forEach(
            row ->
                add(
                    "positions",
                    "position " + row.value1() + " is to take what is counted otherwise"));
  }

  private void checkRecords() {
    context
        .select(TASK_RECORD.ID)
        .from(TASK_RECORD)
        .join(TASK)
        .on(TASK.ID.eq(TASK_RECORD.TASK_ID))
        .where(TASK.METER_NAME.isNotNull(), TASK_RECORD.LIFE_TENTHS.isNull())
        .forEach(row -> add("task_records", "record " + row.value1() + " lacks the meter's value"));
  }

  private void checkMonths() {
    context
        .select(CLASS_MONTH.CLASS_ID, DSL.count(), DSL.sum(CLASS_MONTH.FACTOR_E4))
        .from(CLASS_MONTH)
        .groupBy(CLASS_MONTH.CLASS_ID)
        .forEach(
            row -> {
              if (row.value2() != MONTHS || row.value3().longValue() != MEAN_ONE) {
                add("class_months", "class " + row.value1() + " needs twelve factors with mean 1");
              }
            });
  }
}
