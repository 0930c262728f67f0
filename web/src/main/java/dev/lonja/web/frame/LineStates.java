package dev.lonja.web.frame;

import dev.lonja.core.quantity.Measure;
import dev.lonja.core.tray.TrayProgress;

/** The state of a tray's line or of a tray, as a mark and a word. */
public final class LineStates {

  private LineStates() {}

  public static State of(TrayProgress.Step step) {
    boolean fluid = step.line().wanted().measure() == Measure.LITRES;
    return switch (step.state()) {
      case LAID -> State.ready("laid");
      case LEFT_OUT -> State.note("left out");
      case SHORT -> State.ofShort(step.lacking().display() + " short");
      case TO_LAY ->
          step.line().laid().isPositive()
              ? State.part("laid in part")
              : State.open(fluid ? "to pour" : "to lay");
    };
  }

  public static State of(TrayProgress progress) {
    return switch (progress.state()) {
      case READY -> State.ready("ready");
      case SHORT -> State.ofShort(progress.shortCount() + " short");
      case LAID_IN_PART -> State.part("laid in part");
      case NOT_BEGUN -> State.open("to lay");
    };
  }
}
