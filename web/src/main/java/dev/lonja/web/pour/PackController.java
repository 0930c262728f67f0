package dev.lonja.web.pour;

import dev.lonja.web.request.Typed;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Which pack to buy or to open. */
@Controller
class PackController {

  private final PackDesk desk;

  PackController(PackDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/oils/packs")
  String packs(
      @RequestParam(defaultValue = "") String product,
      @RequestParam(defaultValue = "") String litres,
      @RequestParam(defaultValue = "") String by,
      Model model) {
    Typed typed = new Typed();
    model.addAttribute("view", desk.view(product, litres, by, typed));
    model.addAttribute("problems", typed.problems());
    return "packs";
  }
}
