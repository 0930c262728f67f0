package dev.lonja.web.book;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
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
  private final StoreClock clock;

  public BookDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** The latest movements of the store, newest first. */
  @Allowed.ToSeeStore
  public List<MovementRow> latest() {
    return store.read(
        session -> {
          Map<ItemId, Item> items =
              session.items().all().stream()
                  .collect(Collectors.toMap(Item::id, Function.identity()));
          return session.ledger().latest(MOST).stream()
              .map(line -> MovementRow.of(line, items.get(line.itemId()), clock))
              .toList();
        });
  }
}
