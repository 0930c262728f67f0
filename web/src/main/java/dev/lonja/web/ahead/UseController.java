package dev.lonja.web.ahead;

import dev.lonja.desk.forecast.UseDesk;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** Who is expected to use what in the year ahead, and what it costs. */
@Controller
class UseController {

  private final UseDesk desk;

  UseController(UseDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/ahead/use")
  String page(Model model) {
    model.addAttribute("view", new UseWording(desk.year()).view());
    return "ahead/use";
  }

  @GetMapping("/ahead/use.csv")
  ResponseEntity<byte[]> csv() {
    return new UseWording(desk.year()).csv().as("use.csv");
  }
}
