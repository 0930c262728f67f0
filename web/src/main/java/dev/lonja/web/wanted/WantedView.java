package dev.lonja.web.wanted;

import dev.lonja.core.tray.TrayId;
import dev.lonja.core.wanted.FindingId;
import dev.lonja.core.wanted.WantedPartId;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import java.util.List;

/**
 * Findings and wanted parts.
 *
 * @param unit the machine whose page it is; empty for all machines and the workshop itself
 * @param today as forms have it
 */
public record WantedView(
    String unit, String today, List<FindingRow> findings, List<PartRow> parts) {

  /**
   * Something that was found.
   *
   * @param why what is watched, or why it is closed
   */
  public record FindingRow(
      FindingId id, String unit, String words, String found, State state, String why, May may) {}

  /** What may become of a finding. */
  public record May(boolean want, boolean watch, boolean close, boolean open) {}

  /**
   * A part that is wanted and on no tray.
   *
   * @param unit empty for what the workshop itself uses
   * @param trays open ones that it may be put on
   */
  public record PartRow(
      WantedPartId id,
      String unit,
      Plate plate,
      String what,
      String amount,
      State state,
      String why,
      String needed,
      List<TrayChoice> trays) {}

  /** An open tray. */
  public record TrayChoice(TrayId id, String words) {}
}
