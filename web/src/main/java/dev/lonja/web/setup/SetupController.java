package dev.lonja.web.setup;

import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.setting.PolicyDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page of the store's policies. */
@Controller
class SetupController {

  private static final String PATH = "/setup";

  private final PolicyDesk desk;

  SetupController(PolicyDesk desk) {
    this.desk = desk;
  }

  @GetMapping(PATH)
  String setup(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @PostMapping(PATH + "/intervals")
  String intervals(
      Sent sent,
      @ModelAttribute PolicyForms.School form,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    return next(form.read(typed).map(policy -> desk.choose(sent, policy)), typed, fields, model);
  }

  @PostMapping(PATH + "/fills")
  String fills(
      Sent sent,
      @ModelAttribute SetupView.Fills form,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    return next(
        PolicyForms.read(form, typed).map(policy -> desk.pour(sent, policy)), typed, fields, model);
  }

  private String next(
      Optional<Outcome> outcome, Typed typed, Map<String, String> fields, Model model) {
    return outcome
        .map(done -> Reply.to(done).onto(PATH).or(problems -> page(fields, problems, model)))
        .orElseGet(() -> page(fields, typed.problems(), model));
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", PolicyForms.view(desk.policies()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "setup/setup";
  }
}
