package dev.lonja.desk.forecast;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.place.Place;
import dev.lonja.core.trial.TrialRules;
import dev.lonja.core.trial.TrialUnit;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.PastFleet;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What would have been forecast on a day of the past, had nothing been wanted or laid.
 *
 * @param subjects with nothing there and nothing on its way
 * @param bands by fewer trials than a forecast of today
 */
public record PastForecast(List<Subject> subjects, Bands bands) {

  /**
   * @param items all that the store has
   * @param trials how many are drawn
   * @param weeks how far ahead
   */
  public static PastForecast of(
      Session session, PastFleet past, List<Item> items, LocalDate day, int trials, int weeks) {
    FleetPicture fleet = past.on(day);
    PlanLine.Beside beside =
        new PlanLine.Beside(List.of(), List.of(), session.unplanned().uses(day));
    Map<UnitId, TrialUnit> units = new LinkedHashMap<>();
    fleet.trialUnits(List.of(), past.kits()).forEach(unit -> units.put(unit.id(), unit));
    TrialRules rules = new TrialRules(session.settings().trialSeed(), trials, day, weeks);
    TrialDrawing drawing =
        TrialDrawing.of(
            new TrialDrawing.Inputs(rules, units, Map.of(Place.MAIN, beside)),
            Optional.empty(),
            TrialDrawing.SILENT);
    PlanLine plan = fleet.planLine(beside, past.kits(), weeks);
    return new PastForecast(
        Subject.all(items, new Subject.There(Map.of(), Map.of()), plan.demands(), day),
        drawing.bands());
  }
}
