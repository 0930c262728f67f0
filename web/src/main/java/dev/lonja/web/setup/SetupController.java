package dev.lonja.web.setup;

import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page of the store's policies. */
@Controller
class SetupController {

  private final SetupDesk desk;

  SetupController(SetupDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/setup")
  String setup(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @PostMapping("/setup/intervals")
  String intervals(
      Sent sent,
      @RequestParam String school,
      @RequestParam String factor,
      @RequestParam(defaultValue = "false") boolean calendarLimit,
      @RequestParam Map<String, String> typed,
      Model model) {
    SetupDesk.SchoolForm form = new SetupDesk.SchoolForm(school, factor, calendarLimit);
    Outcome outcome = desk.choose(sent, form);
    return outcome.next(problems -> page(typed, problems, model));
  }

  @PostMapping("/setup/fills")
  String fills(
      Sent sent,
      @RequestParam String handlingLoss,
      @RequestParam String holdBack,
      @RequestParam String leastHoldBack,
      @RequestParam String jug,
      @RequestParam Map<String, String> typed,
      Model model) {
    SetupView.Fills form = new SetupView.Fills(handlingLoss, holdBack, leastHoldBack, jug);
    return desk.pour(sent, form).next(problems -> page(typed, problems, model));
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", desk.view());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "setup";
  }
}
