package dev.lonja.web.work;

import dev.lonja.web.inspection.FoundEntry;
import java.util.List;

/** The page on which work without a tray is noted. */
public record WorkView(
    String code,
    String name,
    String today,
    List<MeterField> meters,
    List<Service> services,
    List<Row> latest) {

  /** A meter that was read when the work was done. */
  public record MeterField(String field, String label) {}

  /** Tasks of one service. */
  public record Service(String name, List<TaskField> tasks) {}

  /**
   * A task that may be ticked.
   *
   * @param foundField where what an inspection found is chosen; empty for other work
   * @param values the value that it asks for, if it does
   */
  public record TaskField(
      String field,
      String name,
      String foundField,
      List<FoundEntry.ValueFields> values,
      List<FoundEntry.Choice> choices) {}

  /**
   * Work on record.
   *
   * @param from the tray it came from, or where it was done
   * @param mayWithdraw true for what came from no tray
   */
  public record Row(
      long id,
      String day,
      String task,
      String at,
      String from,
      String actor,
      boolean mayWithdraw) {}
}
