package dev.lonja.core.tray;

import dev.lonja.core.fleet.Compartment;
import java.util.List;

/**
 * What may hurt somebody who drains a compartment, by the codes of the store's hazard texts; those
 * of the fluids themselves come beside.
 */
public final class WorkHazards {

  private static final String HOT_OIL = "hot-oil";
  private static final String UNDERNEATH = "underneath";
  private static final String PRESSURE = "pressure";

  private WorkHazards() {}

  /** Codes of what is met there, in the order in which it is met. */
  public static List<String> whenDraining(Compartment.Kind kind) {
    return switch (kind) {
      case ENGINE, ENGINE_CLUTCH -> List.of(HOT_OIL, UNDERNEATH, "used-oil");
      case GEARBOX, PRIMARY_DRIVE, FRONT_DRIVE, REAR_DRIVE, TRANSFER_CASE ->
          List.of(HOT_OIL, UNDERNEATH);
      case HYDRAULIC, POWER_STEERING -> List.of(PRESSURE, HOT_OIL);
      case COOLING -> List.of(PRESSURE, "coolant");
      case BRAKE_CIRCUIT -> List.of("brake-fluid");
      case EXHAUST_FLUID -> List.of("exhaust-fluid");
      case FUEL_TANK -> List.of("fuel");
      case WASHER -> List.of("washer-fluid");
    };
  }
}
