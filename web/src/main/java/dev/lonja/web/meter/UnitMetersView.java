package dev.lonja.web.meter;

import dev.lonja.core.meter.MeterId;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/** The page of one unit's meters, and of when it does not run. */
public record UnitMetersView(
    String code,
    String name,
    List<MeterBlock> meters,
    List<LayUpRow> layUps,
    String months,
    String unitClass,
    String classCode,
    String today) {

  /**
   * How much a meter is used.
   *
   * @param declared what somebody stated that it is used a day; empty if nobody did
   */
  public record Rate(String words, String declared) {}

  /**
   * One meter with all that was noted of it.
   *
   * @param life where it was exchanged, what the machine has run in all
   * @param last the last accepted reading, in words
   */
  public record MeterBlock(
      MeterId id,
      String name,
      String measure,
      String expected,
      String life,
      Rate rate,
      Optional<State> silent,
      String last,
      List<ReadingRow> readings,
      List<ReplacementRow> replacements) {}

  /**
   * A reading.
   *
   * @param why what speaks against it, or who accepted it
   * @param life what it stands for where the meter was exchanged, else empty
   * @param canBeCorrected false for one that ends a meter, or that was corrected
   */
  public record ReadingRow(
      long id,
      String day,
      String value,
      String life,
      State state,
      String why,
      boolean counts,
      boolean canBeCorrected) {}

  public record ReplacementRow(long id, String words) {}

  public record LayUpRow(long id, String words) {}
}
