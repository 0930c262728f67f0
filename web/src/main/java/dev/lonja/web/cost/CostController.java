package dev.lonja.web.cost;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.cost.CostDesk;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The pages of what services cost. */
@Controller
class CostController {

  private final CostDesk desk;
  private final StoreClock clock;

  CostController(CostDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  /** A year that is none is this one. */
  @GetMapping("/fleet/costs")
  String year(@RequestParam(defaultValue = "") String year, Model model) {
    Optional<Integer> asked =
        Optional.of(year).filter(text -> text.matches("(19|20|21)[0-9]{2}")).map(Integer::valueOf);
    model.addAttribute("view", CostView.of(desk.year(asked), clock.today()));
    return "cost/costs";
  }

  @GetMapping("/fleet/{code}/costs")
  String unit(@PathVariable String code, Model model) {
    model.addAttribute(
        "view",
        desk.jobs(code)
            .map(jobs -> CostView.of(jobs, clock.today()))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    return "cost/unit";
  }
}
