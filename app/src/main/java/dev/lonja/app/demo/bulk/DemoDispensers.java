package dev.lonja.app.demo.bulk;

import dev.lonja.app.demo.master.DemoMaster;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.tank.DispenserStand;
import dev.lonja.core.tank.Tank;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** What was in the jugs and funnels last: engine oil, hydraulic oil, and one was cleaned. */
public final class DemoDispensers {

  private static final String KEEPER = "storekeeper";
  private static final int CLEANED_DAYS_AGO = 2;

  private final Session session;
  private final LocalDate today;

  public DemoDispensers(Session session, LocalDate today) {
    this.session = session;
    this.today = today;
  }

  /** The last uses. */
  public void fill() {
    List<Tank> tanks = session.tanks().all();
    ProductId engine = product(tanks, "Tank 1");
    ProductId hydraulic = product(tanks, "Tank 2");
    use("Jug 1", Optional.of(engine), 1);
    use("Funnel A", Optional.of(engine), 1);
    use("Jug 2", Optional.of(hydraulic), 3);
    use("Pump 2", Optional.of(hydraulic), 3);
    use("Jug 3", Optional.of(hydraulic), 4);
    use("Jug 3", Optional.empty(), CLEANED_DAYS_AGO);
  }

  private ProductId product(List<Tank> tanks, String name) {
    return tanks.stream()
        .filter(tank -> tank.name().equals(name))
        .findFirst()
        .flatMap(tank -> session.items().byId(tank.itemId()))
        .flatMap(item -> item.product())
        .orElseThrow()
        .id();
  }

  private void use(String name, Optional<ProductId> product, int daysAgo) {
    DispenserStand stand = session.dispensers().named(name).orElseThrow();
    session
        .dispensers()
        .use(
            stand.dispenser().id(),
            product,
            Optional.empty(),
            KEEPER,
            DemoMaster.morning(today.minusDays(daysAgo)));
  }
}
