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

  /** What of one item is used is taken down here. */
  @FunctionalInterface
  interface Column {

    /** Takes nothing down. */
    Column NOWHERE = (trial, week, thousandths) -> {};

    void take(int trial, int week, long thousandths);
  }

  /** Where one item is taken down, for who does so again and again. */
  default Column column(ItemId item) {
    return (trial, week, thousandths) -> take(item, trial, week, thousandths);
  }

  /** The same the other way round: what is taken down here is taken off there. */
  default TrialSink takingOff() {
    TrialSink there = this;
    return new TrialSink() {
      @Override
      public void take(ItemId item, int trial, int week, long thousandths) {
        there.take(item, trial, week, -thousandths);
      }

      @Override
      public Column column(ItemId item) {
        Column column = there.column(item);
        return (trial, week, thousandths) -> column.take(trial, week, -thousandths);
      }
    };
  }
}
