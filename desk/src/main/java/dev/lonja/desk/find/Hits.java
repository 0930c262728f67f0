package dev.lonja.desk.find;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/** Parts that were found, each once, the surest first, with what is stocked and free of each. */
public record Hits(List<Hit> all, Map<ItemId, Quantity> free) {

  /** A part with the kind of hit it is; the item where it is stocked. */
  public record Hit(HitKind kind, Optional<Part> part, Optional<Item> item) {}

  public Quantity freeOf(Item item) {
    return free.getOrDefault(item.id(), Quantity.zero(item.measure()));
  }

  /** Gathers hits, each part once. */
  static final class Gatherer {
    private final Session session;
    private final Set<PartId> shown = new HashSet<>();
    private final List<Hit> hits = new ArrayList<>();

    Gatherer(Session session) {
      this.session = session;
    }

    void addParts(HitKind kind, List<Part> parts) {
      Map<PartId, Item> items = session.items().byParts(parts.stream().map(Part::id).toList());
      parts.stream()
          .filter(part -> shown.add(part.id()))
          .forEach(
              part ->
                  hits.add(
                      new Hit(kind, Optional.of(part), Optional.ofNullable(items.get(part.id())))));
    }

    void addItems(HitKind kind, List<Item> items) {
      items.stream()
          .filter(item -> shown.add(item.partId()))
          .forEach(item -> hits.add(new Hit(kind, Optional.empty(), Optional.of(item))));
    }

    Hits hits(LocalDate today) {
      List<ItemId> ids = hits.stream().flatMap(hit -> hit.item().stream()).map(Item::id).toList();
      return new Hits(List.copyOf(hits), session.ledger().free(today, ids));
    }
  }
}
