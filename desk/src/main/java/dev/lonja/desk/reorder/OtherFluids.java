package dev.lonja.desk.reorder;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.ShelfFluid;
import dev.lonja.store.Session;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** What of the shelf may go in wherever a fluid goes (rules §4), where that comes too late. */
final class OtherFluids {

  private final Session session;
  private final FleetPicture fleet;
  private Optional<FluidBook> book = Optional.empty();

  OtherFluids(Session session, FleetPicture fleet) {
    this.session = session;
    this.fleet = fleet;
  }

  /**
   * Other products that are free and that every compartment which takes this one takes without a
   * signature, the best verdict of the first first; none for a fluid that goes nowhere.
   */
  List<ShelfFluid> of(Subject subject) {
    Set<ItemId> packs = subject.items().stream().map(Item::id).collect(Collectors.toSet());
    List<Spec> specs =
        fleet.units().stream()
            .flatMap(unit -> fleet.needs(unit.id()).compartments().stream())
            .filter(compartment -> compartment.itemId().filter(packs::contains).isPresent())
            .map(Compartment::spec)
            .distinct()
            .toList();
    if (subject.product().isEmpty() || specs.isEmpty()) {
      return List.of();
    }
    Product late = subject.product().get();
    return ShelfFluid.free(book(), specs.get(0), late.id()).stream()
        .filter(fluid -> specs.stream().allMatch(spec -> mayGoIn(spec, fluid)))
        .toList();
  }

  private boolean mayGoIn(Spec spec, ShelfFluid fluid) {
    return book().verdict(spec, fluid.product().id()).overall().isFree();
  }

  private FluidBook book() {
    FluidBook loaded = book.orElseGet(() -> FluidBook.load(session, fleet.today()));
    book = Optional.of(loaded);
    return loaded;
  }
}
