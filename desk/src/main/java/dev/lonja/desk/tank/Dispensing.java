package dev.lonja.desk.tank;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.tank.Dispenser;
import dev.lonja.core.tank.DispenserStand;
import dev.lonja.core.tank.DispenserUse;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** Pours with something that may have had another fluid in it. */
public final class Dispensing {

  private final Session session;
  private final StoreClock clock;
  private final String actor;

  public Dispensing(Session session, StoreClock clock, String actor) {
    this.session = session;
    this.clock = clock;
    this.actor = actor;
  }

  /** Notes that a product goes through it, unless a rest of another is in it. */
  public Outcome use(DispenserStand stand, ProductId product, Optional<TrayId> tray) {
    if (!stand.takes(product)) {
      DispenserUse last = stand.last().orElseThrow();
      return Outcome.refused(
          new DispenserRefusal.HoldsOther(
              stand.dispenser(),
              session.products().byId(stand.rest().orElseThrow()).orElseThrow(),
              clock.dayOf(last.at()),
              last.actor(),
              last.tray()));
    }
    session
        .dispensers()
        .use(stand.dispenser().id(), Optional.of(product), tray, actor, clock.now());
    return Outcome.done();
  }

  /**
   * Notes that the fluid of a tray goes through it: the one that is laid and was poured with none
   * of its kind yet, or the only one that is laid.
   */
  public Outcome onTray(DispenserStand stand, Tray tray) {
    Map<ProductId, Product> laid = laid(tray);
    Map<ProductId, List<Dispenser>> poured = session.dispensers().ofTray(tray.id());
    List<Product> open =
        laid.values().stream()
            .filter(
                product ->
                    poured.getOrDefault(product.id(), List.of()).stream()
                        .noneMatch(other -> other.kind() == stand.dispenser().kind()))
            .toList();
    List<Product> meant = open.isEmpty() ? List.copyOf(laid.values()) : open;
    if (meant.isEmpty()) {
      return Outcome.refused(new DispenserRefusal.NoFluidLaid(stand.dispenser()));
    }
    return meant.size() > 1
        ? Outcome.refused(new DispenserRefusal.SeveralFluids(stand.dispenser(), meant))
        : use(stand, meant.get(0).id(), Optional.of(tray.id()));
  }

  /** What is laid of fluids that are poured, by product in the order of the lines. */
  private Map<ProductId, Product> laid(Tray tray) {
    List<TrayLine> lines = tray.lines().stream().filter(line -> line.laid().isPositive()).toList();
    Map<ItemId, Item> items =
        session.items().byIds(lines.stream().map(TrayLine::itemId).distinct().toList());
    Map<ProductId, Product> laid = new LinkedHashMap<>();
    lines.forEach(
        line ->
            items
                .get(line.itemId())
                .product()
                .ifPresent(product -> laid.put(product.id(), product)));
    return laid;
  }
}
