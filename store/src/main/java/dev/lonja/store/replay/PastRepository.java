package dev.lonja.store.replay;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.LOT;
import static dev.lonja.store.schema.Tables.MOVEMENT;
import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;
import static dev.lonja.store.schema.Tables.WANTED_PART;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.schema.tables.Tray;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Currency;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** What moved and what stood short, of all things and all days. */
public final class PastRepository {

  private static final Tray SERVED = TRAY.as("served");

  private final DSLContext context;
  private final ZoneId zone;
  private final Currency currency;

  /**
   * @param zone in which the store's days begin
   */
  public PastRepository(DSLContext context, ZoneId zone, Currency currency) {
    this.context = context;
    this.zone = zone;
    this.currency = currency;
  }

  /**
   * A movement of new stock with what corrected it and what came back of it, on its day.
   *
   * @param reference the tray or the like that it was for; may be empty
   * @param quantity below zero if it went out, and its {@code value} too
   */
  public record Net(
      ItemId itemId,
      LocalDate day,
      MovementKind kind,
      String reference,
      Quantity quantity,
      Money value) {

    /** With so much more of it. */
    public Net plus(Quantity more, Money worth) {
      return new Net(itemId, day, kind, reference, quantity.plus(more), value.plus(worth));
    }
  }

  /** The numbers of the trays that were laid for services. */
  public List<String> serviceTrays() {
    return context
        .select(TRAY.NUMBER)
        .from(TRAY)
        .where(TRAY.PURPOSE.eq("SERVICE"))
        .fetch(TRAY.NUMBER);
  }

  /** The day of the first movement, if anything ever moved. */
  public Optional<LocalDate> firstDay() {
    return context
        .select(DSL.min(MOVEMENT.RECORDED_AT).as("first"))
        .from(MOVEMENT)
        .fetchOptional(row -> row.get("first", Instant.class))
        .map(at -> LocalDate.ofInstant(at, zone));
  }

  /**
   * In order of entry; what was corrected to nothing is left out, and what invoices changed later.
   */
  public List<Net> movements() {
    Map<Long, Long> roots = new HashMap<>();
    Map<Long, Net> nets = new LinkedHashMap<>();
    for (Record row : rows()) {
      long id = row.get(MOVEMENT.ID);
      MovementKind kind = MovementKind.valueOf(row.get(MOVEMENT.KIND));
      Quantity quantity =
          new Quantity(Measure.ofSymbol(row.get(ITEM.MEASURE)), row.get(MOVEMENT.QUANTITY_MICRO));
      Money value = new Money(row.get(MOVEMENT.VALUE_MINOR), currency);
      Long answers = row.get(MOVEMENT.REFERS_TO);
      boolean isAnswer = kind == MovementKind.CORRECTION || kind == MovementKind.RETURN;
      long root = isAnswer && answers != null ? roots.getOrDefault(answers, answers) : id;
      roots.put(id, root);
      if (root == id) {
        nets.put(id, net(row, kind, quantity, value));
      } else {
        nets.computeIfPresent(root, (r, known) -> known.plus(quantity, value));
      }
    }
    return nets.values().stream().filter(net -> !net.quantity().isZero()).toList();
  }

  private Net net(Record row, MovementKind kind, Quantity quantity, Money value) {
    return new Net(
        row.get(MOVEMENT.ITEM_ID),
        LocalDate.ofInstant(row.get(MOVEMENT.RECORDED_AT), zone),
        kind,
        row.get(MOVEMENT.REFERENCE),
        quantity,
        value);
  }

  private List<? extends Record> rows() {
    return context
        .select(
            MOVEMENT.ID,
            MOVEMENT.ITEM_ID,
            MOVEMENT.KIND,
            MOVEMENT.QUANTITY_MICRO,
            MOVEMENT.VALUE_MINOR,
            MOVEMENT.REFERS_TO,
            MOVEMENT.RECORDED_AT,
            MOVEMENT.REFERENCE,
            ITEM.MEASURE)
        .from(MOVEMENT)
        .join(ITEM)
        .on(ITEM.ID.eq(MOVEMENT.ITEM_ID))
        .join(LOT)
        .on(LOT.ID.eq(MOVEMENT.LOT_ID))
        .where(
            LOT.CONDITION.eq(LotCondition.NEW.name()),
            MOVEMENT.KIND.ne(MovementKind.REVALUED.name()))
        .orderBy(MOVEMENT.ID)
        .fetch();
  }

  /**
   * A line of a tray of which something was lacking.
   *
   * @param itemId what was asked for, whatever was laid instead
   * @param wantedOn the day of its tray
   * @param servedOn when what it lacked was handed over; empty if it has not been
   * @param byTray the number of the tray that brought it then; empty with {@code servedOn}
   * @param isDropped true if nobody waits for it any more
   */
  public record ShortLine(
      ItemId itemId,
      LocalDate wantedOn,
      Quantity lacking,
      Optional<LocalDate> servedOn,
      String byTray,
      boolean isDropped) {}

  /** Lines that lacked something on the day of their tray, which is before the given one. */
  public List<ShortLine> shortLines(LocalDate before) {
    List<ShortLine> lines = new ArrayList<>();
    context
        .select(
            DSL.coalesce(TRAY_LINE.INSTEAD_OF_ID, TRAY_LINE.ITEM_ID).as("asked"),
            TRAY.PLANNED_ON,
            TRAY.STATE,
            TRAY_LINE.WANTED_MICRO,
            TRAY_LINE.LAID_MICRO,
            ITEM.MEASURE,
            WANTED_PART.ID,
            WANTED_PART.DROPPED_WHY,
            SERVED.HANDED_OVER_ON,
            SERVED.NUMBER)
        .from(TRAY_LINE)
        .join(TRAY)
        .on(TRAY.ID.eq(TRAY_LINE.TRAY_ID))
        .join(ITEM)
        .on(ITEM.ID.eq(TRAY_LINE.ITEM_ID))
        .leftJoin(WANTED_PART)
        .on(WANTED_PART.LEFT_OUT_LINE_ID.eq(TRAY_LINE.ID))
        .leftJoin(TRAY_LINE.as("brings"))
        .on(TRAY_LINE.as("brings").ID.eq(WANTED_PART.LINE_ID))
        .leftJoin(SERVED)
        .on(SERVED.ID.eq(TRAY_LINE.as("brings").TRAY_ID))
        .where(
            TRAY_LINE.LAID_MICRO.lt(TRAY_LINE.WANTED_MICRO),
            TRAY.PLANNED_ON.lt(before),
            TRAY.STATE.ne("CLEARED"))
        .orderBy(TRAY_LINE.ID)
        .forEach(row -> lines.add(line(row)));
    return lines;
  }

  private static ShortLine line(Record row) {
    Optional<LocalDate> served = Optional.ofNullable(row.get(SERVED.HANDED_OVER_ON));
    boolean open = row.get(TRAY.STATE).equals("OPEN");
    boolean waits = row.get(WANTED_PART.ID) != null && row.get(WANTED_PART.DROPPED_WHY) == null;
    return new ShortLine(
        row.get("asked", ItemId.class),
        row.get(TRAY.PLANNED_ON),
        new Quantity(
            Measure.ofSymbol(row.get(ITEM.MEASURE)),
            row.get(TRAY_LINE.WANTED_MICRO) - row.get(TRAY_LINE.LAID_MICRO)),
        served,
        served.map(day -> row.get(SERVED.NUMBER)).orElse(""),
        !open && !waits);
  }
}
