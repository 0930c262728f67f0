package dev.lonja.web.crossref;

import dev.lonja.core.fleet.PositionId;
import dev.lonja.desk.crossref.FitDesk;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What fits at one position of one unit.
 *
 * @param demands of the place, in a few words each
 * @param itself the preferred part; none if none is chosen
 */
public record FitView(
    String unit,
    PositionId positionId,
    String position,
    List<String> demands,
    Optional<CandidateRow> itself,
    List<CandidateRow> candidates) {

  static FitView of(FitDesk.Fits fits, LocalDate today) {
    Optional<CandidateWording> words =
        fits.alternatives().map(all -> new CandidateWording(all, today));
    return new FitView(
        fits.unit().code(),
        fits.position().id(),
        fits.position().name(),
        PlaceWording.words(fits.place()),
        words.map(CandidateWording::itself),
        words.map(CandidateWording::rows).orElse(List.of()));
  }
}
