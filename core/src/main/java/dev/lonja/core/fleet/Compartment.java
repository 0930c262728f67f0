package dev.lonja.core.fleet;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A place on a unit that holds one fluid.
 *
 * @param spec what it demands of a fluid
 * @param itemId the preferred item, if one is chosen
 * @param capacities what it takes in each condition on file
 * @param filling how its level is read and what is held back, where that is said
 * @param changeOver the item that takes over from a day on, if one is set
 * @param hint the order of the work, such as "open the fill plug before the drain plug"; may be
 *     empty
 */
public record Compartment(
    CompartmentId id,
    String name,
    Kind kind,
    Spec spec,
    Optional<ItemId> itemId,
    Map<FillCondition, Capacity> capacities,
    Filling filling,
    String hint,
    Optional<ChangeOver> changeOver) {

  /** Another item from a day on, that day included. */
  public record ChangeOver(ItemId itemId, LocalDate from) {}

  /** What a compartment belongs to. */
  public enum Kind {
    ENGINE("engine"),
    GEARBOX("gearbox"),
    PRIMARY_DRIVE("primary drive"),
    /** One sump for the engine and its wet clutch. */
    ENGINE_CLUTCH("engine and clutch"),
    FRONT_DRIVE("front drive"),
    REAR_DRIVE("rear drive"),
    TRANSFER_CASE("transfer case"),
    HYDRAULIC("hydraulic tank"),
    POWER_STEERING("power steering"),
    COOLING("cooling circuit"),
    BRAKE_CIRCUIT("brake circuit"),
    EXHAUST_FLUID("exhaust fluid tank"),
    WASHER("washer tank"),
    FUEL_TANK("fuel tank");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }

    /** True for the oil of an engine, alone or shared with its clutch. */
    public boolean isEngine() {
      return this == ENGINE || this == ENGINE_CLUTCH;
    }

    /** What such a compartment usually holds; its spec may say otherwise. */
    public FluidKind usualFluid() {
      return switch (this) {
        case ENGINE, ENGINE_CLUTCH -> FluidKind.ENGINE_OIL;
        case GEARBOX, PRIMARY_DRIVE, FRONT_DRIVE, REAR_DRIVE, TRANSFER_CASE -> FluidKind.GEAR_OIL;
        case HYDRAULIC, POWER_STEERING -> FluidKind.HYDRAULIC_OIL;
        case COOLING -> FluidKind.COOLANT;
        case BRAKE_CIRCUIT -> FluidKind.BRAKE_FLUID;
        case EXHAUST_FLUID -> FluidKind.EXHAUST_FLUID;
        case WASHER -> FluidKind.WASHER_FLUID;
        case FUEL_TANK -> FluidKind.DIESEL;
      };
    }
  }

  public Compartment {
    capacities = Map.copyOf(capacities);
  }

  /** This compartment as it stands on a day: with the item that has taken over by then. */
  public Compartment on(LocalDate day) {
    return changeOver
        .filter(change -> !day.isBefore(change.from()))
        .map(change -> withItem(change.itemId()))
        .orElse(this);
  }

  /** The same in another machine, without what was set to take over in this one. */
  public Compartment copy(CompartmentId other) {
    return new Compartment(
        other, name, kind, spec, itemId, capacities, filling, hint, Optional.empty());
  }

  /** This compartment with another preferred item, whatever was set to take over. */
  public Compartment withItem(ItemId item) {
    return new Compartment(
        id, name, kind, spec, Optional.of(item), capacities, filling, hint, Optional.empty());
  }

  /** This compartment with another capacity in one condition. */
  public Compartment withCapacity(FillCondition condition, Capacity capacity) {
    Map<FillCondition, Capacity> changed = new EnumMap<>(FillCondition.class);
    changed.putAll(capacities);
    changed.put(condition, capacity);
    return new Compartment(id, name, kind, spec, itemId, changed, filling, hint, changeOver);
  }

  /**
   * True if the capacities agree with each other: dry takes no less than a drain with the filter,
   * and that no less than one without it, at either end of a range. What is not on file agrees with
   * anything.
   */
  public boolean capacitiesAgree() {
    List<Capacity> falling =
        Stream.of(FillCondition.DRY, FillCondition.WITH_FILTER, FillCondition.WITHOUT_FILTER)
            .flatMap(condition -> range(condition).stream())
            .toList();
    return IntStream.range(1, falling.size())
        .allMatch(
            i ->
                falling.get(i - 1).low().compareTo(falling.get(i).low()) >= 0
                    && falling.get(i - 1).high().compareTo(falling.get(i).high()) >= 0);
  }

  /**
   * True if how it is filled agrees with itself and with what it takes: an exact amount is no
   * range, and where all goes in at once nothing is held back.
   */
  public boolean fillingAgrees() {
    boolean isMeasured = filling.level().filter(LevelMethod.Measured.class::isInstance).isPresent();
    return filling.agrees()
        && !(isMeasured && capacities.values().stream().anyMatch(Capacity::isRange));
  }

  /** True if such a fluid goes into it at all, whatever its spec says of the product. */
  public boolean isFor(Product product) {
    return spec.kind() == product.kind();
  }

  /**
   * True if all of a fill goes in at once: there is nothing to read after a first part of it, or it
   * is a brake circuit, which is bled until the fluid comes clean.
   */
  public boolean takesAllAtOnce() {
    return kind == Kind.BRAKE_CIRCUIT || filling.takesAllAtOnce();
  }

  /** Litres it takes in a condition, where the book says so; of a range the middle. */
  public Optional<Volume> capacity(FillCondition condition) {
    return range(condition).map(Capacity::middle);
  }

  /** What it takes in a condition, from low to high, where the book says so. */
  public Optional<Capacity> range(FillCondition condition) {
    return Optional.ofNullable(capacities.get(condition));
  }
}
