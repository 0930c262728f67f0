package dev.lonja.core.meter;

/** Why a reading is kept but not counted. */
public enum ReadingFlag {
  /** Below the last accepted reading. */
  BACKWARDS,
  /**
   * Below what its meter stood at when it, or its machine, came into service; nobody can accept it.
   */
  BELOW_START,
  /** More than 24 h or 1,500 km a day since the last accepted reading. */
  IMPOSSIBLE,
  /** Above a later reading that a person accepted. */
  OVERRULED,
  /** A person set it aside. */
  REFUSED,
  /** A later reading was entered in its place. */
  CORRECTED
}
