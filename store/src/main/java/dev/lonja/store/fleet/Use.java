package dev.lonja.store.fleet;

/** What refers to something of a variant, and how often; it cannot be deleted meanwhile. */
public record Use(Kind kind, int count) {

  /** The kinds of things that refer to compartments, positions and tasks. */
  public enum Kind {
    POSITIONS,
    TASKS,
    LED_TASKS,
    DEVIATIONS,
    RECORDS,
    MOVES,
    FILLS,
    TOP_UPS,
    SIGN_OFFS,
    TRAYS,
    TRAY_LINES,
    STUDIES
  }
}
