package dev.lonja.core.fleet;

import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.quantity.Volume;
import java.util.Optional;

/**
 * A place on a unit that takes a part.
 *
 * @param compartmentId the compartment it belongs to, if any
 * @param itemId the preferred item, if one is chosen
 * @param quantity how many pieces it takes, 1 or more
 * @param filterVolume the oil its filter takes up, where known
 */
public record Position(
    long id,
    String name,
    Kind kind,
    Optional<Long> compartmentId,
    Optional<Long> itemId,
    int quantity,
    Optional<TorqueRange> torque,
    String note,
    Optional<Volume> filterVolume) {

  /** What a position takes, and whether it comes off when the fluid is changed. */
  public enum Kind {
    OIL_FILTER("oil filter", true),
    FUEL_FILTER("fuel filter", false),
    AIR_FILTER("air filter", false),
    CABIN_FILTER("cabin filter", false),
    HYDRAULIC_FILTER("hydraulic filter", true),
    DRAIN_PLUG("drain plug", false),
    DRAIN_SEAL("drain seal", false),
    COVER_SEAL("cover seal", false),
    BELT("belt", false),
    SPARK_PLUG("spark plug", false),
    INSURANCE("insurance part", false);

    private final String words;
    private final boolean holdsCompartmentFluid;

    Kind(String words, boolean holdsCompartmentFluid) {
      this.words = words;
      this.holdsCompartmentFluid = holdsCompartmentFluid;
    }

    public String words() {
      return words;
    }

    /** True for a filter that is filled with the fluid of its compartment. */
    public boolean holdsCompartmentFluid() {
      return holdsCompartmentFluid;
    }
  }

  public boolean belongsTo(Compartment compartment) {
    return compartmentId.filter(id -> id == compartment.id()).isPresent();
  }
}
