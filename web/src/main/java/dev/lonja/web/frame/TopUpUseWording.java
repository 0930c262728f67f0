package dev.lonja.web.frame;

import dev.lonja.core.pour.TopUpUse;

/** What a compartment takes between services, in words. */
public final class TopUpUseWording {

  private TopUpUseWording() {}

  /** "350 mL each 100 h of engine, learned from 5 top-ups". */
  public static String of(TopUpUse use) {
    return use.volume().display()
        + " each "
        + use.span().display()
        + " of "
        + use.meter().file().meter().name()
        + (use.learnedFrom() == 0
            ? ", as stated"
            : ", learned from " + use.learnedFrom() + " top-ups");
  }
}
