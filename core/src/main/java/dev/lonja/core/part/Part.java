package dev.lonja.core.part;

import java.util.Optional;

/**
 * A part as its maker numbers it, stocked here or not.
 *
 * @param number as printed
 * @param family empty if it is not known, as for a number that only a list named
 */
public record Part(
    PartId id, String make, String number, Optional<Family> family, Properties properties) {

  /**
   * True if one that came off a machine may go onto another. A filter is waste, but for an air
   * filter of the engine, which may be cleaned; so is a seal, unless it is known to be reusable.
   */
  public boolean mayBeUsedAgain() {
    return family.filter(this::mayBeUsedAgain).isPresent();
  }

  private boolean mayBeUsedAgain(Family known) {
    return switch (known) {
      case SEAL, O_RING -> properties.get(Property.REUSABLE).orElse(false);
      case FOAM_FILTER, ROUND_AIR_FILTER, PANEL_AIR_FILTER -> true;
      case DRAIN_PLUG, BELT, SPARK_PLUG, HOSE_CLIP, BLADE, BULB, WIPER, CONSUMABLE -> true;
      case SPIN_ON_FILTER,
          CARTRIDGE_FILTER,
          CABIN_FILTER,
          INLINE_FUEL_FILTER,
          GASKET,
          FLUID,
          GREASE,
          KIT ->
          false;
    };
  }

  /** By which its number is searched. */
  public PartKey key() {
    return PartKey.of(number).orElseThrow();
  }
}
