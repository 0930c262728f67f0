package dev.lonja.desk.fleet;

import dev.lonja.core.crossref.Candidate;
import dev.lonja.core.crossref.Candidates;
import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.crossref.Neighbourhood;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.FilterOptions;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.part.PartId;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.policy.Question;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.store.Session;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Finds what else fits where the variants' filters sit, if anybody chooses among makes. */
final class FilterMakes {

  private final Session session;
  private final Map<PositionId, List<FilterOptions.Option>> byPlace = new HashMap<>();

  private FilterMakes(Session session) {
    this.session = session;
  }

  /** Nothing as long as nobody departs from taking any that fits. */
  static FilterOptions load(Session session, Policies policies, Collection<UnitNeeds> variants) {
    if (!policies.departsFrom(Question.FILTER_MAKE)) {
      return FilterOptions.NONE;
    }
    FilterMakes makes = new FilterMakes(session);
    variants.forEach(makes::add);
    return new FilterOptions(makes.byPlace);
  }

  private void add(UnitNeeds needs) {
    for (Position position : needs.positions()) {
      if (Question.FILTER_MAKE.kinds().contains(position.kind())) {
        position
            .itemId()
            .flatMap(id -> session.items().byId(id))
            .ifPresent(item -> byPlace.put(position.id(), options(needs, position, item)));
      }
    }
  }

  private List<FilterOptions.Option> options(UnitNeeds needs, Position position, Item chosen) {
    Fitting place = PlaceDemands.of(session, needs, position);
    List<PartId> fitting =
        Candidates.of(
                Neighbourhood.around(chosen.partId(), session.statements()),
                place,
                session.rubberTable(),
                parts -> Map.of())
            .others()
            .stream()
            .filter(candidate -> candidate.verdict() == Verdict.FITS)
            .map((Candidate candidate) -> candidate.part().id())
            .toList();
    List<Item> items = new ArrayList<>(List.of(chosen));
    session.items().byParts(fitting).values().stream()
        .filter(item -> item.keeping().retiredOn().isEmpty() && !item.keeping().runningOut())
        .forEach(items::add);
    Map<ItemId, UnitPrice> prices =
        session.supplies().lowestPrices(items.stream().map(Item::id).toList());
    return items.stream()
        .map(
            item ->
                new FilterOptions.Option(
                    item.id(),
                    item.make(),
                    Optional.ofNullable(prices.get(item.id())),
                    item.filterVolume()))
        .toList();
  }
}
