package dev.lonja.web.due;

import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** The page on which a planned occurrence is put on another day. */
@Controller
@RequestMapping("/fleet/{code}/move")
class MoveController {

  private final MoveDesk desk;

  MoveController(MoveDesk desk) {
    this.desk = desk;
  }

  @GetMapping
  String look(
      @PathVariable String code,
      @RequestParam String day,
      @RequestParam(defaultValue = "") String to,
      Model model) {
    return page(code, new MoveDesk.Form(day, to, ""), List.of(), model);
  }

  @PostMapping
  String move(
      @PathVariable String code, Sent sent, @ModelAttribute MoveDesk.Form form, Model model) {
    Outcome outcome = desk.move(sent, code, form);
    return outcome.next(problems -> page(code, form, problems, model));
  }

  @PostMapping("/back")
  String moveBack(
      @PathVariable String code, Sent sent, @RequestParam String day, RedirectAttributes next) {
    return desk.moveBack(sent, code, day)
        .next(
            problems -> {
              next.addFlashAttribute("problems", problems);
              return "redirect:/fleet/" + code;
            });
  }

  private String page(String code, MoveDesk.Form form, List<Problem> refused, Model model) {
    MoveDesk.Answer answer =
        desk.answer(code, form.day(), form.to())
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    model.addAttribute("view", answer.view());
    model.addAttribute("reason", form.reason());
    model.addAttribute("problems", refused.isEmpty() ? answer.problems() : refused);
    return "move";
  }
}
