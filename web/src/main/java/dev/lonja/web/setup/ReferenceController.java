package dev.lonja.web.setup;

import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.security.Principal;
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
      @RequestParam String requestKey,
      @RequestParam String rubber,
      @RequestParam String fluid,
      @RequestParam String guidance,
      Principal person,
      Model model) {
    Sent sent = Sent.by(person, requestKey, "rubber", rubber, fluid, guidance);
    return desk.setRubber(sent, rubber, fluid, guidance)
        .next(problems -> page(Map.of(), problems, model));
  }

  @PostMapping("/setup/reference/suppliers")
  String supplier(
      @RequestParam String requestKey,
      @RequestParam String name,
      @RequestParam String leadDays,
      @RequestParam Map<String, String> typed,
      Principal person,
      Model model) {
    return desk.addSupplier(Sent.by(person, requestKey, "supplier", name, leadDays), name, leadDays)
        .next(problems -> page(typed, problems, model));
  }

  @PostMapping("/setup/reference/bins")
  String bins(
      @RequestParam String requestKey,
      @RequestParam String bins,
      @RequestParam Map<String, String> typed,
      Principal person,
      Model model) {
    return desk.addBins(Sent.by(person, requestKey, "bins", bins), bins)
        .next(problems -> page(typed, problems, model));
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", desk.view());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "reference";
  }
}
