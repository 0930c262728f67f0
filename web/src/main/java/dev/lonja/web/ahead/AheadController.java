package dev.lonja.web.ahead;

import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.item.ItemId;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The pages of Ahead. */
@Controller
class AheadController {

  private final AheadDesk desk;

  AheadController(AheadDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/ahead")
  String all(@RequestParam(defaultValue = "" + AheadDesk.WEEKS) int weeks, Model model) {
    model.addAttribute("view", desk.all(Math.max(1, Math.min(weeks, PlanLine.MOST_WEEKS))));
    return "ahead";
  }

  @GetMapping("/ahead/{itemId}")
  String item(@PathVariable ItemId itemId, @RequestParam Optional<LocalDate> week, Model model) {
    model.addAttribute(
        "view",
        desk.item(itemId, week)
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    return "ahead-item";
  }
}
