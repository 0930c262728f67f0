package dev.lonja.web.find;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/**
 * Answers whatever is typed or scanned: units, trays, barcodes and bins by their own names, what
 * fits a unit, numbers, and last makes, families and words.
 */
@Service
@Allowed.ToSeeMachines
public class FindDesk {

  private static final int LONGEST = 200;
  private static final int LEAST_PREFIX = 3;
  private static final int MOST_HITS = 50;

  private final LonjaStore store;
  private final StoreClock clock;

  public FindDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  public FindView find(String typed) {
    String query = typed.strip();
    if (query.isEmpty()) {
      return FindView.answer("", "");
    }
    if (query.length() > LONGEST) {
      return FindView.answer(
          query.substring(0, LONGEST),
          "That is " + query.length() + " characters long; a number has " + LONGEST + " at most.");
    }
    return store.read(session -> find(session, query));
  }

  private FindView find(Session session, String query) {
    Optional<String> place = place(session, query);
    if (place.isPresent()) {
      return FindView.going(query, place.get());
    }
    Optional<Item.Bin> bin = session.items().binByAddress(query);
    if (bin.isPresent()) {
      return inBin(session, query, bin.get());
    }
    return new PlaceSearch(session, clock.today())
        .find(query)
        .or(() -> PartKey.of(query).map(key -> byNumberOrWords(session, query, key)))
        .orElseGet(
            () ->
                FindView.answer(
                    query,
                    "\"" + query + "\" holds no letter and no digit, so it is not a number."));
  }

  /** Where the name of a unit or tray, or a barcode, leads. */
  private static Optional<String> place(Session session, String query) {
    return session
        .fleet()
        .unitByCode(query)
        .map(Unit::code)
        .map(code -> "/fleet/" + code)
        .or(() -> session.trays().byNumber(query).map(Tray::id).map(id -> "/trays/" + id))
        .or(() -> session.items().byBarcode(query).map(Item::id).map(id -> "/items/" + id));
  }

  private FindView inBin(Session session, String query, Item.Bin bin) {
    List<Item> items = session.items().atHomeIn(bin.id());
    String answer =
        "Bin "
            + bin.address()
            + ": "
            + Words.count(items.size(), "item", "items")
            + " at home here.";
    return new FindView(
        query,
        answer,
        Optional.empty(),
        new Rows(session).ofItems(HitKind.BIN, items, new HashSet<>()),
        List.of());
  }

  private FindView byNumberOrWords(Session session, String query, PartKey key) {
    Map<HitKind, List<Part>> found = NumberSearch.run(session, key);
    List<Part> exact = found.getOrDefault(HitKind.EXACT, List.of());
    Rows rows = new Rows(session);
    if (exact.size() == 1) {
      return FindView.going(query, rows.plate(exact.get(0)).path());
    }
    List<FindView.Hit> hits = new ArrayList<>();
    Set<PartId> shown = new HashSet<>();
    found.forEach((kind, parts) -> hits.addAll(rows.ofParts(kind, parts, shown)));
    if (exact.isEmpty() && key.text().length() >= LEAST_PREFIX) {
      hits.addAll(rows.ofParts(HitKind.MAKE, session.parts().byMake(query, MOST_HITS), shown));
      for (Family family : familiesNamed(query)) {
        hits.addAll(rows.ofItems(HitKind.FAMILY, session.items().ofFamily(family), shown));
      }
      List<String> words = Arrays.asList(query.split("[\\s,]+"));
      hits.addAll(rows.ofItems(HitKind.WORDS, session.items().withWords(words, MOST_HITS), shown));
    }
    return new FindView(query, answer(query, key, exact, hits), Optional.empty(), hits, List.of());
  }

  private static List<Family> familiesNamed(String query) {
    String words = query.toLowerCase(Locale.ROOT);
    return Arrays.stream(Family.values())
        .filter(
            family ->
                words.equals(family.words().toLowerCase(Locale.ROOT))
                    || words.equals(family.words().toLowerCase(Locale.ROOT) + "s"))
        .toList();
  }

  private static String answer(
      String query, PartKey key, List<Part> exact, List<FindView.Hit> hits) {
    if (exact.size() > 1) {
      long makes = exact.stream().map(Part::make).distinct().count();
      return (makes > 1 ? makes + " makes use" : "One make prints in " + exact.size() + " ways")
          + " the number "
          + query
          + ". Which one is in your hand?";
    }
    if (hits.isEmpty()) {
      return key.text().length() < LEAST_PREFIX
          ? "No item, unit or bin is called "
              + query
              + ". Type 3 characters or more to see numbers that begin so."
          : "No item, unit, bin or tray is called " + query + ".";
    }
    return "The number "
        + query
        + " as such is not known. "
        + Words.count(hits.size(), "hit", "hits")
        + " that may be meant.";
  }

  /** Makes rows of what was found, each part once. */
  private final class Rows {
    private final Session session;

    Rows(Session session) {
      this.session = session;
    }

    Plate plate(Part part) {
      Map<PartId, Item> items = session.items().byParts(List.of(part.id()));
      return Plate.of(part, Optional.ofNullable(items.get(part.id())));
    }

    List<FindView.Hit> ofParts(HitKind kind, List<Part> parts, Set<PartId> shown) {
      Map<PartId, Item> items = session.items().byParts(parts.stream().map(Part::id).toList());
      Map<ItemId, Quantity> free = free(items.values());
      return parts.stream()
          .filter(part -> shown.add(part.id()))
          .map(
              part ->
                  Optional.ofNullable(items.get(part.id()))
                      .map(item -> row(kind, item, free))
                      .orElseGet(() -> row(kind, part)))
          .toList();
    }

    List<FindView.Hit> ofItems(HitKind kind, List<Item> items, Set<PartId> shown) {
      Map<ItemId, Quantity> free = free(items);
      return items.stream()
          .filter(item -> shown.add(item.partId()))
          .map(item -> row(kind, item, free))
          .toList();
    }

    private Map<ItemId, Quantity> free(Collection<Item> items) {
      return session.ledger().free(clock.today(), items.stream().map(Item::id).toList());
    }

    private FindView.Hit row(HitKind kind, Item item, Map<ItemId, Quantity> free) {
      return new FindView.Hit(
          kind.words(),
          Plate.of(item),
          item.description(),
          item.product().map(Drum::of),
          item.homeBin().address(),
          free.getOrDefault(item.id(), Quantity.zero(item.measure())).display());
    }

    private FindView.Hit row(HitKind kind, Part part) {
      return new FindView.Hit(
          kind.words(),
          Plate.of(part, Optional.empty()),
          part.family().map(Family::words).orElse("kind not known") + ", not stocked",
          Optional.empty(),
          "",
          "");
    }
  }
}
