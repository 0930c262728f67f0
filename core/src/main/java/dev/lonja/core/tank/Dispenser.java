package dev.lonja.core.tank;

/**
 * What fluids are poured with. A rest of one stays in it until it is cleaned (rules §10).
 *
 * @param name by which its label is read
 */
public record Dispenser(DispenserId id, String name, Kind kind) {

  /** What it is. */
  public enum Kind {
    JUG,
    FUNNEL,
    PUMP
  }
}
