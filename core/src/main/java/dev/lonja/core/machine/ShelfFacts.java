package dev.lonja.core.machine;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.pour.FillPolicy;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the store knows of the things that machines take.
 *
 * @param boxes what comes in the boxes of its parts
 * @param fills how a fill is reckoned and poured
 * @param reusableSeals seals whose spec allows that they are used again if they are sound
 * @param spinOns the filters that are screwed on, with how far they are turned after the gasket
 *     touches where that is printed on them
 * @param mixes the fluids that are mixed with water
 */
public record ShelfFacts(
    Boxes boxes,
    FillPolicy fills,
    Set<ItemId> reusableSeals,
    Map<ItemId, Optional<String>> spinOns,
    Mixes mixes) {

  /** Of parts with nothing else in their boxes, filled as every store does by default. */
  public static final ShelfFacts NONE =
      new ShelfFacts(Boxes.NONE, FillPolicy.DEFAULT, Set.of(), Map.of(), Mixes.NONE);

  public ShelfFacts {
    reusableSeals = Set.copyOf(reusableSeals);
    spinOns = Map.copyOf(spinOns);
  }
}
