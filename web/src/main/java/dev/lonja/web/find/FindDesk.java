package dev.lonja.web.find;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.clock.StoreClock;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Finds by exact key first, then by prefix; units, bins and trays by their own names. */
@Service
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
      return new FindView("", "", Optional.empty(), List.of());
    }
    if (query.length() > LONGEST) {
      return nothing(
          query.substring(0, LONGEST),
          "That is " + query.length() + " characters long; a number has " + LONGEST + " at most.");
    }
    return store.read(session -> find(session, query));
  }

  private FindView find(Session session, String query) {
    Optional<String> place = place(session, query);
    if (place.isPresent()) {
      return new FindView(query, "", place, List.of());
    }
    Optional<Item.Bin> bin = session.items().binByAddress(query);
    if (bin.isPresent()) {
      List<Item> items = session.items().atHomeIn(bin.get().id());
      String answer =
          "Bin "
              + bin.get().address()
              + ": "
              + Words.count(items.size(), "item", "items")
              + " at home here.";
      return new FindView(query, answer, Optional.empty(), hits(session, "in this bin", items));
    }
    return PartKey.of(query)
        .map(key -> byNumber(session, query, key))
        .orElseGet(
            () ->
                nothing(
                    query,
                    "\"" + query + "\" holds no letter and no digit, so it is not a number."));
  }

  /** Where a unit's or tray's own name leads. */
  private static Optional<String> place(Session session, String query) {
    return session
        .fleet()
        .unitByCode(query)
        .map(Unit::code)
        .map(code -> "/fleet/" + code)
        .or(() -> session.trays().byNumber(query).map(Tray::id).map(id -> "/trays/" + id));
  }

  private FindView byNumber(Session session, String query, PartKey key) {
    List<Item> exact = session.items().byKey(key);
    List<Item> longer =
        key.text().length() < LEAST_PREFIX
            ? List.of()
            : session.items().byKeyPrefix(key, MOST_HITS);
    List<FindView.Hit> hits = new ArrayList<>(hits(session, "this number", exact));
    hits.addAll(hits(session, "begins with it", longer));
    Optional<String> goTo =
        exact.size() == 1 ? Optional.of("/items/" + exact.get(0).id()) : Optional.empty();
    return new FindView(query, answer(query, key, exact, longer), goTo, hits);
  }

  private static String answer(String query, PartKey key, List<Item> exact, List<Item> longer) {
    if (exact.size() > 1) {
      return exact.size() + " makes use the number " + query + ". Which one is in your hand?";
    }
    if (exact.isEmpty() && longer.isEmpty()) {
      return key.text().length() < LEAST_PREFIX
          ? "No item, unit or bin is called "
              + query
              + ". Type 3 characters or more to see numbers that begin so."
          : "No item, unit, bin or tray is called " + query + ".";
    }
    return Words.count(exact.size() + longer.size(), "item", "items") + " for " + query + ".";
  }

  private List<FindView.Hit> hits(Session session, String kind, List<Item> items) {
    Map<Long, Quantity> free = session.ledger().free(clock.today());
    return items.stream()
        .map(
            item ->
                new FindView.Hit(
                    kind,
                    Plate.of(item),
                    item.description(),
                    item.product().map(Drum::of),
                    item.homeBin().address(),
                    free.getOrDefault(item.id(), Quantity.zero(item.measure())).display()))
        .toList();
  }

  private static FindView nothing(String query, String answer) {
    return new FindView(query, answer, Optional.empty(), List.of());
  }
}
