package dev.lonja.store.tray;

import static dev.lonja.store.schema.Tables.KIT_TASK;
import static dev.lonja.store.schema.Tables.TRAY_LINE;

import dev.lonja.core.service.TaskId;
import java.util.Arrays;
import java.util.Collection;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** The rows that name the tasks of which a kit covers something. */
final class KitTasks {

  private static final String BETWEEN = ",";

  /** All tasks of a line in one cell, so that lines are read in one look. */
  static final Field<String> TOGETHER =
      DSL.field(
              DSL.select(DSL.groupConcat(KIT_TASK.TASK_ID).separator(BETWEEN))
                  .from(KIT_TASK)
                  .where(KIT_TASK.LINE_ID.eq(TRAY_LINE.ID)))
          .as("kit_tasks");

  private KitTasks() {}

  static void add(DSLContext context, long lineId, Collection<TaskId> tasks) {
    for (TaskId task : tasks) {
      context
          .insertInto(KIT_TASK)
          .set(KIT_TASK.LINE_ID, lineId)
          .set(KIT_TASK.TASK_ID, task)
          .execute();
    }
  }

  static Set<TaskId> of(Record line) {
    return Optional.ofNullable(line.get(TOGETHER)).stream()
        .flatMap(together -> Arrays.stream(together.split(BETWEEN)))
        .map(TaskId::valueOf)
        .collect(Collectors.toUnmodifiableSet());
  }
}
