package dev.lonja.desk.forecast;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.Homes;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.trial.BesideTrials;
import dev.lonja.core.trial.PlaceTotals;
import dev.lonja.core.trial.TrialRules;
import dev.lonja.core.trial.TrialSink;
import dev.lonja.core.trial.TrialUnit;
import dev.lonja.core.trial.UnitTrials;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.IntStream;

/**
 * The trials of a store as it stood. Drawn after others, only units that stand otherwise by now are
 * drawn: what they used is taken off and what they use put in its place, which comes to the same as
 * drawing all anew.
 *
 * @param bands what was drawn
 */
record TrialDrawing(Inputs inputs, Bands bands) {

  /** In so many parts trials are drawn, each by one thread. */
  static final int PARTS = 40;

  /**
   * What is drawn of.
   *
   * @param beside by the place where it falls
   */
  record Inputs(
      TrialRules rules, Map<UnitId, TrialUnit> units, Map<Place, PlanLine.Beside> beside) {

    static Inputs load(Session session, LocalDate today, int trials, int weeks) {
      FleetPicture fleet = FleetPicture.load(session, today);
      return of(
          session, fleet, new TrialRules(session.settings().trialSeed(), trials, today, weeks));
    }

    /** Those of a fleet that need not be the store's own. */
    static Inputs of(Session session, FleetPicture fleet, TrialRules rules) {
      PlanLine.Beside all = Forecast.beside(session, fleet.today());
      Map<UnitId, TrialUnit> units = new LinkedHashMap<>();
      fleet
          .trialUnits(all.holds(), Kits.of(session, fleet))
          .forEach(unit -> units.put(unit.id(), unit));
      Homes homes = fleet.homes();
      Map<Place, PlanLine.Beside> beside = new TreeMap<>();
      session.places().names().keySet().forEach(one -> beside.put(one, all.at(one, homes)));
      return new Inputs(rules, units, beside);
    }
  }

  /** Is told how a drawing goes on. */
  interface Progress {

    /** There is something to draw. */
    void begins();

    /** Asked before each piece of the work, well below a thousandth of a second long mostly. */
    void stepBack();

    /** One more of {@link #PARTS} parts is drawn. */
    void partDone();
  }

  /** Of a drawing of which nobody is told, and that stands back for nobody. */
  static final Progress SILENT =
      new Progress() {
        @Override
        public void begins() {
          // nobody looks
        }

        @Override
        public void stepBack() {
          // its page waits for it
        }

        @Override
        public void partDone() {
          // nobody looks
        }
      };

  /** Something that is drawn, or drawn again to be taken off. */
  private interface Part {
    void draw(int from, int to, PlaceTotals totals);
  }

  /**
   * Draws in as many threads as the pool gives whose task this is.
   *
   * @param before trials that are there; those by other rules are of no use
   * @param progress is told how it goes on
   */
  static TrialDrawing of(Inputs inputs, Optional<TrialDrawing> before, Progress progress) {
    Optional<TrialDrawing> same = before.filter(b -> b.inputs().rules().equals(inputs.rules()));
    List<Part> parts = changes(same.map(TrialDrawing::inputs), inputs);
    if (parts.isEmpty() && same.isPresent()) {
      return new TrialDrawing(inputs, same.get().bands());
    }
    progress.begins();
    PlaceTotals totals =
        same.map(b -> b.bands().totals().goOn()).orElseGet(() -> new PlaceTotals(inputs.rules()));
    int trials = inputs.rules().trials();
    // no two threads write to one cell, since each has trials of its own
    IntStream.range(0, PARTS)
        .parallel()
        .forEach(
            i -> {
              int from = trials * i / PARTS;
              int to = trials * (i + 1) / PARTS;
              for (Part part : parts) {
                progress.stepBack();
                part.draw(from, to, totals);
              }
              progress.partDone();
            });
    return new TrialDrawing(inputs, new Bands(totals));
  }

  /**
   * What one trial uses of some items, drawn again.
   *
   * @param last the last week that is wanted, counted from the one that holds today
   */
  List<DrawnTrial.Use> usesOf(int trial, Collection<ItemId> items, int last) {
    List<DrawnTrial.Use> uses = new ArrayList<>();
    inputs
        .units()
        .forEach(
            (id, unit) ->
                new UnitTrials(unit, inputs.rules())
                    .draw(trial, trial + 1, into(uses, Optional.of(id), items, last)));
    inputs
        .beside()
        .values()
        .forEach(
            beside ->
                new BesideTrials(beside, inputs.rules())
                    .draw(trial, trial + 1, into(uses, Optional.empty(), items, last)));
    return uses;
  }

  private static TrialSink into(
      List<DrawnTrial.Use> uses, Optional<UnitId> unit, Collection<ItemId> items, int last) {
    return (item, trial, week, thousandths) -> {
      if (items.contains(item) && week <= last) {
        uses.add(new DrawnTrial.Use(unit, item, week, thousandths));
      }
    };
  }

  /** What has to be drawn, and taken off, for those that stand otherwise by now. */
  private static List<Part> changes(Optional<Inputs> before, Inputs now) {
    Map<UnitId, TrialUnit> gone = new LinkedHashMap<>();
    before.ifPresent(inputs -> gone.putAll(inputs.units()));
    List<TrialUnit> changed = new ArrayList<>();
    now.units()
        .forEach(
            (id, unit) -> {
              if (unit.equals(gone.get(id))) {
                gone.remove(id);
              } else {
                changed.add(unit);
              }
            });
    List<Part> parts = new ArrayList<>();
    parts.addAll(changed.parallelStream().map(unit -> unit(unit, now.rules())).toList());
    parts.addAll(gone.values().parallelStream().map(unit -> takenOff(unit, now.rules())).toList());
    parts.addAll(beside(before, now));
    return parts;
  }

  private static Part unit(TrialUnit unit, TrialRules rules) {
    UnitTrials trials = new UnitTrials(unit, rules);
    return (from, to, totals) -> trials.draw(from, to, totals.at(unit.home()));
  }

  private static Part takenOff(TrialUnit unit, TrialRules rules) {
    UnitTrials trials = new UnitTrials(unit, rules);
    return (from, to, totals) -> trials.draw(from, to, totals.at(unit.home()).takingOff());
  }

  private static List<Part> beside(Optional<Inputs> before, Inputs now) {
    List<Part> parts = new ArrayList<>();
    Map<Place, PlanLine.Beside> gone = new TreeMap<>();
    before.ifPresent(inputs -> gone.putAll(inputs.beside()));
    now.beside()
        .forEach(
            (place, beside) -> {
              if (beside.equals(gone.get(place))) {
                gone.remove(place);
              } else {
                BesideTrials trials = new BesideTrials(beside, now.rules());
                parts.add((from, to, totals) -> trials.draw(from, to, totals.at(place)));
              }
            });
    gone.forEach(
        (place, beside) -> {
          BesideTrials trials = new BesideTrials(beside, now.rules());
          parts.add((from, to, totals) -> trials.draw(from, to, totals.at(place).takingOff()));
        });
    return parts;
  }
}
