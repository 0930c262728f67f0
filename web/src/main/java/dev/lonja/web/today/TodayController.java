package dev.lonja.web.today;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.count.CountDesk;
import dev.lonja.desk.reorder.BuyDesk;
import dev.lonja.desk.request.Viewer;
import dev.lonja.desk.tank.TankDesk;
import dev.lonja.desk.tray.TodayDesk;
import dev.lonja.desk.waste.WasteDesk;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The page one begins with. The workshop begins with its trays. */
@Controller
class TodayController {

  private final TodayDesk desk;
  private final BuyDesk buy;
  private final TankDesk tanks;
  private final WasteDesk waste;
  private final CountDesk counts;
  private final StoreClock clock;

  TodayController(
      TodayDesk desk,
      BuyDesk buy,
      TankDesk tanks,
      WasteDesk waste,
      CountDesk counts,
      StoreClock clock) {
    this.counts = counts;
    this.tanks = tanks;
    this.waste = waste;
    this.desk = desk;
    this.buy = buy;
    this.clock = clock;
  }

  @GetMapping("/")
  String today(Model model) {
    if (!Viewer.seesStore()) {
      return "redirect:/trays";
    }
    model.addAttribute(
        "view",
        TodayWording.view(
            desk.week(),
            buy.dueThisWeek(),
            StoresNeeds.of(tanks.all(), waste.stands(), counts.bins(), clock.today()),
            clock.today()));
    return "today/today";
  }
}
