package dev.lonja.desk.choice;

import dev.lonja.core.choice.FutureUse;
import dev.lonja.core.choice.Pack;
import dev.lonja.core.choice.PackChoice;
import dev.lonja.core.choice.PackOffers;
import dev.lonja.core.choice.PlannedUse;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LotFacts;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** The packs of a product that may be bought or taken off the shelf, and which to take. */
public final class ProductPacks {

  private static final int WEEKS = 52;

  private final Session session;
  private final LocalDate today;

  public ProductPacks(Session session, LocalDate today) {
    this.session = session;
    this.today = today;
  }

  /** Which packs to take off the shelf; empty if what is free does not cover the need. */
  public Optional<PackChoice.Choice> fromTheShelf(
      FluidBook book, ProductId product, Volume need, LocalDate day) {
    List<Item> packs = book.packs(product);
    List<Pack> offers = packs.stream().flatMap(item -> onTheShelf(book, item).stream()).toList();
    return PackChoice.of(need, offers, usedAfter(packs, day));
  }

  private List<Pack> onTheShelf(FluidBook book, Item item) {
    return PackOffers.onTheShelf(
        item,
        session.ledger().stockOf(item.id()).average(),
        book.freeOf(item),
        session.ledger().lotsOf(item.id()).stream().map(LotFacts::lot).toList(),
        today);
  }

  /** Which packs to buy; empty if nobody sells any that cover the need and have room. */
  public Optional<PackChoice.Choice> forSale(
      FluidBook book, ProductId product, Volume need, LocalDate day) {
    List<Item> packs = book.packs(product);
    List<Pack> offers = packs.stream().flatMap(item -> forSale(item).stream()).toList();
    return PackChoice.of(need, offers, usedAfter(packs, day));
  }

  private Optional<Pack> forSale(Item item) {
    return PackOffers.forSale(
        item,
        session.supplies().of(item.id()),
        session.keeping().bins(item.id()).stream()
            .map(ItemBin::most)
            .reduce(Quantity::plus)
            .map(most -> most.minus(session.ledger().stockOf(item.id()).onHand())));
  }

  private FutureUse usedAfter(List<Item> packs, LocalDate day) {
    if (packs.isEmpty()) {
      return FutureUse.NONE;
    }
    Forecast forecast = Forecast.load(session, today, WEEKS);
    return new PlannedUse(
        forecast.subjectOf(packs.get(0).id()).map(Subject::demands).orElse(List.of()),
        day,
        PlanLine.lastDay(today, WEEKS));
  }
}
