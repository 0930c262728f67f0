package dev.lonja.core.item;

import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;

/**
 * A bin in which an item lies, with how much it should hold.
 *
 * @param least below this it should be filled, 0 or more
 * @param most what goes in, more than 0 and not below {@code least}
 */
public record ItemBin(BinId binId, String address, Quantity least, Quantity most) {}
