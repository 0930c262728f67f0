package dev.lonja.core.fleet;

import dev.lonja.core.quantity.Volume;
import java.util.Map;
import java.util.Optional;

/**
 * A place on a unit that holds one fluid.
 *
 * @param grade the grade its spec demands
 * @param itemId the preferred item, if one is chosen
 * @param capacities what it takes in each condition on file
 */
public record Compartment(
    long id,
    String name,
    Kind kind,
    String grade,
    Optional<Long> itemId,
    Map<FillCondition, Volume> capacities) {

  /** What a compartment belongs to. */
  public enum Kind {
    ENGINE("engine"),
    GEARBOX("gearbox"),
    FINAL_DRIVE("final drive"),
    HYDRAULIC("hydraulic tank"),
    COOLING("cooling circuit"),
    BRAKE_CIRCUIT("brake circuit");

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

  public Optional<Volume> capacity(FillCondition condition) {
    return Optional.ofNullable(capacities.get(condition));
  }
}
