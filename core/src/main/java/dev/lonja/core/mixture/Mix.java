package dev.lonja.core.mixture;

import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.util.Optional;

/**
 * What a fill is mixed of, as it stands on a tray and a card.
 *
 * @param share of concentrate in it
 * @param water to add to the product; zero for what goes in as it comes
 * @param protectsTo its freeze point, where that is promised
 * @param isGeneral true if that is the general one of its glycol and not from the label
 */
public record Mix(
    BigDecimal share, Volume water, Optional<Temperature> protectsTo, boolean isGeneral) {}
