package dev.lonja.desk.crossref;

import dev.lonja.core.crossref.Candidate;
import dev.lonja.core.crossref.Candidates;
import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.crossref.KnownStatements;
import dev.lonja.core.crossref.Neighbourhood;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.fleet.Compartment;
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
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
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
  private final KnownStatements statements;
  private final Map<Position, Fitting> fittings = new HashMap<>();
  private final Map<ItemId, Item> fluids = new HashMap<>();

  public StandIns(Session session, FleetPicture fleet) {
    this.session = session;
    this.fleet = fleet;
    this.statements = new KnownStatements(session.statements());
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

  /** What is asked of one item: where it goes, and what may stand there. */
  private record Question(
      Item asked, List<Place> places, Map<Fitting, Map<PartId, Verdict>> byFitting) {

    Set<PartId> offered() {
      Set<PartId> offered = new LinkedHashSet<>();
      byFitting.values().forEach(verdicts -> offered.addAll(verdicts.keySet()));
      return offered;
    }
  }

  /**
   * What sources offer for items and the store keeps, with the verdict at all their places under
   * the schools in force there; by what was asked for, the best first, then by number.
   */
  public Map<ItemId, List<StandIn>> of(Collection<Item> asked) {
    statements.readAround(asked.stream().map(Item::partId).toList());
    Map<ItemId, List<Place>> places = new HashMap<>();
    asked.forEach(item -> places.put(item.id(), places(item.id())));
    readFluids(places.values());
    List<Question> questions =
        asked.stream().map(item -> question(item, places.get(item.id()))).toList();
    Set<PartId> offered = new LinkedHashSet<>();
    questions.forEach(question -> offered.addAll(question.offered()));
    Collection<Item> items =
        offered.isEmpty() ? List.of() : session.items().byParts(offered).values();
    Map<ItemId, List<StandIn>> answers = new LinkedHashMap<>();
    questions.forEach(question -> answers.put(question.asked().id(), answer(question, items)));
    return answers;
  }

  /** What the compartments at these places hold tells what touches the seals there. */
  private void readFluids(Collection<List<Place>> places) {
    Set<ItemId> held = new HashSet<>();
    places.stream()
        .flatMap(List::stream)
        .forEach(
            place ->
                place
                    .position()
                    .compartmentId()
                    .map(place.needs()::compartment)
                    .flatMap(Compartment::itemId)
                    .ifPresent(held::add));
    held.removeAll(fluids.keySet());
    if (!held.isEmpty()) {
      fluids.putAll(session.items().byIds(held));
    }
  }

  private Question question(Item asked, List<Place> places) {
    Neighbourhood around = Neighbourhood.around(asked.partId(), statements);
    Map<Fitting, Map<PartId, Verdict>> byFitting = new LinkedHashMap<>();
    places.forEach(
        place -> byFitting.computeIfAbsent(fitting(place), fitting -> verdicts(around, fitting)));
    if (byFitting.isEmpty()) {
      byFitting.put(Fitting.ANYWHERE, verdicts(around, Fitting.ANYWHERE));
    }
    return new Question(asked, places, byFitting);
  }

  private List<StandIn> answer(Question question, Collection<Item> items) {
    Set<PartId> offered = question.offered();
    return items.stream()
        .filter(item -> offered.contains(item.partId()))
        .filter(item -> !item.id().equals(question.asked().id()))
        .filter(item -> item.keeping().retiredOn().isEmpty())
        .map(item -> standIn(item, question.places(), question.byFitting()))
        .sorted(
            Comparator.comparing(StandIn::verdict)
                .thenComparing(one -> one.item().number())
                .thenComparing(one -> one.item().id()))
        .toList();
  }

  /** How one item does in place of another; empty if no source offers it. */
  public Optional<StandIn> of(Item asked, Item offered) {
    return of(List.of(asked)).get(asked.id()).stream()
        .filter(one -> one.item().id().equals(offered.id()))
        .findFirst();
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
        place.position(),
        position ->
            PlaceDemands.of(place.needs(), position, id -> Optional.ofNullable(fluids.get(id))));
  }
}
