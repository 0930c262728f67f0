package dev.lonja.desk.crossref;

import dev.lonja.core.crossref.Candidate;
import dev.lonja.core.crossref.Candidates;
import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.crossref.Neighbourhood;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.PlaceDemands;
import dev.lonja.store.Session;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** What the store keeps that may stand for another thing wherever the fleet takes that. */
public final class StandIns {

  private final Session session;
  private final FleetPicture fleet;
  private final Map<Position, Fitting> fittings = new HashMap<>();

  public StandIns(Session session, FleetPicture fleet) {
    this.session = session;
    this.fleet = fleet;
  }

  /**
   * A thing in place of another.
   *
   * @param verdict the worst of all places
   * @param places where the other goes, with the verdict there; none if it goes nowhere in
   *     particular, and then the two are held against each other as such
   */
  public record StandIn(Item item, Verdict verdict, List<AtPlace> places) {
    public StandIn {
      places = List.copyOf(places);
    }
  }

  /** How a thing does at one place. */
  public record AtPlace(Unit unit, Position position, Verdict verdict) {}

  /** Where an item goes. */
  private record Place(Unit unit, UnitNeeds needs, Position position) {}

  /**
   * What sources offer for an item and the store keeps, with the verdict at all its places under
   * the schools in force there; the best first, then by number.
   */
  public List<StandIn> of(Item asked) {
    Neighbourhood around = Neighbourhood.around(asked.partId(), session.statements());
    List<Place> places = places(asked.id());
    Map<Fitting, Map<PartId, Verdict>> byFitting = new LinkedHashMap<>();
    Set<Fitting> distinct = new LinkedHashSet<>();
    places.forEach(place -> distinct.add(fitting(place)));
    if (distinct.isEmpty()) {
      distinct.add(Fitting.ANYWHERE);
    }
    distinct.forEach(fitting -> byFitting.put(fitting, verdicts(around, fitting)));
    Set<PartId> parts = new LinkedHashSet<>();
    byFitting.values().forEach(verdicts -> parts.addAll(verdicts.keySet()));
    if (parts.isEmpty()) {
      return List.of();
    }
    return session.items().byParts(parts).values().stream()
        .filter(item -> !item.id().equals(asked.id()) && item.keeping().retiredOn().isEmpty())
        .map(item -> standIn(item, places, byFitting))
        .sorted(
            Comparator.comparing(StandIn::verdict)
                .thenComparing(one -> one.item().number())
                .thenComparing(one -> one.item().id()))
        .toList();
  }

  /** How one item does in place of another; empty if no source offers it. */
  public Optional<StandIn> of(Item asked, Item offered) {
    return of(asked).stream().filter(one -> one.item().id().equals(offered.id())).findFirst();
  }

  private Map<PartId, Verdict> verdicts(Neighbourhood around, Fitting fitting) {
    Map<PartId, Verdict> verdicts = new HashMap<>();
    for (Candidate candidate :
        Candidates.of(around, fitting, session.rubberTable(), parts -> Map.of()).others()) {
      verdicts.put(candidate.part().id(), candidate.verdict());
    }
    return verdicts;
  }

  private StandIn standIn(
      Item item, List<Place> places, Map<Fitting, Map<PartId, Verdict>> byFitting) {
    List<AtPlace> at = new ArrayList<>();
    for (Place place : places) {
      boolean allowed = place.needs().ways().takesMake(place.position(), item.make());
      Verdict verdict =
          byFitting.get(fitting(place)).getOrDefault(item.partId(), Verdict.DOES_NOT_FIT);
      at.add(new AtPlace(place.unit(), place.position(), allowed ? verdict : Verdict.DOES_NOT_FIT));
    }
    Verdict worst =
        at.stream()
            .map(AtPlace::verdict)
            .max(Comparator.naturalOrder())
            .orElseGet(
                () ->
                    byFitting
                        .get(Fitting.ANYWHERE)
                        .getOrDefault(item.partId(), Verdict.DOES_NOT_FIT));
    return new StandIn(item, worst, at);
  }

  private List<Place> places(ItemId item) {
    List<Place> places = new ArrayList<>();
    for (Unit unit : fleet.units()) {
      UnitNeeds needs = fleet.needs(unit.id());
      needs.positions().stream()
          .filter(position -> position.itemId().filter(item::equals).isPresent())
          .forEach(position -> places.add(new Place(unit, needs, position)));
    }
    return places;
  }

  /** The same position of several units demands the same. */
  private Fitting fitting(Place place) {
    return fittings.computeIfAbsent(
        place.position(), position -> PlaceDemands.of(session, place.needs(), position));
  }
}
