package dev.lonja.desk.forecast;

import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.Subject;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.Session;
import java.util.List;
import java.util.Optional;

/**
 * The forecast of a fleet that is supposed to be otherwise. Trials are drawn anew of those units
 * alone that stand otherwise than in the store's own.
 */
public record OtherForecast(PlanLine plan, List<Subject> subjects, Bands bands) {

  /** Empty before the store's own trials are drawn. */
  public static Optional<OtherForecast> of(Session session, FleetPicture fleet, Trials trials) {
    return trials.drawing().map(drawing -> of(session, fleet, drawing));
  }

  private static OtherForecast of(Session session, FleetPicture fleet, TrialDrawing own) {
    TrialDrawing.Inputs inputs = TrialDrawing.Inputs.of(session, fleet, own.inputs().rules());
    Forecast forecast = Forecast.of(session, fleet, Trials.WEEKS);
    return new OtherForecast(
        forecast.plan(),
        forecast.subjects(),
        TrialDrawing.of(inputs, Optional.of(own), TrialDrawing.SILENT).bands());
  }
}
