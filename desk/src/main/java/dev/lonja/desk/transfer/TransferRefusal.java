package dev.lonja.desk.transfer;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.transfer.TransferId;
import dev.lonja.core.transfer.TransferState;
import dev.lonja.desk.request.Refusal;

/** Why a transfer does not go on so. */
public sealed interface TransferRefusal extends Refusal {

  /** There is no such transfer. */
  record Unknown(TransferId id) implements TransferRefusal {}

  /** It stands elsewhere by now. */
  record StandsElsewhere(TransferId id, TransferState state) implements TransferRefusal {}

  /** It would go from a place to itself, or one of the two is none of this store. */
  record NoSuchWay() implements TransferRefusal {}

  /** Nothing is asked for, picked or received. */
  record Nothing() implements TransferRefusal {}

  /** Nothing of it is picked yet. */
  record NothingPicked() implements TransferRefusal {}

  /** No item is meant, or several are. */
  record NoItem(String code, int found) implements TransferRefusal {}

  /** It is none of what was asked for. */
  record NotAskedFor(Item item) implements TransferRefusal {}

  /** Not a whole piece, or nothing at all. */
  record NotSoMuch(Item item, Quantity amount) implements TransferRefusal {}

  /** The place that gives has less of it free. */
  record NotFree(Item item, Quantity wanted, Quantity free) implements TransferRefusal {}

  /** It lies in a tank, and is poured and not carried. */
  record InTank(Item item) implements TransferRefusal {}

  /** The bin is none of the place that asked. */
  record NotABinThere(ItemId item, String address) implements TransferRefusal {}

  /** Nothing of it is on its way. */
  record NothingOnTheWay() implements TransferRefusal {}
}
