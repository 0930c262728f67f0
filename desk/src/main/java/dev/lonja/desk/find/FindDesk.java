package dev.lonja.desk.find;

import dev.lonja.core.find.NumberSearch;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.Family;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartKey;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * Answers whatever is typed or scanned: units, trays, barcodes and bins by their own names, what
 * fits a unit, numbers, and last makes, families and words.
 */
@Service
@Allowed.ToSeeMachines
public class FindDesk {

  private static final int MOST_HITS = 50;

  private final LonjaStore store;
  private final StoreClock clock;

  public FindDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** What a query without white space around it leads to. */
  public Found find(String query) {
    return store.read(session -> find(session, query));
  }

  private Found find(Session session, String query) {
    return name(session, query)
        .or(() -> inBin(session, query))
        .or(() -> new PlaceSearch(session, clock.today()).find(query))
        .or(() -> PartKey.of(query).map(key -> numbers(session, query, key)))
        .orElseGet(Found.NoNumber::new);
  }

  /** A unit, a tray or a barcode. */
  private static Optional<Found> name(Session session, String query) {
    return session
        .fleet()
        .unitByCode(query)
        .<Found>map(Found.AUnit::new)
        .or(() -> session.trays().byNumber(query).map(Tray::id).map(Found.ATray::new))
        .or(() -> session.items().byBarcode(query).map(Item::id).map(Found.AnItem::new));
  }

  private Optional<Found> inBin(Session session, String query) {
    return session
        .items()
        .binByAddress(query)
        .map(
            bin -> {
              Hits.Gatherer hits = new Hits.Gatherer(session);
              hits.addItems(HitKind.BIN, session.items().atHomeIn(bin.id()));
              return new Found.InBin(bin, hits.hits(clock.today()));
            });
  }

  private Found numbers(Session session, String query, PartKey key) {
    Map<NumberSearch.Kind, List<Part>> found =
        NumberSearch.run(key, session.parts(), session.statements());
    List<Part> exact = found.getOrDefault(NumberSearch.Kind.EXACT, List.of());
    if (exact.size() == 1) {
      Part part = exact.get(0);
      return new Found.OnePart(
          part, Optional.ofNullable(session.items().byParts(List.of(part.id())).get(part.id())));
    }
    boolean tooShort = key.text().length() < NumberSearch.LEAST_PREFIX;
    Hits.Gatherer hits = new Hits.Gatherer(session);
    found.forEach((kind, parts) -> hits.addParts(HitKind.of(kind), parts));
    if (exact.isEmpty() && !tooShort) {
      hits.addParts(HitKind.MAKE, session.parts().byMake(query, MOST_HITS));
      familiesNamed(query)
          .forEach(family -> hits.addItems(HitKind.FAMILY, session.items().ofFamily(family)));
      List<String> words = Arrays.asList(query.split("[\\s,]+"));
      hits.addItems(HitKind.WORDS, session.items().withWords(words, MOST_HITS));
    }
    return new Found.Numbers(exact, tooShort, hits.hits(clock.today()));
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
}
