package dev.lonja.web.today;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.count.CountDesk;
import dev.lonja.desk.reorder.BuyDesk;
import dev.lonja.desk.request.Viewer;
import dev.lonja.desk.tank.TankDesk;
import dev.lonja.desk.transfer.TransferDesk;
import dev.lonja.desk.tray.TodayDesk;
import dev.lonja.desk.waste.WasteDesk;
import java.util.List;
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
  private final TransferDesk transfers;
  private final StoreClock clock;

  TodayController(
      TodayDesk desk,
      BuyDesk buy,
      TankDesk tanks,
      WasteDesk waste,
      CountDesk counts,
      TransferDesk transfers,
      StoreClock clock) {
    this.transfers = transfers;
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
        "view", TodayWording.view(desk.week(), buy.dueThisWeek(), stores(), clock.today()));
    return "today/today";
  }

  private List<TodayView.Need> stores() {
    List<TodayView.Need> needs =
        StoresNeeds.of(tanks.all(), waste.stands(), counts.bins(Viewer.name()), clock.today());
    needs.addAll(StoresNeeds.moving(transfers.open()));
    return needs;
  }
}
