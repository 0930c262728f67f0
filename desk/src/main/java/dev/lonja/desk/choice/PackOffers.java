package dev.lonja.desk.choice;

import dev.lonja.core.choice.FutureUse;
import dev.lonja.core.choice.Pack;
import dev.lonja.core.choice.PackChoice;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.Supply;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.forecast.Subject;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LotFacts;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** The packs of a product that may be bought or taken off the shelf, and what is used of it. */
public final class PackOffers {

  private static final int WEEKS = 52;

  private final Session session;
  private final LocalDate today;

  public PackOffers(Session session, LocalDate today) {
    this.session = session;
    this.today = today;
  }

  /** Which packs to take off the shelf; empty if what is free does not cover the need. */
  public Optional<PackChoice.Choice> fromTheShelf(
      FluidBook book, ProductId product, Volume need, LocalDate day) {
    List<Item> packs = book.packs(product);
    return PackChoice.of(need, onTheShelf(book, packs), usedAfter(packs, day));
  }

  /** Which packs to buy; empty if nobody sells any that cover the need and have room. */
  public Optional<PackChoice.Choice> forSale(
      FluidBook book, ProductId product, Volume need, LocalDate day) {
    List<Item> packs = book.packs(product);
    return PackChoice.of(need, forSale(packs), usedAfter(packs, day));
  }

  /**
   * What is sold of a product: each pack at its lowest price, as many as the bins have room for.
   * Packs that nobody is known to sell are left out.
   */
  public List<Pack> forSale(List<Item> packs) {
    List<Pack> offers = new ArrayList<>();
    for (Item item : packs) {
      session.keeping().supplies(item.id(), session.settings().currency()).stream()
          .min(Comparator.comparing(supply -> supply.price().tenThousandthsOfMinor()))
          .map(supply -> forSale(item, supply))
          .filter(pack -> pack.exist().filter(most -> most == 0).isEmpty())
          .ifPresent(offers::add);
    }
    return offers;
  }

  private Pack forSale(Item item, Supply supply) {
    Volume litres = item.pack().orElseThrow();
    return new Pack(
        new Pack.Origin.Sealed(item.id()),
        item.number(),
        litres,
        supply.price().valueOf(Quantity.of(litres)),
        Math.max(1, wholePacks(supply.least(), litres, RoundingMode.CEILING)),
        item.keeping().shelfLifeDays(),
        item.keeping().openLifeDays(),
        room(item, litres));
  }

  /** How many packs still go into the item's bins; empty if no bin of it has a limit. */
  private Optional<Integer> room(Item item, Volume litres) {
    List<ItemBin> bins = session.keeping().bins(item.id());
    if (bins.isEmpty()) {
      return Optional.empty();
    }
    Quantity most = bins.stream().map(ItemBin::most).reduce(Quantity::plus).orElseThrow();
    Quantity onHand = session.ledger().stockOf(item.id()).onHand();
    return Optional.of(wholePacks(most.minus(onHand).atLeastZero(), litres, RoundingMode.FLOOR));
  }

  private static int wholePacks(Quantity quantity, Volume litres, RoundingMode rounding) {
    return quantity.amount().divide(litres.litres(), 0, rounding).intValueExact();
  }

  /**
   * What lies on the shelf of a product: whole packs at what they are worth, and each open
   * container with what is left in it. What open trays hold is taken off the sealed ones.
   */
  public List<Pack> onTheShelf(FluidBook book, List<Item> packs) {
    List<Pack> offers = new ArrayList<>();
    for (Item item : packs) {
      Volume litres = item.pack().orElseThrow();
      UnitPrice price = session.ledger().stockOf(item.id()).average();
      Quantity left = book.freeOf(item);
      for (LotFacts lot : session.ledger().lotsOf(item.id())) {
        boolean open = lot.lot().openedOn().isPresent() && lot.lot().mayBeIssued(today);
        Quantity inIt = open ? lot.lot().quantity().min(left) : Quantity.zero(left.measure());
        if (inIt.isPositive()) {
          left = left.minus(inIt);
          offers.add(open(item, lot, new Volume(inIt.millionths()), price));
        }
      }
      int whole = wholePacks(left, litres, RoundingMode.FLOOR);
      if (whole > 0) {
        Money value = price.valueOf(Quantity.of(litres));
        offers.add(
            new Pack(
                new Pack.Origin.Sealed(item.id()),
                item.number(),
                litres,
                value,
                1,
                item.keeping().shelfLifeDays(),
                item.keeping().openLifeDays(),
                Optional.of(whole)));
      }
    }
    return offers;
  }

  private Pack open(Item item, LotFacts lot, Volume inIt, UnitPrice price) {
    Optional<Integer> days =
        lot.lot().expiresOn().map(day -> (int) ChronoUnit.DAYS.between(today, day));
    return new Pack(
        new Pack.Origin.Opened(item.id(), lot.lot().place().lotId()),
        item.number(),
        inIt,
        price.valueOf(Quantity.of(inIt)),
        1,
        days,
        days,
        Optional.of(1));
  }

  /** What the plan line takes of a product after a day; beyond its year, at the same pace. */
  public FutureUse usedAfter(List<Item> packs, LocalDate day) {
    if (packs.isEmpty()) {
      return FutureUse.NONE;
    }
    Forecast forecast = Forecast.load(session, today, WEEKS);
    List<Demand> demands =
        forecast.subjectOf(packs.get(0).id()).map(Subject::demands).orElse(List.of()).stream()
            .filter(demand -> demand.date().isAfter(day))
            .toList();
    long horizon = Math.max(1, ChronoUnit.DAYS.between(day, PlanLine.lastDay(today, WEEKS)));
    return days -> used(demands, day, days, horizon);
  }

  private static Volume used(List<Demand> demands, LocalDate day, int days, long horizon) {
    LocalDate last = day.plusDays(Math.min(days, horizon));
    long microlitres =
        demands.stream()
            .filter(demand -> !demand.date().isAfter(last))
            .mapToLong(demand -> demand.quantity().atLeastZero().millionths())
            .sum();
    if (days <= horizon) {
      return new Volume(microlitres);
    }
    long most = Volume.ofLitres("1000000").microlitres();
    BigDecimal pace =
        BigDecimal.valueOf(microlitres)
            .multiply(BigDecimal.valueOf(days))
            .divide(BigDecimal.valueOf(horizon), 0, RoundingMode.HALF_UP);
    return new Volume(pace.min(BigDecimal.valueOf(most)).longValueExact());
  }
}
