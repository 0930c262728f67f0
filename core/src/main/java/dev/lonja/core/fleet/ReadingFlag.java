package dev.lonja.core.fleet;

/** Why a reading is kept but not counted. */
public enum ReadingFlag {
  /** Below the last accepted reading. */
  BACKWARDS,
  /** More than 24 h or 1,500 km a day since the last accepted reading. */
  IMPOSSIBLE
}
