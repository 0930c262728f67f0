package dev.lonja.core.tray;

import dev.lonja.core.inspection.Found;
import java.time.LocalDate;
import java.util.Optional;

/** What became of one task of a tray, as the mechanic brought it back. */
public sealed interface TaskOutcome {

  /**
   * The work was done; its clock starts anew.
   *
   * @param found for an inspection, what it found
   */
  record Done(Optional<Found> found) implements TaskOutcome {}

  /**
   * The work was not done; its clock runs on.
   *
   * @param againOn the day it is asked for again; without one it stays due as it is
   */
  record NotDone(String why, Optional<LocalDate> againOn) implements TaskOutcome {}
}
