package dev.lonja.core.choice;

import dev.lonja.core.quantity.Volume;

/** What is used of a product after the need at hand. */
@FunctionalInterface
public interface FutureUse {

  /** Nothing is used any more. */
  FutureUse NONE = days -> Volume.ZERO;

  /** Days that stand for ever. */
  int EVER = Integer.MAX_VALUE;

  /** Litres used within so many days, never less for more days. */
  Volume within(int days);
}
