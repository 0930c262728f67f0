package dev.lonja.core.trial;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import java.util.Collection;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What is used in trials all over the store, and how much of it falls at each place. Of satellites,
 * which are filled up every week, fewer weeks are kept.
 */
public final class PlaceTotals {

  /** So many weeks are kept of a place, or all there are if these are fewer. */
  public static final int WEEKS = 26;

  private final TrialTotals all;
  private final TrialRules nearer;
  private final Map<Place, TrialTotals> satellites = new ConcurrentHashMap<>();

  public PlaceTotals(TrialRules rules) {
    this(new TrialTotals(rules), Map.of());
  }

  private PlaceTotals(TrialTotals all, Map<Place, TrialTotals> satellites) {
    TrialRules rules = all.rules();
    this.all = all;
    this.nearer =
        new TrialRules(rules.seed(), rules.trials(), rules.today(), Math.min(WEEKS, rules.weeks()));
    satellites.forEach((place, totals) -> this.satellites.put(place, totals.goOn()));
  }

  /** The same to go on with; these stay as they are. */
  public PlaceTotals goOn() {
    return new PlaceTotals(all.goOn(), satellites);
  }

  public TrialRules rules() {
    return all.rules();
  }

  /** Takes down what is used where demand falls at a place. */
  public TrialSink at(Place place) {
    return place.isMain()
        ? all
        : new Twice(
            all, satellites.computeIfAbsent(place, one -> new TrialTotals(nearer)), nearer.weeks());
  }

  /** What is used all over the store. */
  public Band band(Collection<ItemId> items, Measure measure) {
    return all.band(items, measure);
  }

  /** What is used of it where demand falls at a place: of the main store what is left of all. */
  public Band band(Collection<ItemId> items, Measure measure, Place place) {
    long[][] byWeek = new long[nearer.weeks()][nearer.trials()];
    if (place.isMain()) {
      all.add(items, 1, byWeek);
      satellites.values().forEach(totals -> totals.add(items, -1, byWeek));
    } else if (satellites.containsKey(place)) {
      satellites.get(place).add(items, 1, byWeek);
    }
    return new Band(nearer, measure, byWeek);
  }

  /** Takes everything down here, and what lies near enough there too. */
  private record Twice(TrialTotals here, TrialTotals there, int weeks) implements TrialSink {

    @Override
    public void take(ItemId item, int trial, int week, long thousandths) {
      here.take(item, trial, week, thousandths);
      if (week < weeks) {
        there.take(item, trial, week, thousandths);
      }
    }

    @Override
    public Column column(ItemId item) {
      Column all = here.column(item);
      Column nearer = there.column(item);
      return (trial, week, thousandths) -> {
        all.take(trial, week, thousandths);
        if (week < weeks) {
          nearer.take(trial, week, thousandths);
        }
      };
    }
  }
}
