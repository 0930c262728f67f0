package dev.lonja.web.tray;

import dev.lonja.desk.tray.FluidLine;
import dev.lonja.web.fluid.ReasonWording;

/** What the rules say of a fluid on a tray, in words. */
public final class FluidLineWording {

  private FluidLineWording() {}

  /** "needs a signature: lacks CV 41.2", or who has signed; empty if it is simply allowed. */
  public static String words(FluidLine line) {
    if (line.signOff().isPresent()) {
      return "signed by " + line.signOff().get().signedBy() + ": " + line.signOff().get().why();
    }
    return line.lacksSignature()
        ? "needs a signature: " + String.join("; ", ReasonWording.against(line.verdict()))
        : "";
  }

  /** That the machine takes something else by now; empty if it does not. */
  static String keeps(FluidLine line) {
    return line.takenNow()
        .flatMap(
            now ->
                line.asked()
                    .map(
                        asked ->
                            "The machine takes "
                                + now.display()
                                + " by now; this tray keeps "
                                + asked.display()
                                + "."))
        .orElse("");
  }
}
