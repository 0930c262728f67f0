package dev.lonja.web.place;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.ledger.BinStand;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.Rack;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.place.ShelfDesk;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Says where things lie and how the bins stand. */
final class ShelfWording {

  private static final int TENTH = 10;

  private final StoreClock clock;
  private final LocalDate today;

  ShelfWording(StoreClock clock) {
    this.clock = clock;
    this.today = clock.today();
  }

  /** A rack of a place. */
  private record Standing(Place place, String rack) {
    static Standing of(Item.Bin bin) {
      return new Standing(bin.place(), Rack.of(bin.address()));
    }

    private String satellite(Map<Place, String> names) {
      return place.isMain() ? "" : names.get(place);
    }
  }

  /** The main store first, then its satellites, each in walking order. */
  ShelfView map(List<ShelfDesk.Shelf> shelves, Map<Place, String> names) {
    Map<Standing, List<BayDrawing.Bin>> racks = new LinkedHashMap<>();
    shelves.stream()
        .sorted(Comparator.comparing(shelf -> shelf.bin().place()))
        .forEach(
            shelf ->
                racks
                    .computeIfAbsent(Standing.of(shelf.bin()), rack -> new ArrayList<>())
                    .add(bin(shelf)));
    Set<Place> named = new HashSet<>();
    long empty = shelves.stream().filter(shelf -> shelf.stand().lots().isEmpty()).count();
    return new ShelfView(
        Words.count(shelves.size(), "bin", "bins")
            + " in "
            + Words.count(racks.size(), "rack", "racks")
            + ", "
            + empty
            + " empty",
        racks.entrySet().stream()
            .map(
                entry ->
                    new ShelfView.OneRack(
                        named.add(entry.getKey().place()) ? entry.getKey().satellite(names) : "",
                        entry.getKey().rack(),
                        BayDrawing.of(entry.getValue())))
            .toList());
  }

  /** By racks in walking order, each bin with what is found in it. */
  ShelfView.Paper paper(List<ShelfDesk.Content> contents, Map<Place, String> names) {
    Map<Standing, List<ShelfView.PaperBin>> racks = new LinkedHashMap<>();
    for (ShelfDesk.Content content : contents) {
      racks
          .computeIfAbsent(Standing.of(content.bin()), rack -> new ArrayList<>())
          .add(
              new ShelfView.PaperBin(
                  content.bin().address(),
                  content.items().stream()
                      .map(item -> new ShelfView.PaperThing(item.number(), item.description()))
                      .toList()));
    }
    return new ShelfView.Paper(
        Words.day(today, today),
        racks.entrySet().stream()
            .map(
                entry ->
                    new ShelfView.PaperRack(
                        entry.getKey().place().isMain()
                            ? entry.getKey().rack()
                            : entry.getKey().rack() + ", " + entry.getKey().satellite(names),
                        entry.getValue()))
            .toList());
  }

  private BayDrawing.Bin bin(ShelfDesk.Shelf shelf) {
    BinStand stand = shelf.stand();
    Set<BinStand.Mark> marks = stand.marks(today);
    int things = stand.there().size();
    return new BayDrawing.Bin(
        shelf.bin().address(),
        fill(stand),
        mark(marks),
        things > 1 ? String.valueOf(things) : "",
        words(stand, marks));
  }

  private static String fill(BinStand stand) {
    if (stand.lots().isEmpty()) {
      return "empty";
    }
    return stand.percent().map(percent -> String.valueOf(percent / TENTH)).orElse("some");
  }

  private static String mark(Set<BinStand.Mark> marks) {
    if (marks.contains(BinStand.Mark.EXPIRED) || marks.contains(BinStand.Mark.BELOW_LEAST)) {
      return "short";
    }
    return marks.contains(BinStand.Mark.EXPIRING) || marks.contains(BinStand.Mark.SET_ASIDE)
        ? "note"
        : "";
  }

  private static String words(BinStand stand, Set<BinStand.Mark> marks) {
    String things =
        stand.lots().isEmpty()
            ? "empty"
            : Words.count(stand.there().size(), "thing", "things")
                + stand.percent().map(percent -> ", " + percent + " % full").orElse("");
    return things
        + marks.stream()
            .filter(mark -> mark != BinStand.Mark.MIXED && mark != BinStand.Mark.EMPTY)
            .map(mark -> ", " + word(mark).word())
            .collect(Collectors.joining());
  }

  private static State word(BinStand.Mark mark) {
    return switch (mark) {
      case EXPIRED -> State.ofShort("expired");
      case BELOW_LEAST -> State.ofShort("below its least");
      case EXPIRING -> State.note("expires within " + BinStand.EXPIRING_DAYS + " days");
      case SET_ASIDE -> State.note("something is set aside");
      case FULL -> State.ready("full");
      case MIXED -> State.open("several things");
      case EMPTY -> State.open("empty");
    };
  }

  ShelfView.Opened opened(ShelfDesk.Opened opened) {
    return new ShelfView.Opened(
        opened.shelf().bin().address(),
        Rack.of(opened.shelf().bin().address()),
        opened.before().orElse(""),
        opened.after().orElse(""),
        opened
            .counted()
            .map(at -> "Counted last " + Words.day(clock.dayOf(at), today) + ".")
            .orElse("Never counted."),
        opened.shelf().stand().marks(today).stream().map(ShelfWording::word).toList(),
        opened.items().stream().map(item -> thing(opened, item)).toList());
  }

  private ShelfView.Thing thing(ShelfDesk.Opened opened, Item item) {
    BinStand stand = opened.shelf().stand();
    Quantity there = stand.there().getOrDefault(item.id(), Quantity.zero(item.measure()));
    return new ShelfView.Thing(
        Plate.of(item),
        item.description(),
        there.display(),
        Optional.ofNullable(stand.kept().get(item.id())).map(ShelfWording::holds).orElse(""),
        item.homeBin().id().equals(opened.shelf().bin().id()),
        opened.lots().stream()
            .filter(lot -> lot.lot().place().itemId().equals(item.id()))
            .map(this::lot)
            .toList());
  }

  private static String holds(ItemBin bin) {
    return "is to hold " + bin.least().display() + " to " + bin.most().display();
  }

  private ShelfView.Lot lot(LotFacts facts) {
    StockedLot lot = facts.lot();
    return new ShelfView.Lot(
        facts.lotCode(),
        lot.quantity().display(),
        "came " + Words.day(lot.receivedOn(), today),
        state(lot));
  }

  private State state(StockedLot lot) {
    if (lot.isExpired(today)) {
      return State.ofShort("expired " + Words.day(lot.expiresOn().orElseThrow(), today));
    }
    if (lot.quarantined()) {
      return State.note("set aside");
    }
    if (lot.condition() != LotCondition.NEW) {
      return State.open(lot.condition().words());
    }
    return lot.expiresOn()
        .map(
            day ->
                lot.isExpired(today.plusDays(BinStand.EXPIRING_DAYS))
                    ? State.note("good through " + Words.day(day, today))
                    : State.ready("good through " + Words.day(day, today)))
        .orElse(State.ready("good"));
  }
}
