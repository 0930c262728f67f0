package dev.lonja.web.frame;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.forecast.CertainDemand;
import dev.lonja.core.wanted.Finding;
import dev.lonja.core.wanted.WantedPart;

/** Findings and wanted parts in words. */
public final class WantedWording {

  private static final Cases<WantedPart.Cause, String> CAUSE =
      Cases.<WantedPart.Cause, String>over(WantedPart.Cause.class)
          .when(WantedPart.Cause.OfFinding.class, finding -> "for \"" + finding.words() + "\"")
          .when(
              WantedPart.Cause.LeftOut.class,
              left -> "tray " + left.tray() + " went out without it: " + left.why())
          .when(WantedPart.Cause.Asked.class, asked -> asked.by() + " asked for it: " + asked.why())
          .all();

  private static final Cases<CertainDemand.Because, Why> WHY =
      Cases.<CertainDemand.Because, Why>over(CertainDemand.Because.class)
          .when(
              CertainDemand.Because.OnTray.class,
              tray -> new Why(tray.title(), "tray " + tray.number() + " waits for it"))
          .when(
              CertainDemand.Because.Wanted.class,
              wanted -> new Why("wanted part", cause(wanted.cause())))
          .all();

  private WantedWording() {}

  /** What something is for, and why it is wanted. */
  public record Why(String what, String words) {}

  public static Why why(CertainDemand.Because because) {
    return WHY.apply(because);
  }

  /** "tray T-0004 went out without it: none to be had". */
  public static String cause(WantedPart.Cause cause) {
    return CAUSE.apply(cause);
  }

  public static State state(Finding.State state) {
    return switch (state) {
      case OPEN -> State.note("open");
      case WATCHED -> State.open("watched");
      case WANTED -> State.part("part wanted");
      case CLOSED -> State.ready("closed");
    };
  }
}
