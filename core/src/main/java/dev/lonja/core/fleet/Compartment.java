package dev.lonja.core.fleet;

import dev.lonja.core.quantity.Volume;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A place on a unit that holds one fluid.
 *
 * @param grade the grade its spec demands
 * @param itemId the preferred item, if one is chosen
 * @param capacities what it takes in each condition on file
 * @param hint the order of the work, such as "open the fill plug before the drain plug"; may be
 *     empty
 */
public record Compartment(
    long id,
    String name,
    Kind kind,
    String grade,
    Optional<Long> itemId,
    Map<FillCondition, Volume> capacities,
    String hint) {

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
    WASHER("washer tank");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  public Compartment {
    capacities = Map.copyOf(capacities);
  }

  /** This compartment with another preferred item. */
  public Compartment withItem(long item) {
    return new Compartment(id, name, kind, grade, Optional.of(item), capacities, hint);
  }

  /** This compartment with another capacity in one condition. */
  public Compartment withCapacity(FillCondition condition, Volume volume) {
    Map<FillCondition, Volume> changed = new EnumMap<>(FillCondition.class);
    changed.putAll(capacities);
    changed.put(condition, volume);
    return new Compartment(id, name, kind, grade, itemId, changed, hint);
  }

  /**
   * True if the capacities agree with each other: dry takes no less than a drain with the filter,
   * and that no less than one without it. What is not on file agrees with anything.
   */
  public boolean capacitiesAgree() {
    List<Volume> falling =
        Stream.of(FillCondition.DRY, FillCondition.WITH_FILTER, FillCondition.WITHOUT_FILTER)
            .flatMap(condition -> capacity(condition).stream())
            .toList();
    return IntStream.range(1, falling.size())
        .allMatch(i -> falling.get(i - 1).compareTo(falling.get(i)) >= 0);
  }

  public Optional<Volume> capacity(FillCondition condition) {
    return Optional.ofNullable(capacities.get(condition));
  }
}
