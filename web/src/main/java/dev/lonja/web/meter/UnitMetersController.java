package dev.lonja.web.meter;

import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import java.util.Map;
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

/** The page of one unit's meters. */
@Controller
@RequestMapping("/fleet/{code}/meters")
class UnitMetersController {

  private final UnitMetersDesk desk;

  UnitMetersController(UnitMetersDesk desk) {
    this.desk = desk;
  }

  @GetMapping
  String meters(@PathVariable String code, Model model) {
    return page(code, Map.of(), List.of(), model);
  }

  @PostMapping("/readings/{readingId}")
  String decide(
      @PathVariable String code,
      @PathVariable long readingId,
      Sent sent,
      @RequestParam String what,
      @RequestParam(defaultValue = "") String value,
      @RequestParam String reason,
      @RequestParam Map<String, String> typed,
      Model model) {
    UnitMetersDesk.ReadingForm form =
        new UnitMetersDesk.ReadingForm(readingId, what, value, reason);
    typed.put("readingId", String.valueOf(readingId));
    return next(desk.decide(sent, code, form), code, typed, model);
  }

  @PostMapping("/replacements")
  String replace(
      @PathVariable String code,
      Sent sent,
      @ModelAttribute UnitMetersDesk.ReplacementForm form,
      @RequestParam Map<String, String> typed,
      Model model) {
    return next(desk.replace(sent, code, form), code, typed, model);
  }

  @PostMapping("/replacements/{id}/withdraw")
  String withdraw(
      @PathVariable String code,
      @PathVariable long id,
      Sent sent,
      @RequestParam String reason,
      @RequestParam Map<String, String> typed,
      Model model) {
    typed.put("replacementId", String.valueOf(id));
    return next(desk.withdraw(sent, code, id, reason), code, typed, model);
  }

  @PostMapping("/lay-ups")
  String layUp(
      @PathVariable String code,
      Sent sent,
      @RequestParam String first,
      @RequestParam String last,
      @RequestParam Map<String, String> typed,
      Model model) {
    return next(desk.layUp(sent, code, first, last), code, typed, model);
  }

  @PostMapping("/lay-ups/{id}/remove")
  String removeLayUp(@PathVariable String code, @PathVariable long id, Sent sent, Model model) {
    return next(desk.removeLayUp(sent, code, id), code, Map.of(), model);
  }

  private String next(Outcome outcome, String code, Map<String, String> typed, Model model) {
    return outcome.next(problems -> page(code, typed, problems, model));
  }

  private String page(String code, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute(
        "view",
        desk.view(code).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "unit-meters";
  }
}
