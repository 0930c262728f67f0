package dev.lonja.web.spec;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fluid.SpecDesk;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
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
  private final StoreClock clock;

  SpecController(SpecDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
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
    SpecDesk.SpecFile file = desk.file(id, entry::window).orElseThrow(SpecController::notFound);
    model.addAttribute("view", SpecView.of(file, entry.words(), clock.today()));
    model.addAttribute("problems", entry.problems());
    model.addAttribute("typed", typed);
    model.addAttribute("months", WindowEntry.monthChoices());
    return "spec/spec";
  }

  @GetMapping(PATH + "/edit")
  String edit(@PathVariable CompartmentId id, Model model) {
    return form(id, Map.of(), List.of(), model);
  }

  /** A look at what the form would mean; nothing is saved. */
  @PostMapping(PATH + "/effect")
  String effect(
      @PathVariable CompartmentId id, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    model.addAttribute("effect", effect(fields));
    return "spec/form :: effect";
  }

  private SpecView.Effect effect(Map<String, String> fields) {
    Typed typed = new Typed();
    return new SpecEntry(fields, desk.reference(), typed)
        .spec()
        .map(spec -> SpecView.effect(desk.met(spec)))
        .orElseGet(
            () ->
                new SpecView.Effect(
                    "", typed.problems().stream().map(Problem::text).toList(), List.of()));
  }

  @PostMapping(PATH)
  String save(
      @PathVariable CompartmentId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    return new SpecEntry(fields, desk.reference(), typed)
        .spec()
        .map(
            spec ->
                Reply.to(desk.save(sent, id, version, spec))
                    .onto("/oils/specs/" + id)
                    .or(problems -> form(id, fields, problems, model)))
        .orElseGet(() -> form(id, fields, typed.problems(), model));
  }

  private String form(
      CompartmentId id, Map<String, String> typed, List<Problem> problems, Model model) {
    SpecView.Form form = SpecView.form(desk.place(id).orElseThrow(SpecController::notFound), typed);
    model.addAttribute("view", form);
    model.addAttribute("effect", effect(form.fields()));
    model.addAttribute("problems", problems);
    return "spec/form";
  }

  private static ResponseStatusException notFound() {
    return new ResponseStatusException(HttpStatus.NOT_FOUND);
  }
}
