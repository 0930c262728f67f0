package dev.lonja.web.item;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.item.Criticality;
import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.part.Family;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.item.ItemFile;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.web.book.MovementRow;
import dev.lonja.web.fluid.HazardWording;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Says in words what is on file of an item. */
@Component
class ItemWording {

  private final StoreClock clock;

  ItemWording(StoreClock clock) {
    this.clock = clock;
  }

  ItemView view(ItemFile file) {
    Item item = file.item();
    return new ItemView(
        Plate.of(item),
        head(file),
        shelf(file),
        file.shelf().places().stream().map(ItemWording::atPlace).toList(),
        new ItemView.Keeping(
            file.keeping().barcodes(),
            file.keeping().bins().stream()
                .map(
                    bin ->
                        new ItemView.BinRow(
                            bin.address(), bin.least().display(), bin.most().display()))
                .toList(),
            file.keeping().supplies().stream().map(ItemWording::supplyRow).toList(),
            file.keeping().hasPicture()),
        file.uses().stream().map(use -> useRow(use, item)).toList(),
        file.lots().stream().map(this::lotRow).toList(),
        file.movements().stream().map(line -> MovementRow.of(line, item, clock)).toList());
  }

  private ItemView.Head head(ItemFile file) {
    Item item = file.item();
    return new ItemView.Head(
        item.product().map(Drum::of),
        item.product().map(Product::id),
        item.description(),
        item.family() == Family.KIT,
        file.part().part().mayBeUsedAgain(),
        HazardWording.lines(file.hazards()),
        kept(item.keeping()),
        file.successor().map(next -> Plate.of(next.part(), next.stocked())));
  }

  private static ItemView.Shelf shelf(ItemFile file) {
    ItemFile.Shelf shelf = file.shelf();
    return new ItemView.Shelf(
        file.item().measure().symbol(),
        file.item().homeBin().address(),
        file.item().needsLot(),
        shelf.onHand().display(),
        shelf.free().display(),
        shelf.held().isPositive() ? shelf.held().display() + " on trays" : "",
        shelf.used().entrySet().stream()
            .map(some -> some.getValue().display() + " " + some.getKey().words())
            .collect(Collectors.joining("; ")),
        shelf.usedFree().isPositive() ? shelf.usedFree().display() : "",
        shelf.worth().map(worth -> worth.value().display()).orElse(""),
        shelf.worth().map(worth -> worth.average().display()).orElse(""));
  }

  private static ItemView.AtPlace atPlace(ItemFile.AtPlace at) {
    String held =
        at.held().isPositive() ? ", " + at.held().display() + " on trays or going elsewhere" : "";
    return new ItemView.AtPlace(
        at.place().toString(), at.name(), at.free().display() + " free" + held);
  }

  /** What is out of the ordinary in how the item is kept. */
  private List<String> kept(Item.Keeping keeping) {
    List<String> words = new ArrayList<>();
    keeping
        .retiredOn()
        .ifPresent(
            day -> words.add("Not kept any more since " + Words.day(day, clock.today()) + "."));
    if (keeping.criticality() != Criticality.NORMAL) {
      words.add(
          keeping.criticality() == Criticality.STOPS_THE_UNIT
              ? "Stops the unit if it is not there."
              : "A convenience: its absence stops nothing.");
    }
    if (keeping.runningOut()) {
      words.add("Running out: use what is left first, buy no more.");
    }
    keeping
        .shelfLifeDays()
        .ifPresent(days -> words.add("Keeps " + Words.keeps(days) + " unopened."));
    keeping
        .openLifeDays()
        .ifPresent(days -> words.add("Keeps " + Words.keeps(days) + " once opened."));
    return words;
  }

  private static ItemView.SupplyRow supplyRow(Supply supply) {
    return new ItemView.SupplyRow(
        supply.supplier().name(),
        supply.orderNumber(),
        supply.price().display()
            + supply.prices().breaks().stream()
                .map(b -> ", from " + b.from().display() + " " + b.price().display())
                .collect(Collectors.joining()),
        supply.pack().display(),
        supply.least().display(),
        Words.count(supply.supplier().leadDays(), "day", "days"));
  }

  private ItemView.UseRow useRow(ItemFile.Use use, Item item) {
    Quantity sum =
        use.demands().stream()
            .map(Demand::quantity)
            .reduce(Quantity.zero(item.measure()), Quantity::plus);
    return new ItemView.UseRow(
        use.unit(),
        use.demands().stream()
            .findFirst()
            .map(demand -> demand.service() + ", " + Words.day(demand.date(), clock.today()))
            .orElse("not in half a year"),
        sum.display());
  }

  private ItemView.LotRow lotRow(LotFacts facts) {
    LocalDate today = clock.today();
    StockedLot lot = facts.lot();
    return new ItemView.LotRow(
        lot.place().lotId(),
        lot.place().binId(),
        facts.binAddress(),
        facts.lotCode(),
        Words.day(lot.receivedOn(), today),
        lot.expiresOn().map(day -> Words.day(day, today)).orElse("none"),
        lot.quantity().display(),
        states(lot, today));
  }

  /** In which condition it is, unless new, and why it may not be issued. */
  private static List<State> states(StockedLot lot, LocalDate today) {
    List<State> states = new ArrayList<>();
    if (lot.condition() != LotCondition.NEW) {
      states.add(State.note(lot.condition().words()));
    }
    if (lot.quarantined()) {
      states.add(State.ofShort("quarantined"));
    } else if (lot.isExpired(today)) {
      states.add(State.ofShort("expired"));
    }
    return states;
  }
}
