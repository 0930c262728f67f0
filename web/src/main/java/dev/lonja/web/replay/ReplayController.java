package dev.lonja.web.replay;

import dev.lonja.core.item.Criticality;
import dev.lonja.core.replay.Span;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.reorder.Proposals;
import dev.lonja.desk.replay.ReplayDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.server.ResponseStatusException;

/** Would the rules have done better? */
@Controller
class ReplayController {

  private static final int YEAR_DAYS = 364;

  private final ReplayDesk desk;
  private final StoreClock clock;

  ReplayController(ReplayDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping("/buy/replay")
  String page(Model model) {
    return page(Map.of(), List.of(), model);
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("problems", problems);
    model.addAttribute(
        "view",
        ReplayWording.view(desk.state(), ReplayWording.form(typed, usual(), desk.coverDays())));
    return "replay/replay";
  }

  /** The year up to yesterday, or from the first movement on if that is less. */
  private Span usual() {
    LocalDate last = clock.today().minusDays(1);
    LocalDate year = last.minusDays(YEAR_DAYS - 1L);
    LocalDate first = desk.firstMovement();
    LocalDate from = first.isAfter(year) ? first : year;
    LocalDate latest = last.minusDays(Span.LEAST_DAYS - 1L);
    return new Span(from.isAfter(latest) ? latest : from, last);
  }

  @PostMapping("/buy/replay")
  String begin(@RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<LocalDate> first = typed.day("first", fields.getOrDefault("first", ""));
    Optional<LocalDate> last = typed.day("last", fields.getOrDefault("last", ""));
    Optional<Integer> cover =
        typed.chosen(
            "cover", "for how long orders last", fields.getOrDefault("cover", ""), this::cover);
    Optional<Criticality> criticality =
        typed.choiceOrNone(
            "criticality", fields.getOrDefault("criticality", ""), Criticality.values());
    if (first.isPresent() && last.isPresent() && typed.problems().isEmpty()) {
      desk.begin(
              first.get(),
              last.get(),
              new Proposals.Manner(criticality, cover.orElseThrow()),
              "yes".equals(fields.get("others")))
          .ifPresent(refused -> refuse(typed, refused));
    }
    return typed.problems().isEmpty()
        ? "redirect:/buy/replay"
        : page(fields, typed.problems(), model);
  }

  private Integer cover(String text) {
    return ReplayWording.covers(desk.coverDays()).stream()
        .filter(days -> days.toString().equals(text))
        .findFirst()
        .orElseThrow(() -> new IllegalArgumentException(text));
  }

  private void refuse(Typed typed, ReplayDesk.Refusal refused) {
    switch (refused) {
      case RUNNING -> typed.refuse("", "Another replay is running; wait for it or break it off.");
      case NOT_PAST ->
          typed.refuse("last", "The last day has to be over: allowed is up to yesterday.");
      case TOO_SHORT ->
          typed.refuse(
              "first", "From the first day to the last there have to be 26 weeks, 182 days.");
    }
  }

  @PostMapping("/buy/replay/cancel")
  String cancel() {
    desk.cancel();
    return "redirect:/buy/replay";
  }

  /** How far it is, for a page that waits for it. */
  @GetMapping("/buy/replay/progress")
  @ResponseBody
  Progress progress() {
    Optional<Integer> percent = desk.state().percent();
    return new Progress(percent.isPresent(), percent.orElse(100));
  }

  /** As the page's script reads it. */
  public record Progress(boolean running, int percent) {}

  @GetMapping("/buy/replay/{itemId:[0-9]{1,18}}")
  String thing(@PathVariable String itemId, Model model) {
    model.addAttribute(
        "view",
        desk.state()
            .last()
            .flatMap(last -> ReplayWording.thing(last, itemId))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    return "replay/thing";
  }

  @GetMapping("/buy/replay.csv")
  ResponseEntity<byte[]> csv() {
    return desk.state()
        .last()
        .map(last -> ReplayWording.csv(last).as("replay.csv"))
        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }
}
