package dev.lonja.desk.fleet;

import dev.lonja.core.forecast.Consumption;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.take.KitChoice;
import dev.lonja.core.take.KitShelf;
import dev.lonja.core.take.Take;
import dev.lonja.core.take.TakeLine;
import dev.lonja.store.Session;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The kits of the store as they are chosen for services. */
public final class Kits {

  /** Everything stays loose. */
  public static final Kits NONE = new Kits(KitShelf.NONE);

  private static final int MONTHS = 12;

  private final KitShelf shelf;

  private Kits(KitShelf shelf) {
    this.shelf = shelf;
  }

  /** With today's prices, and what the fleet is expected to use loose within a year. */
  public static Kits of(Session session, FleetPicture fleet) {
    KitPrices kept = fleet.kits();
    if (kept.contents().isEmpty()) {
      return NONE;
    }
    Map<ItemId, UnitPrice> averages = session.ledger().averages(kept.items());
    Map<ItemId, UnitPrice> prices = new HashMap<>(averages);
    prices.putAll(kept.prices());
    return new Kits(
        new KitShelf(
            kept.contents(), kept.ranges(), prices, averages, yearUse(fleet, kept.items())));
  }

  /** Of what is in any kit; of all else nobody asks. */
  private static Map<ItemId, Quantity> yearUse(FleetPicture fleet, Set<ItemId> items) {
    Map<ItemId, Quantity> use = new HashMap<>(yearUse(fleet));
    use.keySet().retainAll(items);
    return use;
  }

  private static Map<ItemId, Quantity> yearUse(FleetPicture fleet) {
    return fleet
        .derived(
            Consumption.class,
            "loose",
            () -> Consumption.of(fleet.plans(fleet.today().plusMonths(MONTHS))))
        .byItem();
  }

  public KitShelf shelf() {
    return shelf;
  }

  /** What a service takes, with the kits that the school in force for its machine asks for. */
  public List<TakeLine> chosen(UnitNeeds needs, Take take) {
    return KitChoice.of(take.lines(), needs.ways(), shelf);
  }
}
