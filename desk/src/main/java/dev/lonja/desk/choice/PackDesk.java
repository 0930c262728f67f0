package dev.lonja.desk.choice;

import dev.lonja.core.choice.PackChoice;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.SpecUse;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Answers which packs of a product to buy, and which to take off the shelf. */
@Service
@Allowed.ToSeeStore
public class PackDesk {

  private final LonjaStore store;
  private final StoreClock clock;

  public PackDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** A need: so many litres, by a day. */
  public record Need(Volume litres, LocalDate by) {}

  /** Where a product is in use although the spec does not simply allow it. */
  public record WronglyUsed(SpecUse use, Suitability verdict) {}

  /**
   * A product, and packs that cover a need.
   *
   * @param places how many places of the fleet it may go into without a word
   */
  public record Advice(
      Product product,
      int places,
      List<WronglyUsed> wronglyUsed,
      Optional<PackChoice.Choice> buying,
      Optional<PackChoice.Choice> taking) {}

  /** All products that may be asked for. */
  public List<Product> products() {
    return store.read(session -> session.products().all());
  }

  /**
   * Empty for an unknown product.
   *
   * @param need without one no packs are chosen
   */
  public Optional<Advice> advice(ProductId productId, Optional<Need> need) {
    return store.read(
        session -> {
          FluidBook book = FluidBook.load(session, clock.today());
          return book.byId(productId).map(read -> advice(session, book, read, need));
        });
  }

  private Advice advice(Session session, FluidBook book, ProductClaims read, Optional<Need> need) {
    ProductId id = read.product().id();
    ProductPacks packs = new ProductPacks(session, clock.today());
    int places = 0;
    List<WronglyUsed> wrongly = new ArrayList<>();
    for (SpecUse use : SpecUse.all(session, FleetPicture.load(session, clock.today()))) {
      Suitability verdict = book.verdict(use.spec(), id);
      boolean inUse =
          use.preferred().flatMap(Item::product).filter(p -> p.id().equals(id)).isPresent();
      if (verdict.overall().isFree()) {
        places++;
      } else if (inUse) {
        wrongly.add(new WronglyUsed(use, verdict));
      }
    }
    return new Advice(
        read.product(),
        places,
        wrongly,
        need.flatMap(n -> packs.forSale(book, id, n.litres(), n.by())),
        need.flatMap(n -> packs.fromTheShelf(book, id, n.litres(), n.by())));
  }
}
