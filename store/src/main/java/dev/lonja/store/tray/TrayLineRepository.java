package dev.lonja.store.tray;

import static dev.lonja.store.schema.Tables.TRAY_LINE;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.TakeLine;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.store.wanted.WantedRepository;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Record;

/** Writes the lines of trays. */
public final class TrayLineRepository {

  private final DSLContext context;

  public TrayLineRepository(DSLContext context) {
    this.context = context;
  }

  /** Adds a line that no task asks for, not laid yet. */
  public long addLine(
      TrayId trayId,
      ItemId itemId,
      String place,
      LineReason reason,
      Quantity wanted,
      Destination destination) {
    return addLine(trayId, itemId, place, reason, wanted, destination, Optional.empty());
  }

  /**
   * Adds a line that is not laid yet.
   *
   * @param destination the position or compartment it is for
   * @param taskId the task that asks for it
   */
  public long addLine(
      TrayId trayId,
      ItemId itemId,
      String place,
      LineReason reason,
      Quantity wanted,
      Destination destination,
      Optional<TaskId> taskId) {
    long id =
        context
            .insertInto(TRAY_LINE)
            .set(TRAY_LINE.TRAY_ID, trayId)
            .set(TRAY_LINE.ITEM_ID, itemId)
            .set(TRAY_LINE.PLACE, place)
            .set(LineReasons.columns(reason))
            .set(TRAY_LINE.WANTED_MICRO, wanted.millionths())
            .set(TRAY_LINE.POSITION_ID, destination.positionId().orElse(null))
            .set(TRAY_LINE.COMPARTMENT_ID, destination.compartmentId().orElse(null))
            .set(TRAY_LINE.TASK_ID, taskId.orElse(null))
            .returning(TRAY_LINE.ID)
            .fetchSingle(TRAY_LINE.ID);
    if (reason instanceof LineReason.Kit kit) {
      KitTasks.add(context, id, kit.tasks());
    }
    return id;
  }

  /** Adds a line that a service asks for, not laid yet, with the policies that made it. */
  public long addLine(TrayId trayId, TakeLine line) {
    long id =
        addLine(
            trayId,
            line.itemId(),
            line.place(),
            LineReason.of(line.reason()),
            line.toLay(),
            line.destination(),
            Optional.of(line.taskId()));
    LineWays.add(context, id, line.ways());
    return id;
  }

  /** Puts another item on a line in place of what was asked for; nothing of it is laid yet. */
  public void substitute(long lineId, ItemId itemId, Optional<TrayLine.Substitution> substitution) {
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.ITEM_ID, itemId)
        .set(TRAY_LINE.LOT_CONDITION, LotCondition.NEW.name())
        .set(TRAY_LINE.LAID_MICRO, 0L)
        .setNull(TRAY_LINE.SIGN_OFF_ID)
        .set(
            TRAY_LINE.INSTEAD_OF_ID,
            substitution.map(TrayLine.Substitution::originalItemId).orElse(null))
        .set(TRAY_LINE.INSTEAD_WHY, substitution.map(TrayLine.Substitution::why).orElse(""))
        .where(TRAY_LINE.ID.eq(lineId))
        .execute();
  }

  /** Says in which condition a line takes its item. */
  public void setCondition(long lineId, LotCondition condition) {
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.LOT_CONDITION, condition.name())
        .where(TRAY_LINE.ID.eq(lineId))
        .execute();
  }

  /**
   * Makes a line of its own of so much of a line, with nothing laid; what is left of the first is
   * above zero.
   */
  public long splitOff(TrayLine line, Quantity part) {
    Record row = context.selectFrom(TRAY_LINE).where(TRAY_LINE.ID.eq(line.id())).fetchSingle();
    row.changed(true);
    row.reset(TRAY_LINE.ID);
    row.set(TRAY_LINE.WANTED_MICRO, part.millionths());
    row.set(TRAY_LINE.LAID_MICRO, 0L);
    long id =
        context.insertInto(TRAY_LINE).set(row).returning(TRAY_LINE.ID).fetchSingle(TRAY_LINE.ID);
    LineWays.add(context, id, line.ways());
    setWanted(line.id(), line.wanted().minus(part));
    return id;
  }

  /** The signature that a line stands on. */
  public Optional<Long> signOffOf(long lineId) {
    return context
        .select(TRAY_LINE.SIGN_OFF_ID)
        .from(TRAY_LINE)
        .where(TRAY_LINE.ID.eq(lineId))
        .fetchOptional(TRAY_LINE.SIGN_OFF_ID);
  }

  /** Notes the signature that a line stands on. */
  public void setSignOff(long lineId, long signOffId) {
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.SIGN_OFF_ID, signOffId)
        .where(TRAY_LINE.ID.eq(lineId))
        .execute();
  }

  public void setLaid(long lineId, Quantity laid) {
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.LAID_MICRO, laid.millionths())
        .where(TRAY_LINE.ID.eq(lineId))
        .execute();
  }

  /** Asks for more or less on a line. */
  public void setWanted(long lineId, Quantity wanted) {
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.WANTED_MICRO, wanted.millionths())
        .where(TRAY_LINE.ID.eq(lineId))
        .execute();
  }

  /** Leaves out what is not laid of a line, or asks for it again. */
  public void setLeftOut(long lineId, Optional<String> why) {
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.LEFT_OUT_WHY, why.orElse(null))
        .where(TRAY_LINE.ID.eq(lineId))
        .execute();
  }

  /** Asks for so much less on a line, and lays no more than that; down to none it is struck. */
  public void lessen(TrayLine line, Quantity by) {
    Quantity left = line.wanted().minus(by);
    if (left.isPositive()) {
      setLaid(line.id(), line.laid().min(left));
      setWanted(line.id(), left);
    } else {
      removeLine(line.id());
    }
  }

  /** Strikes a line that is not laid; a wanted part that it was to bring is open again. */
  public void removeLine(long lineId) {
    new WantedRepository(context).openAgain(lineId);
    context.deleteFrom(TRAY_LINE).where(TRAY_LINE.ID.eq(lineId)).execute();
  }

  /** Takes everything off the tray; its lines stay. */
  public void unlayAll(TrayId trayId) {
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.LAID_MICRO, 0L)
        .where(TRAY_LINE.TRAY_ID.eq(trayId))
        .execute();
  }
}
