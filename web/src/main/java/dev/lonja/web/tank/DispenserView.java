package dev.lonja.web.tank;

import dev.lonja.web.frame.State;
import java.util.List;

/**
 * What fluids are poured with.
 *
 * @param fluids to choose from
 */
public record DispenserView(String summary, List<Row> rows, List<Fluid> fluids) {

  /**
   * @param form the name of its form
   * @param last who used it last, when and what for; empty for a new one
   * @param isClean true if nothing is left in it
   */
  public record Row(
      String id,
      String form,
      String name,
      String kind,
      State state,
      String last,
      boolean isClean) {}

  /** A fluid to choose. */
  public record Fluid(String id, String name) {}
}
