package dev.lonja.core.wanted;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.tray.TrayId;
import java.time.LocalDate;
import java.util.Optional;

/**
 * Something that was found wrong with a machine, kept until it is settled: "leak at the cover
 * gasket".
 *
 * @param foundOn the day it was found
 * @param trayId the job that found it, if one did
 * @param why what is watched, or why it is closed; empty as long as neither is so
 */
public record Finding(
    FindingId id,
    UnitId unitId,
    String unitCode,
    String words,
    LocalDate foundOn,
    Optional<TrayId> trayId,
    State state,
    String why) {

  /** Where a finding is in its life. */
  public enum State {
    /** Nobody has said yet what becomes of it. */
    OPEN,
    /** It is left as it is, and looked at again. */
    WATCHED,
    /** A part is wanted for it. */
    WANTED,
    /** It is settled, with a reason. */
    CLOSED;

    /** True if a person may say so; what is closed is opened again first. */
    public boolean mayBecome(State next) {
      return this == CLOSED ? next == OPEN : next != this || next == WANTED;
    }
  }

  /** True until it is closed. */
  public boolean stands() {
    return state != State.CLOSED;
  }
}
