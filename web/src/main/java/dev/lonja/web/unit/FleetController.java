package dev.lonja.web.unit;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.service.Task;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.meter.MeterDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.unit.DeviationDesk;
import dev.lonja.desk.unit.FleetDesk;
import dev.lonja.desk.unit.UnitRecord;
import dev.lonja.web.document.PdfRenderer;
import dev.lonja.web.frame.RecentUnits;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The fleet and each of its units. */
@Controller
class FleetController {

  private final FleetDesk desk;
  private final DeviationDesk deviations;
  private final MeterDesk meters;
  private final PdfRenderer paper;
  private final StoreClock clock;

  FleetController(
      FleetDesk desk,
      DeviationDesk deviations,
      MeterDesk meters,
      PdfRenderer paper,
      StoreClock clock) {
    this.desk = desk;
    this.deviations = deviations;
    this.meters = meters;
    this.paper = paper;
    this.clock = clock;
  }

  /** What was typed into one of the forms of the page, to be shown again. */
  private record Entered(Optional<ReadingForm> reading, Optional<DeviationForm> deviation) {
    static final Entered NOTHING = new Entered(Optional.empty(), Optional.empty());
  }

  @GetMapping("/fleet")
  String all(
      @RequestParam(defaultValue = "") String text,
      @RequestParam(name = "class", defaultValue = "") String unitClass,
      @RequestParam(defaultValue = "") String state,
      Model model) {
    FleetView.Wish wish = new FleetView.Wish(text, unitClass, state);
    model.addAttribute("view", FleetView.of(desk.all(), wish, clock.today()));
    return "unit/fleet";
  }

  @GetMapping("/fleet/{code}")
  String unit(@PathVariable String code, HttpSession session, Model model) {
    String page = page(code, Entered.NOTHING, List.of(), model);
    RecentUnits.add(session, code);
    return page;
  }

  /** The machine on one page of paper. */
  @GetMapping("/fleet/{code}/sheet.pdf")
  ResponseEntity<byte[]> sheet(@PathVariable String code) {
    UnitView view = UnitWording.view(file(code), clock);
    return paper.answerOnOnePage(
        "machine-sheet", view.head().code() + ".pdf", Map.of("view", view));
  }

  private UnitRecord file(String code) {
    return desk.unit(code).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  @PostMapping("/fleet/{code}/deviations")
  String deviate(
      @PathVariable String code, Sent sent, @ModelAttribute DeviationForm form, Model model) {
    deviations.admit();
    Typed typed = new Typed();
    List<Task> tasks = deviations.pattern(code).map(DeviationDesk.Pattern::tasks).orElse(List.of());
    Entered entered = new Entered(Optional.empty(), Optional.of(form));
    return form.send(deviations, sent, code, tasks, typed)
        .map(outcome -> next(outcome, code, entered, model))
        .orElseGet(() -> page(code, entered, typed.problems(), model));
  }

  @PostMapping("/fleet/{code}/learned")
  String acceptLearned(
      @PathVariable String code,
      Sent sent,
      @RequestParam CompartmentId compartmentId,
      @RequestParam String condition,
      Model model) {
    deviations.admit();
    Typed typed = new Typed();
    return typed
        .choice("condition", "the condition of the fill", condition, FillCondition.class)
        .map(in -> deviations.acceptLearned(sent, code, compartmentId, in))
        .map(outcome -> next(outcome, code, Entered.NOTHING, model))
        .orElseGet(() -> page(code, Entered.NOTHING, typed.problems(), model));
  }

  @PostMapping("/fleet/{code}/deviations/{id}/remove")
  String followVariant(@PathVariable String code, @PathVariable long id, Sent sent, Model model) {
    return next(deviations.remove(sent, code, id), code, Entered.NOTHING, model);
  }

  @PostMapping("/fleet/{code}/readings")
  String addReading(
      @PathVariable String code, Sent sent, @ModelAttribute ReadingForm form, Model model) {
    meters.admit();
    Typed typed = new Typed();
    Entered entered = new Entered(Optional.of(form), Optional.empty());
    return form.send(meters, sent, code, file(code).meters(), typed)
        .map(outcome -> next(outcome, code, entered, model))
        .orElseGet(() -> page(code, entered, typed.problems(), model));
  }

  private String next(Outcome outcome, String code, Entered entered, Model model) {
    return Reply.to(outcome)
        .onto("/fleet/" + code)
        .worded(DeviationForm.REFUSED.and(ReadingForm.REFUSED))
        .or(problems -> page(code, entered, problems, model));
  }

  private String page(String code, Entered entered, List<Problem> problems, Model model) {
    Optional<FleetDesk.Retired> retired = desk.retired(code);
    if (retired.isPresent()) {
      model.addAttribute("view", UnitWording.retired(retired.get(), clock));
      return "unit/retired";
    }
    model.addAttribute("view", UnitWording.view(file(code), clock));
    model.addAttribute("typed", entered.reading().orElse(null));
    model.addAttribute("deviation", entered.deviation().orElse(null));
    if (!model.containsAttribute("problems")) {
      model.addAttribute("problems", problems);
    }
    return "unit/unit";
  }
}
