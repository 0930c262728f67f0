package dev.lonja.desk.ledger;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.ledger.LedgerLine;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Answers what happened. */
@Service
@Allowed.ToSeeStore
public class BookDesk {

  private static final int MOST = 200;

  private final LonjaStore store;

  public BookDesk(LonjaStore store) {
    this.store = store;
  }

  /** Movements, newest first, with the items they are of. */
  public record Movements(List<LedgerLine> lines, Map<ItemId, Item> items) {}

  /** The latest movements of the store. */
  public Movements latest() {
    return store.read(
        session ->
            new Movements(
                session.ledger().latest(MOST),
                session.items().all().stream()
                    .collect(Collectors.toMap(Item::id, Function.identity()))));
  }
}
