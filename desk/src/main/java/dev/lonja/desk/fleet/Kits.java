package dev.lonja.desk.fleet;

import dev.lonja.core.forecast.Consumption;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Boxes;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.part.Family;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.Question;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.take.KitChoice;
import dev.lonja.core.take.KitShelf;
import dev.lonja.core.take.Take;
import dev.lonja.core.take.TakeLine;
import dev.lonja.store.Session;
import java.util.HashMap;
import java.util.HashSet;
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
    Map<ItemId, List<Boxes.Content>> kits = kits(session);
    if (kits.isEmpty()) {
      return NONE;
    }
    Set<ItemId> items = new HashSet<>(kits.keySet());
    kits.values().stream().flatMap(List::stream).forEach(content -> items.addAll(content.items()));
    Map<ItemId, UnitPrice> averages = session.ledger().averages(items);
    Map<ItemId, UnitPrice> prices = new HashMap<>(averages);
    prices.putAll(session.keeping().lowestPrices(items, session.settings().currency()));
    return new Kits(new KitShelf(kits, prices, averages, yearUse(fleet)));
  }

  private static Map<ItemId, List<Boxes.Content>> kits(Session session) {
    Boxes boxes = session.boxes().ofStockedItems();
    Map<ItemId, List<Boxes.Content>> kits = new HashMap<>();
    for (Item kit : session.items().ofFamily(Family.KIT)) {
      if (kit.keeping().retiredOn().isEmpty() && !boxes.of(kit.id()).isEmpty()) {
        kits.put(kit.id(), boxes.of(kit.id()));
      }
    }
    return kits;
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
    InForce way = needs.ways().policies().of(Question.KIT_OR_LOOSE);
    return KitChoice.of(take.lines(), way, shelf);
  }
}
