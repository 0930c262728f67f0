package dev.lonja.web.unitclass;

import dev.lonja.core.fleet.Outline;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.variant.ClassDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
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

  private static final String PATH = "/fleet/classes";

  private final ClassDesk desk;

  ClassController(ClassDesk desk) {
    this.desk = desk;
  }

  @GetMapping(PATH)
  String all(Model model) {
    return list(Map.of(), List.of(), model);
  }

  @PostMapping(PATH)
  String add(
      Sent sent,
      @RequestParam String code,
      @RequestParam String name,
      @RequestParam(defaultValue = "") String like,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<String> wanted = ClassForms.code(typed, code);
    Optional<String> title = ClassForms.name(typed, name);
    Optional<String> original = Optional.of(like).filter(text -> !text.isEmpty());
    return typed
        .all(() -> desk.add(sent, wanted.orElseThrow(), title.orElseThrow(), original))
        .map(
            outcome ->
                Reply.to(outcome)
                    .onto(added -> PATH + "/" + added)
                    .worded(ClassForms.REFUSED)
                    .or(problems -> list(fields, problems, model)))
        .orElseGet(() -> list(fields, typed.problems(), model));
  }

  private String list(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", ClassView.all(desk.all()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "unitclass/classes";
  }

  @GetMapping(PATH + "/{code}")
  String one(@PathVariable String code, Model model) {
    return page(code, Map.of(), List.of(), model);
  }

  @PostMapping(PATH + "/{code}/edit")
  String edit(
      @PathVariable String code,
      Sent sent,
      @RequestParam long version,
      @RequestParam String name,
      @RequestParam String outline,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<String> title = ClassForms.name(typed, name);
    Optional<Outline> shape = ClassForms.outline(typed, outline);
    return typed
        .all(() -> desk.edit(sent, code, version, title.orElseThrow(), shape.orElseThrow()))
        .map(outcome -> next(outcome, code, fields, model))
        .orElseGet(() -> page(code, fields, typed.problems(), model));
  }

  @PostMapping(PATH + "/{code}/months")
  String months(
      @PathVariable String code,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    List<BigDecimal> weights = ClassForms.weights(typed, fields);
    return typed
        .all(() -> desk.setMonths(sent, code, version, weights))
        .map(outcome -> next(outcome, code, fields, model))
        .orElseGet(() -> page(code, fields, typed.problems(), model));
  }

  @PostMapping(PATH + "/{code}/delete")
  String delete(@PathVariable String code, Sent sent, Model model) {
    desk.admit();
    return Reply.to(desk.delete(sent, code))
        .onto(PATH)
        .worded(ClassForms.REFUSED)
        .or(problems -> page(code, Map.of(), problems, model));
  }

  @PostMapping(PATH + "/{code}/feed")
  String feed(@PathVariable String code, Sent sent, @RequestParam boolean wanted, Model model) {
    desk.admit();
    return next(desk.setFeed(sent, code, wanted), code, Map.of(), model);
  }

  private String next(Outcome outcome, String code, Map<String, String> fields, Model model) {
    return Reply.to(outcome)
        .onto(PATH + "/" + code)
        .worded(ClassForms.REFUSED)
        .or(problems -> page(code, fields, problems, model));
  }

  private String page(String code, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute(
        "view",
        desk.file(code)
            .map(ClassView::of)
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "unitclass/class";
  }
}
