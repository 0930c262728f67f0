package dev.lonja.app.demo.bulk;

import dev.lonja.app.demo.master.DemoMaster;
import dev.lonja.core.count.Spot;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.Session;
import dev.lonja.store.count.CountRepository.Count;
import dev.lonja.store.count.CountRepository.State;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** A year of counts, a few bins a day: all agreed but what was booked, and some are due today. */
public final class DemoCounts {

  private static final String KEEPER = "storekeeper";

  /** Counted so many days ago, bin after bin; a bin in eight was left out until now. */
  private static final int ROUND = 27;

  private static final int LEFT_OUT = 13;

  private final Session session;
  private final LocalDate today;

  public DemoCounts(Session session, LocalDate today) {
    this.session = session;
    this.today = today;
  }

  /** Three rounds through the bins. */
  public void fill() {
    Map<Spot, Quantity> book = session.counts().book();
    List<Spot> spots = new ArrayList<>(book.keySet());
    spots.sort(Comparator.comparing(Spot::bin).thenComparing(Spot::item));
    for (int round = 3; round >= 1; round--) {
      for (Spot spot : spots) {
        long bin = spot.bin().value();
        int back = bin % LEFT_OUT == 0 ? round * 200 : round * ROUND - (int) (bin % ROUND) + 1;
        Quantity there = book.get(spot);
        session
            .counts()
            .add(
                new Count(
                    spot,
                    there,
                    there,
                    State.AGREED,
                    "",
                    KEEPER,
                    DemoMaster.morning(today.minusDays(back)),
                    Optional.empty()));
      }
    }
  }
}
