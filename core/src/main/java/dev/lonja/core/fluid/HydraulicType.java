package dev.lonja.core.fluid;

/** The type of a hydraulic fluid by ISO 6743-4. */
public enum HydraulicType {
  HM,
  HV,
  HEES,
  HETG,
  HEPR,
  HEPG;

  /** True for what HEPG must not meet: mineral oils. */
  public boolean isMineral() {
    return this == HM || this == HV;
  }
}
