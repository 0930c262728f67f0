package dev.lonja.core.fluid;

import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Grade;
import dev.lonja.core.mixture.Strength;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.Density;
import java.util.List;
import java.util.Optional;

/**
 * A fluid independent of its pack.
 *
 * @param grade such as "15W-40" or "VG 46", several with a slash between; empty where the kind has
 *     none
 * @param classes the service classes it claims, as printed
 * @param version counts the edits, so that two people do not overwrite each other
 */
public record Product(
    ProductId id,
    String make,
    String name,
    FluidKind kind,
    String grade,
    String classes,
    List<Approval> approvals,
    Data data,
    long version) {

  /**
   * What its data sheet says, as far as it does.
   *
   * @param zincMilligrams per kilogram
   * @param frictionModifier whether it holds one
   * @param density at 15 °C
   * @param chemistry of a coolant
   * @param base of a brake fluid
   * @param type of a hydraulic fluid
   * @param strength of a coolant or a screen wash
   * @param hazards codes of the hazard texts that go with it, in order
   */
  public record Data(
      Optional<AshContent> ash,
      Optional<Integer> zincMilligrams,
      Optional<Boolean> frictionModifier,
      Optional<Boolean> biodegradable,
      Optional<Density> density,
      Optional<Chemistry> chemistry,
      Optional<BrakeBase> base,
      Optional<HydraulicType> type,
      Optional<Strength> strength,
      List<String> hazards) {

    /** Nothing is known. */
    public static final Data UNKNOWN =
        new Data(
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            List.of());

    public Data {
      hazards = List.copyOf(hazards);
    }
  }

  public Product {
    approvals = List.copyOf(approvals);
  }

  public List<Grade> grades() {
    return Grade.all(grade);
  }

  public String display() {
    return make + " " + name;
  }
}
