package dev.lonja.web.buy;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.reorder.BuyDesk;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** The page of what to order. */
@Controller
class BuyController {

  private final BuyDesk desk;
  private final StoreClock clock;

  BuyController(BuyDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  /** What is due, a line each. */
  @GetMapping("/buy.csv")
  ResponseEntity<byte[]> csv() {
    return BuyWording.csv(desk.wanted()).as("buy.csv");
  }

  @GetMapping("/buy")
  String all(Model model) {
    model.addAttribute("view", new BuyWording(clock.today()).view(desk.wanted()));
    return "buy/buy";
  }
}
