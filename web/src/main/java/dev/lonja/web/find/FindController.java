package dev.lonja.web.find;

import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page of finds; a single sure hit leads straight on. */
@Controller
class FindController {

  private final FindDesk desk;

  FindController(FindDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/find")
  String find(@RequestParam(defaultValue = "") String q, Model model) {
    FindView view = desk.find(q);
    if (view.goTo().isPresent()) {
      return "redirect:" + view.goTo().get();
    }
    model.addAttribute("view", view);
    return "find";
  }
}
