package dev.lonja.store.tray;

import static dev.lonja.store.schema.Tables.TRAY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;
import static dev.lonja.store.schema.Tables.TRAY_TASK;

import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import java.util.Collection;
import org.jooq.DSLContext;

/** Which tasks a tray serves: some join, or go to another tray with what is laid for them. */
public final class TrayTaskRepository {

  private final DSLContext context;

  public TrayTaskRepository(DSLContext context) {
    this.context = context;
  }

  /** The tray serves these as well. */
  public void add(TrayId trayId, Collection<TaskId> taskIds) {
    for (TaskId taskId : taskIds) {
      context
          .insertInto(TRAY_TASK)
          .set(TRAY_TASK.TRAY_ID, trayId)
          .set(TRAY_TASK.TASK_ID, taskId)
          .execute();
    }
  }

  /** Another tray serves these from now on, and gets their lines as they lie. */
  public void give(TrayId from, TrayId to, Collection<TaskId> taskIds) {
    context
        .update(TRAY_TASK)
        .set(TRAY_TASK.TRAY_ID, to)
        .where(TRAY_TASK.TRAY_ID.eq(from), TRAY_TASK.TASK_ID.in(taskIds))
        .execute();
    context
        .update(TRAY_LINE)
        .set(TRAY_LINE.TRAY_ID, to)
        .where(TRAY_LINE.TRAY_ID.eq(from), TRAY_LINE.TASK_ID.in(taskIds))
        .execute();
  }

  public void setTitle(TrayId trayId, String title) {
    context.update(TRAY).set(TRAY.TITLE, title).where(TRAY.ID.eq(trayId)).execute();
  }
}
