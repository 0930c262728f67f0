package dev.lonja.web.spec;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** What a compartment demands. */
@Controller
class SpecController {

  private static final String PATH = "/oils/specs/{id}";

  private final SpecDesk desk;

  SpecController(SpecDesk desk) {
    this.desk = desk;
  }

  @GetMapping(PATH)
  String spec(
      @PathVariable CompartmentId id,
      @RequestParam(defaultValue = "") String from,
      @RequestParam(defaultValue = "") String to,
      @RequestParam(defaultValue = "") String low,
      @RequestParam(defaultValue = "") String high,
      @RequestParam Map<String, String> typed,
      Model model) {
    WindowEntry entry = new WindowEntry(from, to, low, high);
    model.addAttribute("view", desk.view(id, entry).orElseThrow(SpecController::notFound));
    model.addAttribute("problems", entry.problems());
    model.addAttribute("typed", typed);
    model.addAttribute("months", WindowEntry.monthChoices());
    return "spec";
  }

  @GetMapping(PATH + "/edit")
  String edit(@PathVariable CompartmentId id, Model model) {
    return form(id, Map.of(), List.of(), model);
  }

  /** A look at what the form would mean; nothing is saved. */
  @PostMapping(PATH + "/effect")
  String effect(
      @PathVariable CompartmentId id, @RequestParam Map<String, String> fields, Model model) {
    model.addAttribute("effect", desk.effect(fields));
    return "spec-form :: effect";
  }

  @PostMapping(PATH)
  String save(
      @PathVariable CompartmentId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> fields,
      Model model) {
    return desk.save(sent, id, version, fields).next(problems -> form(id, fields, problems, model));
  }

  private String form(
      CompartmentId id, Map<String, String> typed, List<Problem> problems, Model model) {
    SpecView.Form form = desk.form(id, typed).orElseThrow(SpecController::notFound);
    model.addAttribute("view", form);
    model.addAttribute("effect", form.effect());
    model.addAttribute("problems", problems);
    return "spec-form";
  }

  private static ResponseStatusException notFound() {
    return new ResponseStatusException(HttpStatus.NOT_FOUND);
  }
}
