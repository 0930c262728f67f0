package dev.lonja.desk.forecast;

import dev.lonja.core.forecast.Cover;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.reorder.OrderTerms;
import dev.lonja.core.reorder.Position;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.trial.Band;
import dev.lonja.core.trial.TrialRules;
import dev.lonja.core.trial.TrialTotals;
import java.lang.ref.SoftReference;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/** Trials that are drawn, and between what the use of things lies by them. */
public final class Bands {

  private final TrialTotals totals;

  /** Quickly made again, so that they go first where memory is short. */
  private final Map<List<ItemId>, SoftReference<Band>> known = new ConcurrentHashMap<>();

  private final Map<Asked, Reordering> answered = new ConcurrentHashMap<>();

  /** On what an answer rests beside the trials. */
  private record Asked(Position position, Cover cover, OrderTerms terms, ItemId item) {}

  Bands(TrialTotals totals) {
    this.totals = totals;
  }

  TrialTotals totals() {
    return totals;
  }

  public TrialRules rules() {
    return totals.rules();
  }

  /** Whether, by when and how much of a subject to order on some terms, in one of its items. */
  public Reordering reordering(Subject subject, OrderTerms terms, ItemId item) {
    return answered.computeIfAbsent(
        new Asked(new Position(subject.free(), subject.coming()), subject.cover(), terms, item),
        asked ->
            Reordering.of(
                of(subject), asked.position(), terms, subject::usedBy, item, rules().seed()));
  }

  /** The band of one subject, over the weeks that are drawn. */
  public Band of(Subject subject) {
    List<ItemId> items = subject.items().stream().map(Item::id).toList();
    Optional<Band> band = Optional.ofNullable(known.get(items)).map(SoftReference::get);
    if (band.isEmpty()) {
      band = Optional.of(totals.band(items, subject.free().measure()));
      known.put(items, new SoftReference<>(band.get()));
    }
    return band.get();
  }
}
