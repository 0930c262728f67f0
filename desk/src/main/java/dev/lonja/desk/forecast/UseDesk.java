package dev.lonja.desk.forecast;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.PlannedCost;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.supplier.ItemPrices;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.util.Currency;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Answers who is expected to use what in the year ahead, and what it costs. */
@Service
@Allowed.ToSeeStore
public class UseDesk {

  /** How far ahead is looked. */
  public static final int WEEKS = 52;

  private static final Set<FluidKind> OILS =
      EnumSet.of(FluidKind.ENGINE_OIL, FluidKind.GEAR_OIL, FluidKind.HYDRAULIC_OIL);

  private final LonjaStore store;
  private final StoreClock clock;

  UseDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * What is expected to be used.
   *
   * @param units by code
   */
  public record Year(
      PlannedCost cost, Map<String, Unit> units, Map<ItemId, Item> items, Currency currency) {}

  @KeptAnswer
  public Year year() {
    return store.read(this::year);
  }

  private Year year(Session session) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    Forecast forecast = Forecast.of(session, fleet, WEEKS);
    Map<ItemId, Item> items = new LinkedHashMap<>();
    session.items().all().forEach(item -> items.put(item.id(), item));
    Set<ItemId> oils =
        items.values().stream()
            .filter(item -> item.product().filter(p -> OILS.contains(p.kind())).isPresent())
            .map(Item::id)
            .collect(Collectors.toSet());
    return new Year(
        PlannedCost.of(
            forecast.plan().demands(), ItemPrices.of(session, List.copyOf(items.keySet())), oils),
        fleet.units().stream().collect(Collectors.toMap(Unit::code, unit -> unit)),
        items,
        session.settings().currency());
  }
}
