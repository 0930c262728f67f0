package dev.lonja.web.sign;

import dev.lonja.desk.request.Problem;
import java.util.List;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;

/** The pages that lead in. */
@Controller
class SignInController {

  private final FirstStart firstStart;

  SignInController(FirstStart firstStart) {
    this.firstStart = firstStart;
  }

  @GetMapping("/sign-in")
  String signIn() {
    return "sign-in";
  }

  @GetMapping("/first-start")
  String firstStart(Model model) {
    if (!firstStart.isNeeded()) {
      return "redirect:/sign-in";
    }
    model.addAttribute("form", new FirstStart.Form("", "", "EUR", "UTC", "", ""));
    model.addAttribute("problems", List.of());
    return "first-start";
  }

  @PostMapping("/first-start")
  String setUp(@ModelAttribute FirstStart.Form form, Model model) {
    List<Problem> problems = firstStart.setUp(form);
    if (problems.isEmpty()) {
      return "redirect:/sign-in?ready";
    }
    model.addAttribute("form", form);
    model.addAttribute("problems", problems);
    return "first-start";
  }
}
