package dev.lonja.desk.forecast;

import dev.lonja.core.forecast.Cover;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.reorder.OrderTerms;
import dev.lonja.core.reorder.Position;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.trial.Band;
import dev.lonja.core.trial.PlaceTotals;
import dev.lonja.core.trial.TrialRules;
import java.lang.ref.SoftReference;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;

/**
 * Trials that are drawn, and between what the use of things lies by them, all over the store or at
 * one of its places.
 */
public final class Bands {

  private final PlaceTotals totals;
  private final Optional<Place> place;
  private final Map<Place, Bands> places = new ConcurrentHashMap<>();

  /** Quickly made again, so that they go first where memory is short. */
  private final Map<List<ItemId>, SoftReference<Band>> known = new ConcurrentHashMap<>();

  private final Map<Asked, Reordering> answered = new ConcurrentHashMap<>();

  /** On what an answer rests beside the trials. */
  private record Asked(Position position, Cover cover, OrderTerms terms, ItemId item) {}

  Bands(PlaceTotals totals) {
    this(totals, Optional.empty());
  }

  private Bands(PlaceTotals totals, Optional<Place> place) {
    this.totals = totals;
    this.place = place;
  }

  PlaceTotals totals() {
    return totals;
  }

  /** The same of what falls at one place alone. */
  public Bands at(Place one) {
    return places.computeIfAbsent(one, its -> new Bands(totals, Optional.of(its)));
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
      Measure measure = subject.free().measure();
      band =
          Optional.of(
              place
                  .map(one -> totals.band(items, measure, one))
                  .orElseGet(() -> totals.band(items, measure)));
      known.put(items, new SoftReference<>(band.get()));
    }
    return band.get();
  }
}
