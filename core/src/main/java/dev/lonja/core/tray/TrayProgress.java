package dev.lonja.core.tray;

import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Quantity;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A tray's lines in walking order, each with its state. Free stock is given out line by line in
 * that order, so that two lines of one item do not both count on the last piece.
 */
public record TrayProgress(List<Step> steps) {

  /** Where a line stands. */
  public enum LineState {
    LAID,
    TO_LAY,
    /** Not laid, and free stock does not cover what is missing. */
    SHORT,
    /** A person left out what is not laid. */
    LEFT_OUT
  }

  /** Where a whole tray stands, what needs attention first. */
  public enum State {
    SHORT,
    NOT_BEGUN,
    LAID_IN_PART,
    READY
  }

  /** A line with its state and what it lacks beyond free stock, zero unless it is short. */
  public record Step(TrayLine line, LineState state, Quantity lacking) {}

  public TrayProgress {
    steps = List.copyOf(steps);
  }

  /**
   * @param free what is usable and on no tray; stock that is absent has none
   */
  public static TrayProgress of(List<TrayLine> lines, Map<StockKey, Quantity> free) {
    Map<StockKey, Quantity> left = new HashMap<>(free);
    List<Step> steps = new ArrayList<>(lines.size());
    List<TrayLine> walk =
        lines.stream()
            .sorted(Comparator.comparing(TrayLine::walkOrder).thenComparing(TrayLine::id))
            .toList();
    for (TrayLine line : walk) {
      Quantity none = Quantity.zero(line.wanted().measure());
      Quantity available = left.getOrDefault(line.stock(), none);
      Quantity given = available.min(line.missing());
      left.put(line.stock(), available.minus(given));
      Quantity lacking = line.missing().minus(given);
      steps.add(new Step(line, state(line, lacking), lacking));
    }
    return new TrayProgress(steps);
  }

  /** An empty tray has not been begun. */
  public State state() {
    if (count(LineState.SHORT) > 0) {
      return State.SHORT;
    }
    if (laidCount() > 0 && laidCount() + leftOutCount() == steps.size()) {
      return State.READY;
    }
    boolean begun = steps.stream().anyMatch(step -> step.line().laid().isPositive());
    return begun ? State.LAID_IN_PART : State.NOT_BEGUN;
  }

  /** How many lines are laid whole. */
  public int laidCount() {
    return count(LineState.LAID);
  }

  /** How many lines the shelf cannot fill. */
  public int shortCount() {
    return count(LineState.SHORT);
  }

  /** How many lines a person left out. */
  public int leftOutCount() {
    return count(LineState.LEFT_OUT);
  }

  private int count(LineState state) {
    return (int) steps.stream().filter(step -> step.state() == state).count();
  }

  private static LineState state(TrayLine line, Quantity lacking) {
    if (line.isLaid()) {
      return LineState.LAID;
    }
    if (line.leftOut().isPresent()) {
      return LineState.LEFT_OUT;
    }
    return lacking.isPositive() ? LineState.SHORT : LineState.TO_LAY;
  }
}
