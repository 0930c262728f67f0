package dev.lonja.desk.item;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.tank.Tank;
import dev.lonja.desk.crossref.PartNaming;
import dev.lonja.desk.request.Refusal;
import dev.lonja.store.item.ItemRepository;
import java.util.List;
import java.util.Set;

/** Why an item is not written as somebody wants it. */
public sealed interface ItemRefusal extends Refusal {

  /** The home bin does not exist. */
  record UnknownHome(String address) implements ItemRefusal {}

  /** What is counted in this measure cannot be counted in another. */
  record OtherMeasure(Measure counted) implements ItemRefusal {}

  /** No product has this number. */
  record UnknownProduct(ProductId id) implements ItemRefusal {}

  /** A barcode is that of another item. */
  record BarcodeTaken(String code, Item by) implements ItemRefusal {}

  /** A bin of a row does not exist. */
  record UnknownBin(int row, String address) implements ItemRefusal {}

  /** A bin is listed twice. */
  record BinTwice(int row, String address) implements ItemRefusal {}

  /** A bin should hold at least more than its most. */
  record LeastAboveMost(int row, ItemDraft.Bin bin) implements ItemRefusal {}

  /** The tank that stands there is never filled so far. */
  record AboveSafeFill(int row, Tank tank, ItemDraft.Bin bin) implements ItemRefusal {}

  /** No supplier has this name. */
  record UnknownSupplier(int row, String name) implements ItemRefusal {}

  /** A supplier is listed twice. */
  record SupplierTwice(int row, String name) implements ItemRefusal {}

  /** The name of something in the box leads to no part, or to several. */
  record UnknownContent(int row, PartNaming.Refusal why) implements ItemRefusal {}

  /** Something in the box is listed twice. */
  record ContentTwice(int row, String name) implements ItemRefusal {}

  /** It would come in its own box. */
  record InOwnBox(int row, String number) implements ItemRefusal {}

  /** This part is stocked already. */
  record StockedAlready(String make, String number) implements ItemRefusal {}

  /** Items are stocked whose numbers read alike; it may be one of them. */
  record ReadsAlike(List<Item> items) implements ItemRefusal {}

  /** Another part has this number. */
  record NumberTaken(String make, String number) implements ItemRefusal {}

  /** Other things refer to it, so that it cannot be deleted. */
  record InUse(Item item, Set<ItemRepository.Use> uses) implements ItemRefusal {}
}
