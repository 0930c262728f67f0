package dev.lonja.web.work;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.service.WorkDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The page on which is said when each task of a machine was last done, as it comes in. */
@Controller
@RequestMapping("/fleet/{code}/last-done")
class LastDoneController {

  private final WorkDesk desk;
  private final StoreClock clock;

  LastDoneController(WorkDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping
  String look(@PathVariable String code, Model model) {
    desk.admit();
    return page(form(code), Map.of(), List.of(), model);
  }

  @PostMapping
  String note(
      @PathVariable String code, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    LastDoneForm form = form(code);
    Typed typed = new Typed();
    List<WorkDesk.LastDone> last = form.read(fields, typed);
    Optional<String> note = LastDoneForm.note(fields, typed);
    return typed
        .all(() -> desk.noteLast(sent, code, last, note.orElseThrow()))
        .map(
            outcome ->
                Reply.to(outcome)
                    .onto("/fleet/" + code)
                    .worded(form.refusals())
                    .or(problems -> page(form, fields, problems, model)))
        .orElseGet(() -> page(form, fields, typed.problems(), model));
  }

  private LastDoneForm form(String code) {
    return new LastDoneForm(
        desk.sheet(code).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
  }

  private String page(
      LastDoneForm form, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", form.view(clock.today()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "work/last-done";
  }
}
