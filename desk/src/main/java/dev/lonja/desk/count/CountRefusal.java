package dev.lonja.desk.count;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.request.Refusal;
import dev.lonja.store.ledger.LedgerLine;
import java.util.List;
import java.util.Optional;

/** Why a count is not taken. */
public sealed interface CountRefusal extends Refusal {

  /** Nothing at all was counted. */
  record NothingCounted() implements CountRefusal {}

  /** Nothing of it lies or belongs there. */
  record NothingThere(ItemId item) implements CountRefusal {}

  /** Something of it moved since the list was opened. */
  record MovedMeanwhile(ItemId item) implements CountRefusal {}

  /** Somebody else counted it for this stocktake meanwhile. */
  record CountedAlready(ItemId item) implements CountRefusal {}

  /** Part of a piece. */
  record NotWhole(ItemId item, Quantity counted) implements CountRefusal {}

  /**
   * It differs from the book, so that a reason is needed.
   *
   * @param worth of the difference
   * @param moved what moved there last
   */
  record NeedsReason(
      ItemId item, Quantity counted, Quantity book, Money worth, Optional<LedgerLine> moved)
      implements CountRefusal {}

  /** Who counted first does not count again, since somebody else can. */
  record SamePerson(ItemId item) implements CountRefusal {}

  /** What was found is no number that is known. */
  record UnknownNumber(String number) implements CountRefusal {}

  /** More than one thing has this number. */
  record SeveralOfNumber(String number, List<Item> items) implements CountRefusal {}

  /** What was found beside the list is on it. */
  record OnTheList(Item item) implements CountRefusal {}

  /** More of it than was ever received: no lot of it is known. */
  record NeverReceived(Item item) implements CountRefusal {}

  /** All bins are being counted already. */
  record StocktakeOpen() implements CountRefusal {}

  /** No stocktake is open. */
  record NoStocktake() implements CountRefusal {}

  /** Bins are left, so that it cannot be booked yet. */
  record BinsLeft(int bins) implements CountRefusal {}

  /** A difference is no open one of the stocktake. */
  record NotOpen() implements CountRefusal {}
}
