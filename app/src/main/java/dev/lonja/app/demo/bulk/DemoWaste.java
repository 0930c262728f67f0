package dev.lonja.app.demo.bulk;

import dev.lonja.app.demo.master.DemoMaster;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.waste.NewWasteEntry;
import dev.lonja.core.waste.WasteCollection;
import dev.lonja.core.waste.WasteContainer;
import dev.lonja.store.Session;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;

/** A year of waste: what was drained week by week, and who fetched it. One tote is nearly full. */
public final class DemoWaste {

  private static final String KEEPER = "storekeeper";
  private static final int FETCHED_WEEKS_AGO = 24;

  private final Session session;
  private final LocalDate today;

  public DemoWaste(Session session, LocalDate today) {
    this.session = session;
    this.today = today;
  }

  /** Everything, container by container. */
  public void fill() {
    for (WasteContainer container : session.waste().containers()) {
      switch (container.stream().kind()) {
        case USED_OIL -> {
          putWeekly(container, 52, 25, "30");
          fetch(container, "845", "W-2026-118");
          putWeekly(container, 23, 9, "47.9");
          putWeekly(container, 8, 1, "14");
        }
        case FILTERS -> putWeekly(container, 22, 1, "3.4");
        default -> putWeekly(container, 30, 20, "5.5");
      }
    }
  }

  private void putWeekly(WasteContainer container, int fromWeeksAgo, int toWeeksAgo, String each) {
    for (int week = fromWeeksAgo; week >= toWeeksAgo; week--) {
      Instant at = DemoMaster.morning(today.minusWeeks(week).plusDays(2));
      session
          .waste()
          .put(
              container.id(),
              new NewWasteEntry(
                  at, quantity(container, each), Optional.empty(), "the week's jobs", KEEPER),
              at);
    }
  }

  private void fetch(WasteContainer container, String taken, String document) {
    Instant at = DemoMaster.morning(today.minusWeeks(FETCHED_WEEKS_AGO));
    session
        .waste()
        .collect(
            container.id(),
            new WasteCollection(
                at,
                quantity(container, taken),
                quantity(container, "0"),
                "Harbour Collection",
                document,
                KEEPER),
            at);
  }

  private static Quantity quantity(WasteContainer container, String amount) {
    return Quantity.of(container.capacity().measure(), new BigDecimal(amount));
  }
}
