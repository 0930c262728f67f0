package dev.lonja.web.frame;

import dev.lonja.desk.tray.Elsewhere;

/** Says which other place of the store has something. */
public final class ElsewhereWording {

  private ElsewhereWording() {}

  /** "Quay Store has 6 free." */
  public static String has(Elsewhere elsewhere) {
    return elsewhere.name() + " has " + elsewhere.free().display() + " free.";
  }
}
