package dev.lonja.desk.forecast;

import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.PastFleet;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.forecast.KeptForecastRepository.Kept;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Keeps what is forecast of the month that comes, once a day as long as it has not begun, so that
 * it can be held against what happens.
 */
@Component
public class ForecastKeeper {

  /** Far enough for the end of the next month, whatever the day. */
  private static final int WEEKS = 10;

  private final LonjaStore store;
  private final StoreClock clock;

  ForecastKeeper(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** Keeps today's forecast of the next month, unless it is kept already. */
  public void keep() {
    LocalDate today = clock.today();
    YearMonth next = YearMonth.from(today).plusMonths(1);
    Optional<LocalDate> kept = store.read(session -> session.keptForecasts().madeOn(next));
    if (!kept.equals(Optional.of(today))) {
      Kept forecast =
          store.read(
              session -> kept(today, next, Forecast.load(session, today, WEEKS).plan().demands()));
      store.write(
          session -> {
            session.keptForecasts().keep(next, forecast);
            return true;
          });
    }
  }

  /** Keeps what would have been forecast on a day of the past, for a store that comes with one. */
  public static void keepAsOf(Session session, PastFleet past, LocalDate day) {
    FleetPicture fleet = past.on(day);
    PlanLine plan =
        fleet.planLine(
            new PlanLine.Beside(List.of(), List.of(), session.unplanned().uses(day)),
            past.kits(),
            WEEKS);
    YearMonth next = YearMonth.from(day).plusMonths(1);
    session.keptForecasts().keep(next, kept(day, next, plan.demands()));
  }

  private static Kept kept(LocalDate madeOn, YearMonth month, Collection<Demand> demands) {
    Map<ItemId, Quantity> use = new HashMap<>();
    for (Demand demand : demands) {
      if (YearMonth.from(demand.date()).equals(month)) {
        use.merge(demand.itemId(), demand.quantity(), Quantity::plus);
      }
    }
    return new Kept(madeOn, use);
  }
}
