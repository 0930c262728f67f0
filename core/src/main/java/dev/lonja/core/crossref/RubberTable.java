package dev.lonja.core.crossref;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Which rubber withstands which fluid: general guidance that the store may edit. A pair that is
 * absent is unknown.
 */
public record RubberTable(Map<Pair, Guidance> entries) {

  /** The fluids that are told apart. */
  public static final List<String> FLUIDS =
      List.of(
          "mineral oil",
          "ester hydraulic",
          "diesel",
          "petrol",
          "coolant (glycol)",
          "glycol brake fluid");

  /** A rubber and a fluid. */
  public record Pair(String rubber, String fluid) {}

  /** What is said of a pair. */
  public enum Guidance {
    YES,
    CHECK,
    NO
  }

  public RubberTable {
    entries = Map.copyOf(entries);
  }

  public Optional<Guidance> of(String rubber, String fluid) {
    return Optional.ofNullable(entries.get(new Pair(rubber, fluid)));
  }
}
