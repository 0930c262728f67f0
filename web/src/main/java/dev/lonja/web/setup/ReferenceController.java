package dev.lonja.web.setup;

import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page of editable reference data. */
@Controller
class ReferenceController {

  private final ReferenceDesk desk;

  ReferenceController(ReferenceDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/setup/reference")
  String reference(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @PostMapping("/setup/reference/rubbers")
  String rubber(
      Sent sent,
      @RequestParam String rubber,
      @RequestParam String fluid,
      @RequestParam String guidance,
      Model model) {
    return desk.setRubber(sent, rubber, fluid, guidance)
        .next(problems -> page(Map.of(), problems, model));
  }

  @PostMapping("/setup/reference/suppliers")
  String supplier(
      Sent sent,
      @RequestParam String name,
      @RequestParam String leadDays,
      @RequestParam Map<String, String> typed,
      Model model) {
    return desk.addSupplier(sent, name, leadDays).next(problems -> page(typed, problems, model));
  }

  @PostMapping("/setup/reference/bins")
  String bins(
      Sent sent, @RequestParam String bins, @RequestParam Map<String, String> typed, Model model) {
    return desk.addBins(sent, bins).next(problems -> page(typed, problems, model));
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", desk.view());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "reference";
  }
}
