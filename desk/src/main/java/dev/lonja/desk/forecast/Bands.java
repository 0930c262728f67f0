package dev.lonja.desk.forecast;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.trial.Band;
import dev.lonja.core.trial.TrialRules;
import dev.lonja.core.trial.TrialTotals;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** Trials that are drawn, and between what the use of things lies by them. */
public final class Bands {

  private final TrialTotals totals;
  private final Map<List<ItemId>, Band> known = new ConcurrentHashMap<>();

  Bands(TrialTotals totals) {
    this.totals = totals;
  }

  TrialTotals totals() {
    return totals;
  }

  public TrialRules rules() {
    return totals.rules();
  }

  /** The band of one subject, over the weeks that are drawn. */
  public Band of(Subject subject) {
    List<ItemId> items = subject.items().stream().map(Item::id).toList();
    return known.computeIfAbsent(items, i -> totals.band(i, subject.free().measure()));
  }
}
