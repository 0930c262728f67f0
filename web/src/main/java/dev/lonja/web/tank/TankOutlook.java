package dev.lonja.web.tank;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Coming;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.forecast.AheadDesk;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.reorder.BuyDesk;
import dev.lonja.desk.tank.TankDesk;
import dev.lonja.desk.tank.TankStand;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Tanks, with how long each lasts and when to order. */
@Component
public class TankOutlook {

  private final TankDesk tanks;
  private final AheadDesk ahead;
  private final BuyDesk buy;
  private final StoreClock clock;

  TankOutlook(TankDesk tanks, AheadDesk ahead, BuyDesk buy, StoreClock clock) {
    this.tanks = tanks;
    this.ahead = ahead;
    this.buy = buy;
    this.clock = clock;
  }

  /** All of them by name. */
  public List<TankView.Card> cards() {
    List<TankStand> all = tanks.all();
    Map<ItemId, TankWording.Ahead> ahead = of(all);
    TankWording wording = new TankWording(clock);
    return all.stream().map(stand -> wording.card(stand, ahead.get(item(stand)))).toList();
  }

  /** What is looked ahead to for each of some tanks, by what they hold. */
  Map<ItemId, TankWording.Ahead> of(List<TankStand> stands) {
    if (stands.isEmpty()) {
      return Map.of();
    }
    Forecast forecast = ahead.all(AheadDesk.WEEKS);
    Map<ItemId, List<Coming>> coming = tanks.coming();
    Map<ItemId, Quantity> levels = buy.levels(stands.stream().map(TankOutlook::item).toList());
    return stands.stream()
        .map(TankOutlook::item)
        .distinct()
        .collect(
            Collectors.toMap(
                item -> item,
                item ->
                    new TankWording.Ahead(
                        forecast.subjectOf(item),
                        Optional.ofNullable(levels.get(item)),
                        coming.getOrDefault(item, List.of()))));
  }

  private static ItemId item(TankStand stand) {
    return stand.item().id();
  }
}
