package dev.lonja.web.inspection;

import dev.lonja.core.service.TaskId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.service.ValuesDesk;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;

/** What an inspection of a machine has measured so far. */
@Controller
class ValuesController {

  private final ValuesDesk desk;
  private final StoreClock clock;

  ValuesController(ValuesDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping("/fleet/{code}/values/{task}")
  String values(@PathVariable String code, @PathVariable long task, Model model) {
    ValuesDesk.Sheet sheet =
        desk.sheet(code, new TaskId(task))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    model.addAttribute("view", ValuesView.of(sheet, clock.today()));
    return "inspection/values";
  }
}
