package dev.lonja.web.variant;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.service.TaskId;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.variant.MakeUpDesk;
import dev.lonja.desk.variant.VariantDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The pages of models and variants. */
@Controller
@RequestMapping("/fleet/variants")
class VariantController {

  private static final String PATH = "/fleet/variants";

  private final VariantDesk desk;
  private final MakeUpDesk makeUp;

  VariantController(VariantDesk desk, MakeUpDesk makeUp) {
    this.desk = desk;
    this.makeUp = makeUp;
  }

  @GetMapping
  String all(Model model) {
    return list(Map.of(), List.of(), model);
  }

  @PostMapping
  String add(
      Sent sent,
      @RequestParam(defaultValue = "") String like,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<VariantDesk.Name> name = new VariantEntry(fields, typed).name();
    if (!like.isEmpty() && !like.matches("[1-9][0-9]{0,14}")) {
      typed.refuse("like", "The variant to copy is not on file any more.");
    }
    return typed
        .all(
            () ->
                desk.add(
                    sent,
                    Optional.of(like).filter(l -> !l.isEmpty()).map(Long::valueOf),
                    name.orElseThrow()))
        .map(
            outcome ->
                Reply.to(outcome)
                    .onto(id -> PATH + "/" + id)
                    .worded(VariantRefusals.WORDS)
                    .or(problems -> list(fields, problems, model)))
        .orElseGet(() -> list(fields, typed.problems(), model));
  }

  private String list(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", VariantWording.all(desk.all()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "variant/variants";
  }

  @GetMapping("/{id}")
  String one(@PathVariable long id, Model model) {
    return page(new Shown(id, Map.of(), ""), List.of(), model);
  }

  /** A variant's page with what was typed into one of its forms. */
  private record Shown(long id, Map<String, String> typed, String form) {}

  @PostMapping("/{id}/name")
  String rename(
      @PathVariable long id,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    return next(
        new VariantEntry(fields, typed).name().map(name -> desk.rename(sent, id, version, name)),
        typed,
        new Shown(id, fields, "name"),
        model);
  }

  @PostMapping("/{id}/delete")
  String delete(@PathVariable long id, Sent sent, Model model) {
    desk.admit();
    return Reply.to(desk.delete(sent, id))
        .onto(PATH)
        .worded(VariantRefusals.WORDS)
        .or(problems -> page(new Shown(id, Map.of(), ""), problems, model));
  }

  @PostMapping("/{id}/{kind:compartment|position|task}/{partId:[0-9]{1,15}|new}")
  String savePart(
      @PathVariable long id,
      @PathVariable String kind,
      @PathVariable String partId,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> fields,
      Model model) {
    makeUp.admit();
    Typed typed = new Typed();
    Optional<Outcome> outcome =
        switch (kind) {
          case "compartment" ->
              new VariantEntry(fields, typed)
                  .compartment()
                  .map(
                      draft ->
                          makeUp.saveCompartment(
                              sent, id, version, known(partId, CompartmentId::valueOf), draft));
          case "position" ->
              new VariantEntry(fields, typed)
                  .position()
                  .map(
                      draft ->
                          makeUp.savePosition(
                              sent, id, version, known(partId, PositionId::valueOf), draft));
          default ->
              new TaskEntry(fields, typed)
                  .task()
                  .map(
                      task ->
                          makeUp.saveTask(sent, id, version, known(partId, TaskId::valueOf), task));
        };
    return next(outcome, typed, new Shown(id, fields, kind + partId), model);
  }

  @PostMapping("/{id}/{kind:compartment|position|task}/{partId:[1-9][0-9]{0,15}}/delete")
  String deletePart(
      @PathVariable long id,
      @PathVariable String kind,
      @PathVariable String partId,
      Sent sent,
      @RequestParam long version,
      Model model) {
    makeUp.admit();
    Outcome outcome =
        switch (kind) {
          case "compartment" ->
              makeUp.deleteCompartment(sent, id, version, CompartmentId.valueOf(partId));
          case "position" -> makeUp.deletePosition(sent, id, version, PositionId.valueOf(partId));
          default -> makeUp.deleteTask(sent, id, version, TaskId.valueOf(partId));
        };
    return next(Optional.of(outcome), new Typed(), new Shown(id, Map.of(), ""), model);
  }

  private static <T> Optional<T> known(String id, Function<String, T> read) {
    return id.equals("new") ? Optional.empty() : Optional.of(read.apply(id));
  }

  private String next(Optional<Outcome> outcome, Typed typed, Shown shown, Model model) {
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto(PATH + "/" + shown.id())
                    .worded(VariantRefusals.WORDS)
                    .or(problems -> page(shown, problems, model)))
        .orElseGet(() -> page(shown, typed.problems(), model));
  }

  private String page(Shown shown, List<Problem> problems, Model model) {
    model.addAttribute(
        "view",
        desk.file(shown.id())
            .map(VariantWording::view)
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("open", shown.form());
    model.addAttribute("typed", shown.typed());
    model.addAttribute("problems", problems);
    return "variant/variant";
  }
}
