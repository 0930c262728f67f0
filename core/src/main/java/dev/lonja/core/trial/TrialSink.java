package dev.lonja.core.trial;

import dev.lonja.core.item.ItemId;

/** Takes down what is used in trials. */
@FunctionalInterface
public interface TrialSink {

  /**
   * Something is used.
   *
   * @param week counted from the one that holds today
   * @param thousandths of what the item is counted in; above zero
   */
  void take(ItemId item, int trial, int week, long thousandths);

  /** The same the other way round: what is taken down here is taken off there. */
  default TrialSink takingOff() {
    return (item, trial, week, thousandths) -> take(item, trial, week, -thousandths);
  }
}
