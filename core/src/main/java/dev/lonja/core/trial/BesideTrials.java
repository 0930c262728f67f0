package dev.lonja.core.trial;

import dev.lonja.core.forecast.CertainDemand;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.UnplannedUse;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import java.util.List;

/**
 * What is used beside the plans of units in trials (rules §7): what is wanted for certain on its
 * day, and what nobody plans, of which every week is one of the weeks that lie behind, drawn with
 * replacement; of the week that holds today the part from today on.
 */
public final class BesideTrials {

  private static final int PLACE_BITS = 40;

  private final TrialRules rules;
  private final List<Certain> certain;
  private final List<Unplanned> unplanned;

  private record Certain(ItemId item, int week, long amount) {}

  private record Unplanned(ItemId item, Place place, long[] weeks) {

    /** Chances of its own, at the main store by the item alone. */
    long number() {
      return item.value() + (place.satellite().map(SatelliteId::value).orElse(0L) << PLACE_BITS);
    }
  }

  public BesideTrials(PlanLine.Beside beside, TrialRules rules) {
    this.rules = rules;
    this.certain = beside.certain().stream().map(this::certain).toList();
    this.unplanned = beside.unplanned().stream().map(BesideTrials::unplanned).toList();
  }

  private Certain certain(CertainDemand demand) {
    return new Certain(
        demand.itemId(), rules.week(demand.date()), JobLine.thousandths(demand.quantity()));
  }

  private static Unplanned unplanned(UnplannedUse use) {
    return new Unplanned(
        use.itemId(), use.place(), use.weeks().stream().mapToLong(JobLine::thousandths).toArray());
  }

  /** Draws trials, from one to another, the first included. */
  public void draw(int from, int to, TrialSink sink) {
    Chance chance = new Chance();
    for (int trial = from; trial < to; trial++) {
      for (Certain one : certain) {
        if (one.week() < rules.weeks()) {
          sink.take(one.item(), trial, one.week(), one.amount());
        }
      }
      for (Unplanned use : unplanned) {
        chance.begin(rules.seed(), Chance.Kind.UNPLANNED, use.number(), trial);
        for (int week = 0; week < rules.weeks(); week++) {
          long drawn = use.weeks()[chance.nextInt(use.weeks().length)];
          long used = Math.round(drawn * rules.shareLeft(week));
          if (used > 0) {
            sink.take(use.item(), trial, week, used);
          }
        }
      }
    }
  }
}
