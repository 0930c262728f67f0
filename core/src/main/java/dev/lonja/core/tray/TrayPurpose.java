package dev.lonja.core.tray;

/** What a tray is laid for. */
public enum TrayPurpose {
  /** Tasks that are due; only such a tray stands for any. */
  SERVICE,
  /** A machine broke down. */
  BREAKDOWN,
  /** Something leaks, drips or sweats. */
  LEAK,
  /** A fluid is topped up. */
  TOP_UP,
  /** What the workshop itself uses, for no machine. */
  SUPPLIES
}
