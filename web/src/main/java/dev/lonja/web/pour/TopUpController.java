package dev.lonja.web.pour;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.item.ItemId;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Typed;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Topping up at the counter. */
@Controller
class TopUpController {

  private final TopUpDesk desk;
  private final TopUpPages pages;

  TopUpController(TopUpDesk desk, TopUpPages pages) {
    this.desk = desk;
    this.pages = pages;
  }

  @GetMapping("/oils/top-up")
  String topUp(
      @RequestParam(defaultValue = "") String unit,
      @RequestParam Optional<CompartmentId> compartment,
      @RequestParam(defaultValue = "") String litres,
      Model model) {
    return page(unit, compartment, litres, Map.of(), List.of(), model);
  }

  @PostMapping("/oils/top-up")
  String add(
      Sent sent,
      @RequestParam String unit,
      @RequestParam CompartmentId compartment,
      @RequestParam String litres,
      @RequestParam(defaultValue = "0") ItemId itemId,
      @RequestParam(defaultValue = "") String signedBy,
      @RequestParam(defaultValue = "") String why,
      @RequestParam Map<String, String> typed,
      Model model) {
    TopUpDesk.Form form = new TopUpDesk.Form(unit, compartment, litres, itemId, signedBy, why);
    return desk.add(sent, form)
        .next(problems -> page(unit, Optional.of(compartment), litres, typed, problems, model));
  }

  @PostMapping("/oils/top-up/withdraw")
  String withdraw(
      Sent sent,
      @RequestParam String unit,
      @RequestParam CompartmentId compartment,
      @RequestParam long topUp,
      @RequestParam(defaultValue = "") String why,
      Model model) {
    return desk.withdraw(sent, unit, compartment, topUp, why)
        .next(problems -> page(unit, Optional.of(compartment), "", Map.of(), problems, model));
  }

  private String page(
      String unit,
      Optional<CompartmentId> compartment,
      String litres,
      Map<String, String> typed,
      List<Problem> problems,
      Model model) {
    Typed asked = new Typed();
    model.addAttribute("view", pages.view(unit, compartment, litres, asked));
    model.addAttribute("typed", typed);
    List<Problem> all = new ArrayList<>(problems);
    asked.problems().stream().filter(p -> !all.contains(p)).forEach(all::add);
    model.addAttribute("problems", all);
    return "top-up";
  }
}
