package dev.lonja.desk.fluid;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.pour.TopUp;
import dev.lonja.core.pour.TopUpUse;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.PourRepository.StoredTopUp;
import dev.lonja.store.ledger.FreeStock;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Shows what is in a compartment now, and what on the shelf may be added to it. */
@Service
@Allowed.ToSeeStore
public class CompartmentDesk {

  private final LonjaStore store;
  private final StoreClock clock;

  public CompartmentDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** The units in service, and the compartments of the one that is asked for. */
  public record Choice(List<Unit> units, Optional<Unit> unit, List<Compartment> compartments) {}

  /**
   * What is in a compartment.
   *
   * @param filledWith the product of the last fill on file
   * @param use what is added as the machine runs, where that is known
   * @param products those of what was added, by item
   * @param hazards of what lies on the shelf for it
   */
  public record Inside(
      Compartment compartment,
      SumpLoader sump,
      Optional<Product> filledWith,
      Optional<TopUpUse> use,
      Map<ItemId, Product> products,
      List<Hazards.Text> hazards) {}

  /** A product on the shelf, judged for the place and for what is in it, with its packs. */
  public record Candidate(
      Product product, Suitability suitability, TopUp.Verdict verdict, List<PackFree> enough) {}

  /** A pack of which enough is free. */
  public record PackFree(Item item, Quantity free) {}

  public Choice choice(String unitCode) {
    return store.read(
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          Optional<Unit> unit = unit(fleet, unitCode);
          return new Choice(
              fleet.units(),
              unit,
              unit.map(u -> fleet.needs(u.id()).compartments()).orElse(List.of()));
        });
  }

  static Optional<Unit> unit(FleetPicture fleet, String code) {
    return fleet.units().stream()
        .filter(unit -> unit.code().equalsIgnoreCase(code.strip()))
        .findFirst();
  }

  /** Empty if the unit is not in service or does not have the compartment. */
  public Optional<Inside> inside(String unitCode, CompartmentId id) {
    return store.read(
        session ->
            place(session, unitCode, id)
                .map(place -> inside(session, shelf(session, place), place)));
  }

  /** A compartment of a unit. */
  private record Spot(Unit unit, Compartment compartment, Optional<TopUpUse> use) {}

  private Optional<Spot> place(Session session, String unitCode, CompartmentId id) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    return unit(fleet, unitCode)
        .flatMap(
            unit ->
                fleet.needs(unit.id()).compartments().stream()
                    .filter(compartment -> compartment.id().equals(id))
                    .findFirst()
                    .map(
                        compartment ->
                            new Spot(unit, compartment, fleet.topUps(unit.id(), compartment))));
  }

  /** The shelf from which the unit is served. */
  private FluidBook shelf(Session session, Spot place) {
    Place home = place.unit().home();
    return FluidBook.at(
        session, home, FreeStock.at(session.placeStock().free(clock.today(), home)));
  }

  private static Inside inside(Session session, FluidBook book, Spot place) {
    SumpLoader sump = SumpLoader.load(session, book, place.unit().id(), place.compartment());
    Map<ItemId, Product> products = new HashMap<>();
    sump.topUps().stream()
        .map(StoredTopUp::itemId)
        .distinct()
        .forEach(id -> product(session, id).ifPresent(product -> products.put(id, product)));
    return new Inside(
        place.compartment(),
        sump,
        sump.fill().flatMap(fill -> product(session, fill.itemId())),
        place.use(),
        products,
        hazards(session, book, place.compartment()));
  }

  private static Optional<Product> product(Session session, ItemId itemId) {
    return session.items().byId(itemId).flatMap(Item::product);
  }

  /** The hazards of what may be handled here, each once. */
  private static List<Hazards.Text> hazards(
      Session session, FluidBook book, Compartment compartment) {
    Hazards hazards = Hazards.load(session);
    return book.ofKind(compartment.spec().kind()).stream()
        .filter(read -> book.isOnShelf(read.product()))
        .flatMap(read -> hazards.of(read.product()).stream())
        .distinct()
        .toList();
  }

  /** What lies on the unit's shelf of the kind that goes in, what may be added first. */
  public List<Candidate> candidates(String unitCode, CompartmentId id, Volume litres) {
    return store.read(
        session ->
            place(session, unitCode, id)
                .map(place -> candidates(session, shelf(session, place), place, litres))
                .orElse(List.of()));
  }

  private static List<Candidate> candidates(
      Session session, FluidBook book, Spot place, Volume litres) {
    SumpLoader sump = SumpLoader.load(session, book, place.unit().id(), place.compartment());
    SpecJudge judge = book.judge(place.compartment().spec());
    return book.ofKind(place.compartment().spec().kind()).stream()
        .filter(read -> book.isOnShelf(read.product()))
        .map(
            read -> {
              Suitability suitability = judge.judge(read);
              return new Candidate(
                  read.product(),
                  suitability,
                  TopUp.judge(sump.contents(), read, litres, suitability),
                  enough(book, read.product().id(), Quantity.of(litres)));
            })
        .sorted(Comparator.comparing(candidate -> candidate.verdict().answer()))
        .toList();
  }

  private static List<PackFree> enough(FluidBook book, ProductId product, Quantity wanted) {
    return book.packs(product).stream()
        .map(item -> new PackFree(item, book.freeOf(item)))
        .filter(pack -> pack.free().compareTo(wanted) >= 0)
        .toList();
  }
}
