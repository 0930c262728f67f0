package dev.lonja.web.work;

import java.util.List;

/**
 * The page on which is said when each task of a machine was last done.
 *
 * @param variant the number of its variant, where what it is made of is said
 */
public record LastDoneView(
    String code, String name, long variant, String inService, List<Service> services) {

  /** Tasks of one service. */
  public record Service(String name, List<TaskRow> tasks) {}

  /**
   * A task.
   *
   * @param interval how often it falls due
   * @param known when it was last done, if that is on record
   * @param shown what its meter counts, such as "road meter, km"; empty if it counts by none
   */
  public record TaskRow(
      String name,
      String interval,
      String known,
      String field,
      String dayField,
      String shownField,
      String shown) {}
}
