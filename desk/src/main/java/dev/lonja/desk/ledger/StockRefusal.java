package dev.lonja.desk.ledger;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.tank.Tank;
import dev.lonja.desk.request.Refusal;
import java.time.LocalDate;
import java.util.Optional;

/** Why nothing was booked, beside what the ledger refuses. */
public sealed interface StockRefusal extends Refusal {

  /** The item is received with a lot only. */
  record LotNeeded() implements StockRefusal {}

  /** The lot is here with another date on it. */
  record OtherExpiry(String lotCode, Optional<LocalDate> here, LocalDate coming)
      implements StockRefusal {}

  /** It is past its last good day on arrival. */
  record ExpiredOnArrival(LocalDate expiresOn, LocalDate today) implements StockRefusal {}

  /** The lot is set aside already, or is not. */
  record SetAsideAlready(boolean setAside) implements StockRefusal {}

  /** No bin has this address. */
  record UnknownBin(String address) implements StockRefusal {}

  /** A bin of another place than the one where it lies. */
  record AtAnotherPlace(Item.Bin bin, String place) implements StockRefusal {}

  /** A stand for bulk holds another product. */
  record StandHoldsOther(Item.Bin bin, Product there, Product coming) implements StockRefusal {}

  /** A tank holds another item until it is emptied and cleaned. */
  record TankHoldsOther(Item.Bin bin, Tank tank, Item item) implements StockRefusal {}

  /** A stand for bulk does not take that much more. */
  record NoRoom(Item.Bin bin, Quantity room, Quantity coming) implements StockRefusal {}

  /** How warm it came is said, and it does not go into a tank. */
  record NoTank(Item.Bin bin) implements StockRefusal {}

  /** No oil is delivered so cold or so warm. */
  record NoSuchWarmth(Temperature asked) implements StockRefusal {}

  /** The item has no such lot, or there is no such bin. */
  record NoSuchPlace(LotId lotId, BinId binId) implements StockRefusal {}

  /** The item has no such movement. */
  record NoSuchMovement(long movementId) implements StockRefusal {}

  /** What comes off a machine is waste: it is not used again. */
  record IsWaste(Item item) implements StockRefusal {}

  /** What was used once is never new again. */
  record IsNeverNew() implements StockRefusal {}

  /** The lot is in this condition already. */
  record IsInCondition(LotCondition condition) implements StockRefusal {}
}
