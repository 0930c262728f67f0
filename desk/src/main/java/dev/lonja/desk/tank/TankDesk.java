package dev.lonja.desk.tank;

import dev.lonja.core.item.BulkStand;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Coming;
import dev.lonja.core.place.BinId;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankId;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Answers how full tanks are, and whether they agree with the book. */
@Service
@Allowed.ToSeeStore
public class TankDesk {

  private final LonjaStore store;
  private final StoreClock clock;

  TankDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** All tanks, by name. */
  @KeptAnswer
  public List<TankStand> all() {
    return store.read(session -> TankStand.all(session, clock));
  }

  /**
   * One tank.
   *
   * @param cleaned when it was emptied and cleaned last
   * @param isClean true if nothing has been in it since
   */
  public record Opened(TankStand stand, Optional<Instant> cleaned, boolean isClean) {}

  /** Empty if there is none of this number. */
  @KeptAnswer
  public Optional<Opened> tank(TankId id) {
    return store.read(
        session ->
            TankStand.of(session, id, clock)
                .map(
                    stand ->
                        new Opened(
                            stand,
                            session.tanks().lastCleaned(id),
                            session.tanks().isClean(stand.tank()))));
  }

  /** By item, what open orders are to bring. */
  @KeptAnswer
  public Map<ItemId, List<Coming>> coming() {
    return store.read(session -> session.orders().coming());
  }

  /**
   * What a tank can be made of.
   *
   * @param bins without a tank, in walking order
   * @param fluids that are drawn from where they stand, by number
   */
  public record Choices(List<Item.Bin> bins, List<Item> fluids) {}

  /** The same whatever tank it is for. */
  public Choices choices() {
    return store.read(
        session -> {
          Set<BinId> taken =
              session.tanks().all().stream().map(Tank::binId).collect(Collectors.toSet());
          return new Choices(
              session.items().bins().stream().filter(bin -> !taken.contains(bin.id())).toList(),
              session.items().all().stream()
                  .filter(BulkStand::isBulk)
                  .filter(item -> item.keeping().retiredOn().isEmpty())
                  .sorted(Comparator.comparing(Item::number))
                  .toList());
        });
  }
}
