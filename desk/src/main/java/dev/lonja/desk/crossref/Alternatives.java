package dev.lonja.desk.crossref;

import dev.lonja.core.crossref.BoxDifference;
import dev.lonja.core.crossref.Candidates;
import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.crossref.Neighbourhood;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.BoxContent;
import dev.lonja.core.part.PartId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.request.Viewer;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.FreeStock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * What may stand for one part at a place, and what the store has of it.
 *
 * @param shelf with prices only for those who may see money
 * @param boxes what comes in the box of each
 */
public record Alternatives(
    Neighbourhood around,
    Candidates candidates,
    PartShelf shelf,
    Map<PartId, List<BoxContent>> boxes) {

  /** With what is free all over the store. */
  public static Alternatives of(Session session, LocalDate today, PartId partId, Fitting place) {
    return of(session, ids -> session.ledger().free(today, ids), partId, place);
  }

  /**
   * @param stock what is free where it is asked for
   */
  public static Alternatives of(Session session, FreeStock stock, PartId partId, Fitting place) {
    Neighbourhood around = Neighbourhood.around(partId, session.statements());
    // asked for once the parts are known; never if there is none but the asked one
    List<PartShelf> stocked = new ArrayList<>();
    Candidates candidates =
        Candidates.of(
            around,
            place,
            session.rubberTable(),
            parts -> {
              List<PartId> all = new ArrayList<>(parts);
              all.add(partId);
              stocked.add(PartShelf.priced(session, stock, all));
              return shelves(stocked.get(0));
            });
    PartShelf shelf =
        stocked.isEmpty() ? PartShelf.priced(session, stock, List.of(partId)) : stocked.get(0);
    List<PartId> boxed = new ArrayList<>(List.of(partId));
    candidates.others().forEach(candidate -> boxed.add(candidate.part().id()));
    return new Alternatives(
        around,
        candidates,
        Viewer.seesMoney() ? shelf : shelf.withoutPrices(),
        session.boxes().of(boxed));
  }

  private static Map<PartId, Candidates.Shelf> shelves(PartShelf stocked) {
    Map<PartId, Candidates.Shelf> shelves = new HashMap<>();
    stocked
        .items()
        .forEach(
            (part, item) ->
                shelves.put(
                    part, new Candidates.Shelf(stocked.freeOf(item), stocked.priceOf(item))));
    return shelves;
  }

  /** What the box of a part lacks and brings against the one that is asked for. */
  public BoxDifference boxDifference(PartId part) {
    return BoxDifference.between(
        boxes.getOrDefault(candidates.asked().id(), List.of()),
        boxes.getOrDefault(part, List.of()));
  }

  /** True if a part is stocked as this item. */
  public boolean stocks(PartId part, ItemId itemId) {
    return shelf.item(part).filter(item -> item.id().equals(itemId)).isPresent();
  }

  /**
   * The items that fit without a look, of which enough is free, in the order of the candidates.
   *
   * @param but an item that is lacking itself
   */
  public Stream<Item> thatFit(ItemId but, Quantity wanted) {
    return candidates.others().stream()
        .filter(candidate -> candidate.verdict() == Verdict.FITS)
        .flatMap(candidate -> shelf.item(candidate.part().id()).stream())
        .filter(item -> !item.id().equals(but))
        .filter(item -> shelf.freeOf(item).compareTo(wanted) >= 0);
  }
}
