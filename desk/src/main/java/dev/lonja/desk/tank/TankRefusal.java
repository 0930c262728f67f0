package dev.lonja.desk.tank;

import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankId;
import dev.lonja.desk.request.Refusal;
import java.time.Instant;

/** Why something is not done with a tank. */
public sealed interface TankRefusal extends Refusal {

  /** There is no such tank. */
  record NoSuchTank(TankId id) implements TankRefusal {}

  /** The dip is above the tank. */
  record AboveTank(Tank tank, Length height) implements TankRefusal {}

  /** The dip is still to come. */
  record DippedAhead(Instant at, Instant now) implements TankRefusal {}

  /** The tank was cleaned after the dip. */
  record CleanedSince(Instant at, Instant cleaned) implements TankRefusal {}

  /** No fluid in a store is so cold or so warm. */
  record NoSuchWarmth(Temperature asked) implements TankRefusal {}

  /** It was dipped at that very time already. */
  record DippedThen(Instant at) implements TankRefusal {}

  /** No such dip counts. */
  record NoSuchDip() implements TankRefusal {}

  /** It is not the latest dip, or none that counts. */
  record NotTheLatest() implements TankRefusal {}

  /** The difference was closed at the dip, which therefore stands. */
  record AgreedAlready() implements TankRefusal {}

  /** Something is in it by the book. */
  record NotEmpty(Tank tank, Volume book) implements TankRefusal {}

  /** Somebody changed the tank meanwhile. */
  record ChangedMeanwhile() implements TankRefusal {}

  /** Another tank is called so. */
  record NameTaken(String name) implements TankRefusal {}

  /** No bin has this address. */
  record NoSuchBin(String address) implements TankRefusal {}

  /** Another tank stands there. */
  record BinTaken(String address, Tank by) implements TankRefusal {}

  /** Something else lies at the bin. */
  record BinHoldsOther(String address, Item other) implements TankRefusal {}

  /** Only a fluid in packs of 60 L and more is drawn from a tank. */
  record NoBulkFluid() implements TankRefusal {}

  /** It holds something else until it is emptied and cleaned. */
  record NotCleaned(Tank tank) implements TankRefusal {}

  /** The book has more in it than a tank so small may hold. */
  record TooSmall(Volume safeFill, Volume book) implements TankRefusal {}
}
