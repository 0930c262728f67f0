package dev.lonja.core.count;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;

/** An item in a bin, which is what is counted. */
public record Spot(ItemId item, BinId bin) {}
