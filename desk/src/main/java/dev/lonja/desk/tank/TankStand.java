package dev.lonja.desk.tank;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.Flow;
import dev.lonja.core.tank.MeterCheck;
import dev.lonja.core.tank.MeteredPour;
import dev.lonja.core.tank.Reconciliation;
import dev.lonja.core.tank.StandardVolume;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankId;
import dev.lonja.core.tank.TankLevel;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.Session;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * A tank, what is in it, and whether its dips agree with what was poured.
 *
 * @param item that it holds
 * @param bin where it stands
 * @param dips since it was cleaned, over somewhat more than a year, the oldest first
 * @param metered what its pour meter counted
 */
public record TankStand(
    Tank tank,
    Item item,
    Item.Bin bin,
    List<Dip> dips,
    TankLevel level,
    Reconciliation checked,
    StandardVolume standard,
    Metered metered) {

  /**
   * What the meter at a tank's tap counted.
   *
   * @param pours the oldest first
   * @param check against what is written down; empty if it has no meter, or that counted nothing of
   *     late
   */
  public record Metered(List<MeteredPour> pours, Optional<MeterCheck> check) {}

  /** So far back dips are held against what was poured. */
  private static final int DAYS_BACK = 400;

  /** All tanks, by name. */
  public static List<TankStand> all(Session session, StoreClock clock) {
    return of(session, session.tanks().all(), clock);
  }

  /** One of them; empty if there is none of this number. */
  public static Optional<TankStand> of(Session session, TankId id, StoreClock clock) {
    return of(session, session.tanks().byId(id).stream().toList(), clock).stream().findFirst();
  }

  /** The one that stands at a bin. */
  public static Optional<TankStand> at(Session session, BinId bin, StoreClock clock) {
    return of(session, session.tanks().at(bin).stream().toList(), clock).stream().findFirst();
  }

  private static List<TankStand> of(Session session, List<Tank> tanks, StoreClock clock) {
    if (tanks.isEmpty()) {
      return List.of();
    }
    Instant since = clock.beginOf(clock.today().minusDays(DAYS_BACK));
    List<TankId> ids = tanks.stream().map(Tank::id).toList();
    Map<TankId, List<Dip>> dips = session.tanks().dips(ids, since);
    Map<TankId, List<Flow>> flows = session.tanks().flows(ids, since);
    Map<TankId, List<MeteredPour>> metered = session.tanks().metered(ids, since);
    Map<TankId, Volume> books = session.tanks().books();
    Map<ItemId, Item> items = session.items().byIds(tanks.stream().map(Tank::itemId).toList());
    Map<BinId, Item.Bin> bins = new HashMap<>();
    session.items().bins().forEach(bin -> bins.put(bin.id(), bin));
    return tanks.stream()
        .map(
            tank ->
                of(
                    tank,
                    items.get(tank.itemId()),
                    bins.get(tank.binId()),
                    new Read(
                        dips.getOrDefault(tank.id(), List.of()),
                        flows.getOrDefault(tank.id(), List.of()),
                        metered.getOrDefault(tank.id(), List.of()),
                        books.getOrDefault(tank.id(), Volume.ZERO)),
                    at -> clock.beginOf(clock.dayOf(at))))
        .toList();
  }

  private record Read(List<Dip> dips, List<Flow> flows, List<MeteredPour> metered, Volume book) {}

  private static TankStand of(
      Tank tank, Item item, Item.Bin bin, Read read, UnaryOperator<Instant> dayOf) {
    StandardVolume standard =
        item.product().map(StandardVolume::of).orElse(StandardVolume.NOT_CORRECTED);
    return new TankStand(
        tank,
        item,
        bin,
        read.dips(),
        TankLevel.of(tank, read.dips(), read.flows(), read.book()),
        Reconciliation.of(tank, standard, read.dips(), read.flows()),
        standard,
        new Metered(
            read.metered(), MeterCheck.of(read.metered(), read.flows(), read.dips(), dayOf)));
  }

  /** True if its gauge has said nothing for too long. */
  public boolean isSilent(Instant now) {
    return level.isSilent(dips, now);
  }
}
