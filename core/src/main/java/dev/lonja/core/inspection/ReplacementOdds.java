package dev.lonja.core.inspection;

import java.math.BigDecimal;

/** How likely it is that what is looked at is replaced. */
public sealed interface ReplacementOdds permits ReplacementChance, ReplacementTurn {

  /** From 0, never, to 1, for certain. */
  BigDecimal value();
}
