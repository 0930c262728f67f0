package dev.lonja.web.due;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.service.MoveDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
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

  private static final int LONGEST_REASON = Lengths.REASON;

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          MoveDesk.Refused.class,
          Cases.<MoveDesk.Refused, Problem>over(MoveDesk.Refused.class)
              .when(
                  MoveDesk.Gone.class,
                  gone -> Problem.ofWhole("Nothing that can move is planned on that day any more."))
              .when(
                  MoveDesk.OutOfRange.class,
                  out ->
                      new Problem(
                          "to",
                          "The new day is "
                              + out.day()
                              + "; allowed is "
                              + out.earliest()
                              + " to "
                              + out.latest()
                              + "."))
              .all());

  private final MoveDesk desk;
  private final StoreClock clock;

  MoveController(MoveDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  /**
   * A move as typed.
   *
   * @param day the planned day of the occurrence
   * @param to the day to which it is to move
   */
  record Form(String day, String to, String reason) {}

  @GetMapping
  String look(
      @PathVariable String code,
      @RequestParam String day,
      @RequestParam(defaultValue = "") String to,
      Model model) {
    return page(code, new Form(day, to, ""), List.of(), model);
  }

  @PostMapping
  String move(@PathVariable String code, Sent sent, @ModelAttribute Form form, Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<LocalDate> day = typed.day("day", form.day());
    Optional<LocalDate> to = typed.day("to", form.to());
    Optional<String> reason = typed.text("reason", "The reason", form.reason(), LONGEST_REASON);
    return typed
        .all(() -> desk.move(sent, code, day.orElseThrow(), to.orElseThrow(), reason.orElseThrow()))
        .map(
            outcome ->
                Reply.to(outcome)
                    .onto("/fleet/" + code)
                    .worded(REFUSED)
                    .or(problems -> page(code, form, problems, model)))
        .orElseGet(() -> page(code, form, typed.problems(), model));
  }

  @PostMapping("/back")
  String moveBack(
      @PathVariable String code, Sent sent, @RequestParam String day, RedirectAttributes next) {
    desk.admit();
    Typed typed = new Typed();
    List<Problem> problems =
        typed
            .day("day", day)
            .map(d -> Reply.to(desk.moveBack(sent, code, d)).worded(REFUSED).problems())
            .orElseGet(typed::problems);
    if (!problems.isEmpty()) {
      next.addFlashAttribute("problems", problems);
    }
    return "redirect:/fleet/" + code;
  }

  private String page(String code, Form form, List<Problem> refused, Model model) {
    Typed typed = new Typed();
    Optional<LocalDate> day = typed.day("day", form.day());
    Typed asked = new Typed();
    Optional<LocalDate> to = form.to().isBlank() ? Optional.empty() : asked.day("to", form.to());
    Optional<MoveDesk.OutOfRange> outOfRange = to.flatMap(desk::outOfRange);
    MoveDesk.Movable movable =
        day.flatMap(d -> desk.look(code, d, outOfRange.isPresent() ? Optional.empty() : to))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    List<Problem> problems = new ArrayList<>(asked.problems());
    outOfRange.map(REFUSED::problem).ifPresent(problems::add);
    model.addAttribute("view", MoveView.of(movable, form.to(), clock.today()));
    model.addAttribute("reason", form.reason());
    model.addAttribute("problems", refused.isEmpty() ? problems : refused);
    return "due/move";
  }
}
