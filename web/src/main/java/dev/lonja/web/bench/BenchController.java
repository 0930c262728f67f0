package dev.lonja.web.bench;

import dev.lonja.desk.bench.BenchDesk;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The Bench page. */
@Controller
@Profile("bench")
class BenchController {

  private final BenchDesk desk;

  BenchController(BenchDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/bench")
  String bench(Model model) {
    model.addAttribute("view", desk.view());
    return "bench/bench";
  }

  @PostMapping("/bench/meters")
  String report(
      @RequestParam String unitClass, @RequestParam(defaultValue = "false") boolean fault) {
    desk.report(unitClass, fault);
    return "redirect:/bench";
  }
}
