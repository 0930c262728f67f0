package dev.lonja.core.fleet;

/**
 * An engine variant of a model: machines of one variant are made of the same parts and serviced
 * alike, until a unit deviates.
 *
 * @param name what tells it from the model's other variants; empty if the model has only one
 */
public record Variant(long id, String make, String model, String name, Engine engine) {

  /** One of whose engine nothing is noted. */
  public Variant(long id, String make, String model, String name) {
    this(id, make, model, name, Engine.UNKNOWN);
  }

  /** "Corvane T7, 4.2". */
  public String display() {
    return make + " " + model + (name.isEmpty() ? "" : ", " + name);
  }
}
