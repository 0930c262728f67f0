package dev.lonja.web.tray;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.desk.tray.TrayFile;
import dev.lonja.web.fluid.HazardWording;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;

/** The usual cautions, short, where the hazard is met. */
public final class Cautions {

  private static final String DEFER =
      "The machine's manual, the safety data sheet, local rules and a qualified person decide.";

  private Cautions() {}

  /** Those of a tray's work, then those of each fluid's own hazards; none where nothing is met. */
  public static List<String> of(TrayFile file) {
    Set<String> cautions = new LinkedHashSet<>();
    file.job().drained().forEach(compartment -> cautions.addAll(whenDraining(compartment.kind())));
    cautions.addAll(HazardWording.lines(file.hazards()));
    return cautions.isEmpty() ? List.of() : deferring(cautions);
  }

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
