package dev.lonja.web.study;

import dev.lonja.desk.choice.StudyDesk;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
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
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Studies of the least set of products. */
@Controller
@RequestMapping("/oils/studies")
class StudyController {

  private static final String PATH = "/oils/studies/";

  private final StudyDesk desk;
  private final StoreClock clock;

  StudyController(StudyDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping
  String all(Model model) {
    return list(Map.of(), List.of(), model);
  }

  @PostMapping
  String make(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    Typed typed = new Typed();
    return StudyForm.read(fields, desk.products(), desk.currency(), typed)
        .map(
            wish ->
                Reply.to(desk.make(sent, wish))
                    .onto(id -> PATH + id)
                    .worded(StudyForm.REFUSED)
                    .or(problems -> list(fields, problems, model)))
        .orElseGet(() -> list(fields, typed.problems(), model));
  }

  @GetMapping("/{id}")
  String study(@PathVariable long id, Model model) {
    return page(id, List.of(), model);
  }

  @PostMapping("/{id}/apply")
  String apply(@PathVariable long id, Sent sent, Model model) {
    desk.admit();
    return next(desk.apply(sent, id), id, model);
  }

  @PostMapping("/{id}/take-back")
  String takeBack(@PathVariable long id, Sent sent, Model model) {
    desk.admit();
    return next(desk.takeBack(sent, id), id, model);
  }

  private String next(Outcome outcome, long id, Model model) {
    return Reply.to(outcome)
        .onto(PATH + id)
        .worded(StudyForm.REFUSED)
        .or(problems -> page(id, problems, model));
  }

  private String list(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", StudyWording.all(desk.all(), desk.products(), clock.today()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "study/studies";
  }

  private String page(long id, List<Problem> problems, Model model) {
    model.addAttribute(
        "view",
        desk.file(id)
            .map(file -> StudyWording.view(file, clock.today()))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("problems", problems);
    return "study/study";
  }
}
