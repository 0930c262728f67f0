package dev.lonja.core.machine;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.mixture.FreezeTable;
import dev.lonja.core.mixture.Glycol;
import dev.lonja.core.mixture.MixPolicy;
import dev.lonja.core.mixture.Strength;
import dev.lonja.core.mixture.WantedShare;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import java.util.Optional;

/**
 * What the store knows of fluids that are mixed with water.
 *
 * @param strengths by item, of each coolant and screen wash; empty where nobody has said
 * @param general freeze points by glycol
 * @param policy how the store mixes where a book says nothing
 */
public record Mixes(
    Map<ItemId, Optional<Strength>> strengths, Map<Glycol, FreezeTable> general, MixPolicy policy) {

  /** Of a store that keeps nothing of the kind. */
  public static final Mixes NONE = new Mixes(Map.of(), Map.of(), MixPolicy.USUAL);

  private static final int PART_DIGITS = 12;

  public Mixes {
    strengths = Map.copyOf(strengths);
    general = Map.copyOf(general);
  }

  /** True for an item that is mixed with water, or comes so. */
  public boolean isMixed(ItemId item) {
    return strengths.containsKey(item);
  }

  /** How strong an item is, where somebody has said. */
  public Optional<Strength> strength(ItemId item) {
    return strengths.getOrDefault(item, Optional.empty());
  }

  /**
   * The part of a litre in a compartment that is the product as it comes: the share that is wanted
   * over its own, no more than all of it. All of it where it is not mixed, or nobody has said.
   */
  public BigDecimal partOfProduct(Compartment compartment, ItemId item) {
    return strength(item)
        .flatMap(
            strength ->
                wanted(compartment, strength)
                    .map(
                        wanted ->
                            wanted
                                .share()
                                .divide(strength.share(), PART_DIGITS, RoundingMode.HALF_UP)
                                .min(BigDecimal.ONE)))
        .orElse(BigDecimal.ONE);
  }

  /** The share that a compartment wants of a product of some strength. */
  public Optional<WantedShare> wanted(Compartment compartment, Strength strength) {
    return WantedShare.of(
        compartment.spec().kind() == FluidKind.COOLANT
            ? WantedShare.Kind.COOLANT
            : WantedShare.Kind.SCREEN_WASH,
        compartment.spec().limits().protection(),
        policy,
        strength.freezing(general).map(Strength.Freezing::table));
  }
}
