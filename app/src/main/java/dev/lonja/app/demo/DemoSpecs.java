package dev.lonja.app.demo;

/** What the harbour's machines demand of their fluids, look-alike approval codes included. */
final class DemoSpecs {

  private DemoSpecs() {}

  private static DemoSpec heavyDiesel() {
    return DemoSpec.of("engine_oil")
        .grade("10W-40", "-25", "35")
        .grade("15W-40", "-15", "45")
        .meeting("API", "CI-4")
        .meeting("ACEA", "E7");
  }

  /** The 4.2 wants the maker's approval and nothing less. */
  static DemoSpec corvane42() {
    return heavyDiesel().approved("CV 41.2").listedOnly();
  }

  static DemoSpec corvane51() {
    return heavyDiesel().approved("CV 41.2");
  }

  /** An exhaust filter: low ash. */
  static DemoSpec tessaly() {
    return heavyDiesel().ashUpTo("1.5");
  }

  static DemoSpec veldmark() {
    return heavyDiesel().approved("VK-205").listedOnly();
  }

  static DemoSpec standby() {
    return heavyDiesel();
  }

  static DemoSpec coldUnit() {
    return DemoSpec.of("engine_oil")
        .grade("10W-40", "-25", "45")
        .grade("15W-40", "-15", "45")
        .meeting("API", "CI-4");
  }

  static DemoSpec van() {
    return DemoSpec.of("engine_oil")
        .grade("5W-30", null, "40")
        .grade("5W-40", null, "45")
        .meeting("ACEA", "C3")
        .approved("QN 30-1")
        .ashUpTo("0.8");
  }

  static DemoSpec forkliftDiesel() {
    return coldUnit().meeting("ACEA", "E7").approved("BR-E2");
  }

  static DemoSpec forkliftGas() {
    return coldUnit().ashUpTo("1.1");
  }

  /** VG 32 is for the cold months alone. */
  static DemoSpec forkliftHydraulics() {
    return DemoSpec.of("hydraulic_oil")
        .grade("VG 46", "0", "45")
        .grade("VG 32", "-20", "30")
        .meeting("ISO 6743-4", "HM")
        .meeting("ISO 6743-4", "HV")
        .approved("BR-H3")
        .listedOnly();
  }

  static DemoSpec steering() {
    return DemoSpec.of("hydraulic_oil")
        .grade("VG 46", "-10", "50")
        .meeting("ISO 6743-4", "HM")
        .meeting("ISO 6743-4", "HV");
  }

  static DemoSpec nearWater() {
    return DemoSpec.of("hydraulic_oil")
        .grade("VG 46", "-5", "45")
        .grade("VG 32", "-20", "30")
        .meeting("ISO 6743-4", "HEES")
        .meeting("ISO 6743-4", "HEPR")
        .biodegradable();
  }

  static DemoSpec axle() {
    return DemoSpec.of("gear_oil")
        .grade("80W-90", "-20", "45")
        .grade("85W-140", "-10", "50")
        .meeting("API", "GL-5");
  }

  static DemoSpec limitedSlip() {
    return axle().modifierRequired();
  }

  /** Yellow metal: GL-4, and GL-5 does not cover it. */
  static DemoSpec gearbox() {
    return DemoSpec.of("gear_oil")
        .grade("75W-80", null, "40")
        .grade("80W-90", "-15", "45")
        .meeting("API", "GL-4");
  }

  static DemoSpec coolant() {
    return DemoSpec.of("coolant").family("p_oat");
  }

  static DemoSpec brakes() {
    return DemoSpec.of("brake_fluid").meeting("", "DOT 4").base("glycol");
  }

  static DemoSpec washer() {
    return DemoSpec.of("washer_fluid");
  }

  /** Flat tappets want zinc. */
  static DemoSpec airCooled() {
    return DemoSpec.of("engine_oil")
        .grade("10W-30", "-20", "40")
        .grade("SAE 30", "5", "45")
        .meeting("API", "SJ")
        .zincFrom("700");
  }

  static DemoSpec wetClutch() {
    return DemoSpec.of("engine_oil")
        .grade("10W-30", "-20", "40")
        .grade("10W-40", "-10", "45")
        .meeting("API", "SL")
        .onWetClutch();
  }
}
