package dev.lonja.web.spec;

import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The store's temperature year. */
@Controller
class YearController {

  private final YearDesk desk;

  YearController(YearDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/oils/year")
  String year(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @PostMapping("/oils/year")
  String set(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    return desk.set(sent, fields).next(problems -> page(fields, problems, model));
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", desk.view());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "year";
  }
}
