package dev.lonja.web.variant;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.service.TaskId;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
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

/** The pages of models and variants. */
@Controller
@RequestMapping("/fleet/variants")
class VariantController {

  private final VariantDesk desk;

  VariantController(VariantDesk desk) {
    this.desk = desk;
  }

  @GetMapping
  String all(Model model) {
    return list(Map.of(), List.of(), model);
  }

  @PostMapping
  String add(
      Sent sent,
      @RequestParam(defaultValue = "") String like,
      @ModelAttribute VariantDesk.NameForm form,
      @RequestParam Map<String, String> typed,
      Model model) {
    Outcome outcome = desk.add(sent, like, form);
    return outcome.next(problems -> list(typed, problems, model));
  }

  private String list(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", desk.all());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "variants";
  }

  @GetMapping("/{id}")
  String one(@PathVariable long id, Model model) {
    return page(id, Map.of(), List.of(), model);
  }

  @PostMapping("/{id}/name")
  String rename(
      @PathVariable long id,
      Sent sent,
      @RequestParam long version,
      @ModelAttribute VariantDesk.NameForm form,
      @RequestParam Map<String, String> typed,
      Model model) {
    return next(desk.rename(sent, id, version, form), id, typed, "name", model);
  }

  @PostMapping("/{id}/delete")
  String delete(@PathVariable long id, Sent sent, Model model) {
    return next(desk.delete(sent, id), id, Map.of(), "", model);
  }

  @PostMapping("/{id}/{kind:compartment|position|task}/{partId:[0-9]{1,15}|new}")
  String save(
      @PathVariable long id,
      @PathVariable String kind,
      @PathVariable String partId,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> typed,
      Model model) {
    Outcome outcome =
        switch (kind) {
          case "compartment" ->
              desk.saveCompartment(sent, id, version, known(partId, CompartmentId::valueOf), typed);
          case "position" ->
              desk.savePosition(sent, id, version, known(partId, PositionId::valueOf), typed);
          default -> desk.saveTask(sent, id, version, known(partId, TaskId::valueOf), typed);
        };
    return next(outcome, id, typed, kind + partId, model);
  }

  @PostMapping("/{id}/{kind:compartment|position|task}/{partId:[0-9]{1,15}}/delete")
  String deletePart(
      @PathVariable long id,
      @PathVariable String kind,
      @PathVariable String partId,
      Sent sent,
      @RequestParam long version,
      Model model) {
    Outcome outcome =
        switch (kind) {
          case "compartment" ->
              desk.deleteCompartment(sent, id, version, CompartmentId.valueOf(partId));
          case "position" -> desk.deletePosition(sent, id, version, PositionId.valueOf(partId));
          default -> desk.deleteTask(sent, id, version, TaskId.valueOf(partId));
        };
    return next(outcome, id, Map.of(), "", model);
  }

  private static <T> Optional<T> known(String id, Function<String, T> read) {
    return id.equals("new") ? Optional.empty() : Optional.of(read.apply(id));
  }

  private String next(
      Outcome outcome, long id, Map<String, String> typed, String form, Model model) {
    model.addAttribute("open", form);
    return outcome.next(problems -> page(id, typed, problems, model));
  }

  private String page(long id, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute(
        "view", desk.view(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "variant";
  }
}
