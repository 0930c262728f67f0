package dev.lonja.web.tray;

import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.tray.SubstituteDesk;
import dev.lonja.web.crossref.CandidateRow;
import dev.lonja.web.crossref.CandidateWording;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * The page of one line.
 *
 * @param asked what the service asks for
 * @param instead why something else lies there; empty if nothing else does
 * @param offered what was scanned, if that is why the page is open; then it alone is offered
 */
public record SubstituteView(
    TrayId trayId,
    String tray,
    long lineId,
    String unit,
    Optional<PositionId> positionId,
    String place,
    Plate asked,
    String instead,
    Optional<ItemId> offered,
    List<CandidateRow> candidates) {

  static SubstituteView of(
      SubstituteDesk.LineFile file, Optional<ItemId> offered, LocalDate today) {
    TrayLine line = file.line();
    List<CandidateRow> rows = new CandidateWording(file.alternatives(), today).rows();
    return new SubstituteView(
        file.tray().id(),
        file.tray().number(),
        line.id(),
        Words.whom(file.tray().unitCode()),
        line.positionId(),
        line.place(),
        Plate.of(file.asked()),
        line.substitution().map(TrayWording::why).orElse(""),
        offered,
        rows.stream()
            .filter(row -> offered.isEmpty() || row.plate().itemId().equals(offered))
            .toList());
  }
}
