package dev.lonja.core.trial;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;

/** Takes down what is used in trials. */
public interface TrialSink {

  /**
   * A unit uses something.
   *
   * @param thousandths of what the item is counted in; above zero
   */
  void take(UnitId unit, ItemId item, int trial, int week, long thousandths);
}
