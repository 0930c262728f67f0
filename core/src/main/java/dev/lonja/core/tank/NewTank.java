package dev.lonja.core.tank;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Length;

/** A tank that is not stored yet; its parts are those of {@link Tank}, which checks them. */
public record NewTank(
    String name,
    BinId binId,
    ItemId itemId,
    TankShape shape,
    int safeFillPercent,
    Length dipError,
    boolean gauged) {

  /** The same with a number. */
  public Tank as(TankId id, long version) {
    return new Tank(id, name, binId, itemId, shape, safeFillPercent, dipError, gauged, version);
  }
}
