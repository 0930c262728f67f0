package dev.lonja.web.tray;

import dev.lonja.core.fleet.Compartment;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;

/** The usual cautions, short, where the hazard is met. */
final class Cautions {

  private static final String DEFER =
      "The machine's manual, the safety data sheet, local rules and a qualified person decide.";

  private Cautions() {}

  static List<String> whenDraining(Compartment.Kind kind) {
    return switch (kind) {
      case ENGINE, ENGINE_CLUTCH ->
          List.of(
              "Hot oil and exhaust: gloves and goggles.",
              "Never under a machine held only by a jack.",
              "Used oil off the skin, into its container.");
      case GEARBOX, PRIMARY_DRIVE, FRONT_DRIVE, REAR_DRIVE, TRANSFER_CASE ->
          List.of("Hot oil: gloves and goggles.", "Never under a machine held only by a jack.");
      case HYDRAULIC, POWER_STEERING ->
          List.of("Hydraulic oil may be hot and under pressure: lower the load first.");
      case COOLING -> List.of("Hot coolant under pressure: let it cool before opening.");
      case BRAKE_CIRCUIT -> List.of("Brake fluid harms eyes and paint: goggles and gloves.");
      case EXHAUST_FLUID -> List.of("Exhaust fluid corrodes metal: wash spills off with water.");
      case FUEL_TANK ->
          List.of("Fuel burns, and so does its vapour: no flame, no spark, no hot engine.");
      case WASHER -> List.of("Washer fluid may burn: no flame, no spark.");
    };
  }

  /** The cautions with the sentence that every one ends in. */
  static List<String> deferring(Collection<String> cautions) {
    List<String> all = new ArrayList<>(cautions);
    all.add(DEFER);
    return all;
  }
}
