package dev.lonja.web.unitclass;

import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The pages of the classes of units. */
@Controller
class ClassController {

  private final ClassDesk desk;

  ClassController(ClassDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/fleet/classes")
  String all(Model model) {
    return list(Map.of(), List.of(), model);
  }

  @PostMapping("/fleet/classes")
  String add(
      Sent sent,
      @RequestParam String code,
      @RequestParam String name,
      @RequestParam(defaultValue = "") String like,
      @RequestParam Map<String, String> typed,
      Model model) {
    Outcome outcome = desk.add(sent, code, name, like);
    return outcome.next(problems -> list(typed, problems, model));
  }

  private String list(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", desk.all());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "classes";
  }

  @GetMapping("/fleet/classes/{code}")
  String one(@PathVariable String code, Model model) {
    return page(code, Map.of(), List.of(), model);
  }

  @PostMapping("/fleet/classes/{code}/edit")
  String edit(
      @PathVariable String code,
      Sent sent,
      @RequestParam long version,
      @RequestParam String name,
      @RequestParam String outline,
      @RequestParam Map<String, String> typed,
      Model model) {
    return next(desk.edit(sent, code, version, name, outline), code, typed, model);
  }

  @PostMapping("/fleet/classes/{code}/months")
  String months(
      @PathVariable String code,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> typed,
      Model model) {
    List<String> months =
        IntStream.rangeClosed(1, 12)
            .mapToObj(month -> typed.getOrDefault("month-" + month, ""))
            .toList();
    return next(desk.setMonths(sent, code, version, months), code, typed, model);
  }

  @PostMapping("/fleet/classes/{code}/delete")
  String delete(@PathVariable String code, Sent sent, Model model) {
    return next(desk.delete(sent, code), code, Map.of(), model);
  }

  @PostMapping("/fleet/classes/{code}/feed")
  String feed(@PathVariable String code, Sent sent, @RequestParam boolean wanted, Model model) {
    return next(desk.setFeed(sent, code, wanted), code, Map.of(), model);
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
    return "class";
  }
}
