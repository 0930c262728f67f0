package dev.lonja.core.crossref;

import dev.lonja.core.quantity.Length;
import java.util.List;
import java.util.Optional;

/**
 * What the place where a part goes demands of it.
 *
 * @param mostHeight how high it may be
 * @param mostOuterDiameter how wide it may be
 * @param needsAntiDrainValve true where a spin-on oil filter does not hang upright
 * @param materials a seal may be of; empty if there is no list
 * @param fluid what an O-ring must withstand, as {@link RubberTable} names it
 */
public record Fitting(
    Optional<Length> mostHeight,
    Optional<Length> mostOuterDiameter,
    boolean needsAntiDrainValve,
    boolean needsWaterSeparator,
    List<String> materials,
    Optional<String> fluid) {

  /** No place in particular. */
  public static final Fitting ANYWHERE =
      new Fitting(Optional.empty(), Optional.empty(), false, false, List.of(), Optional.empty());

  public Fitting {
    materials = List.copyOf(materials);
  }
}
