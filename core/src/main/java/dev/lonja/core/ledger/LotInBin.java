package dev.lonja.core.ledger;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;

/** A lot of an item in a bin: where a quantity lies. A lot is never named without its item. */
public record LotInBin(ItemId itemId, LotId lotId, BinId binId) {

  /** The same lot in another bin. */
  LotInBin in(BinId otherBinId) {
    return new LotInBin(itemId, lotId, otherBinId);
  }
}
