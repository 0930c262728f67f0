package dev.lonja.core.fleet;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.quantity.Volume;
import java.util.List;
import java.util.Optional;

/**
 * A place on a unit that takes a part.
 *
 * @param compartmentId the compartment it belongs to, if any
 * @param itemId the preferred item, if one is chosen
 * @param quantity how many pieces it takes, or how many points it is, 1 or more
 * @param strokes of the grease gun at each point, 1 or more; of grease points only
 * @param torque of the fastener, or of the filter where the maker states one
 * @param mounting how a filter sits, where known
 * @param thread of a plug, as printed; may be empty
 * @param drive what turns a plug, such as "17 mm hex"; may be empty
 * @param filterVolume the oil its filter takes up, where known
 * @param limits what the place demands of whatever goes there
 * @param arrow where the arrow on the part points, where that is said
 */
public record Position(
    PositionId id,
    String name,
    Kind kind,
    Optional<CompartmentId> compartmentId,
    Optional<ItemId> itemId,
    int quantity,
    Optional<Integer> strokes,
    Optional<TorqueRange> torque,
    Optional<Mounting> mounting,
    String thread,
    String drive,
    String note,
    Optional<Volume> filterVolume,
    Limits limits,
    Optional<Arrow> arrow) {

  /** One of whose arrow nothing is said. */
  public Position(
      PositionId id,
      String name,
      Kind kind,
      Optional<CompartmentId> compartmentId,
      Optional<ItemId> itemId,
      int quantity,
      Optional<Integer> strokes,
      Optional<TorqueRange> torque,
      Optional<Mounting> mounting,
      String thread,
      String drive,
      String note,
      Optional<Volume> filterVolume,
      Limits limits) {
    this(
        id,
        name,
        kind,
        compartmentId,
        itemId,
        quantity,
        strokes,
        torque,
        mounting,
        thread,
        drive,
        note,
        filterVolume,
        limits,
        Optional.empty());
  }

  /**
   * What a place demands.
   *
   * @param waterSeparator whether a fuel filter there must have one
   * @param materials a seal there may be of; empty if there is no list
   */
  public record Limits(
      Optional<Length> mostHeight,
      Optional<Length> mostOuterDiameter,
      boolean waterSeparator,
      List<String> materials) {

    public static final Limits NONE =
        new Limits(Optional.empty(), Optional.empty(), false, List.of());

    public Limits {
      materials = List.copyOf(materials);
    }
  }

  /** What a position takes, and whether it comes off when the fluid is changed. */
  public enum Kind {
    OIL_FILTER("oil filter", true),
    FUEL_FILTER("fuel filter", false),
    AIR_FILTER("air filter", false),
    CABIN_FILTER("cabin filter", false),
    HYDRAULIC_FILTER("hydraulic filter", true),
    DRAIN_PLUG("drain plug", false),
    FILL_PLUG("fill plug", false),
    DRAIN_SEAL("drain seal", false),
    COVER_SEAL("cover seal", false),
    BELT("belt", false),
    CHAIN("chain", false),
    SPARK_PLUG("spark plug", false),
    SPARK_ARRESTER("spark arrester screen", false),
    PRE_FILTER("pre-filter", false),
    GASKET("gasket", false),
    HOSE_CLIP("hose clip", false),
    DRAIN_PAN("drain pan", false),
    WIPER("wiper", false),
    BULB("bulb", false),
    BLADE("blade", false),
    TYRE("tyre", false),
    BATTERY("battery", false),
    GREASE_POINT("grease point", false),
    INSURANCE("insurance part", false);

    private final String words;
    private final boolean holdsCompartmentFluid;

    Kind(String words, boolean holdsCompartmentFluid) {
      this.words = words;
      this.holdsCompartmentFluid = holdsCompartmentFluid;
    }

    /** What is counted of whatever goes there. */
    public Measure measure() {
      return this == GREASE_POINT ? Measure.KILOGRAMS : Measure.PIECES;
    }

    public String words() {
      return words;
    }

    /** True for what is undone when a compartment is drained: its plugs and their seals. */
    public boolean opensCompartment() {
      return this == DRAIN_PLUG || this == FILL_PLUG || this == DRAIN_SEAL;
    }

    /** True for a filter that is filled with the fluid of its compartment. */
    public boolean holdsCompartmentFluid() {
      return holdsCompartmentFluid;
    }
  }

  /** This position with another preferred item and the oil that one takes up. */
  public Position withItem(ItemId item, Optional<Volume> volume) {
    return new Position(
        id,
        name,
        kind,
        compartmentId,
        Optional.of(item),
        quantity,
        strokes,
        torque,
        mounting,
        thread,
        drive,
        note,
        volume,
        limits,
        arrow);
  }

  public Position withTorque(TorqueRange other) {
    return new Position(
        id,
        name,
        kind,
        compartmentId,
        itemId,
        quantity,
        strokes,
        Optional.of(other),
        mounting,
        thread,
        drive,
        note,
        filterVolume,
        limits,
        arrow);
  }

  /** True if the position is one of the compartment. */
  public boolean belongsTo(Compartment compartment) {
    return compartmentId.filter(id -> id.equals(compartment.id())).isPresent();
  }

  /**
   * The same in another machine.
   *
   * @param other the compartment there that answers to this position's own
   */
  public Position copy(PositionId newId, Optional<CompartmentId> other) {
    return new Position(
        newId,
        name,
        kind,
        other,
        itemId,
        quantity,
        strokes,
        torque,
        mounting,
        thread,
        drive,
        note,
        filterVolume,
        limits,
        arrow);
  }
}
