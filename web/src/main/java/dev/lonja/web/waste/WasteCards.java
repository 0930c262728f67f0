package dev.lonja.web.waste;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.waste.WasteDesk;
import java.util.List;
import org.springframework.stereotype.Component;

/** Waste containers, for pages that show them beside other things. */
@Component
public class WasteCards {

  private final WasteDesk desk;
  private final StoreClock clock;

  WasteCards(WasteDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  /** All of them by name. */
  public List<WasteView.Card> all() {
    WasteWording wording = new WasteWording(clock);
    return desk.stands().stream().map(wording::card).toList();
  }
}
