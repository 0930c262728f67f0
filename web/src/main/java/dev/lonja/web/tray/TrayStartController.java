package dev.lonja.web.tray;

import dev.lonja.core.place.Place;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.TrayStartDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.util.UriUtils;

/** Starts trays: of what is planned with one press, of what nobody planned by a form. */
@Controller
@RequestMapping("/trays")
class TrayStartController {

  private final TrayStartDesk desk;
  private final StoreClock clock;

  TrayStartController(TrayStartDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @PostMapping("/start")
  String start(Sent sent, @RequestParam String unit, @RequestParam String day) {
    Optional<LocalDate> planned = new Typed().day("day", day);
    if (planned.isEmpty()) {
      throw new ResponseStatusException(HttpStatus.BAD_REQUEST);
    }
    return Reply.to(desk.start(sent, unit, planned.get()))
        .onto(tray -> "/trays/" + tray)
        .worded(TrayRefusals.WORDS)
        .or(
            problems ->
                "redirect:/fleet/" + UriUtils.encodePathSegment(unit, StandardCharsets.UTF_8));
  }

  /** The trays of all services of the rack's days, made or made anew. */
  @PostMapping("/ahead")
  String ahead(Sent sent) {
    return Reply.to(desk.startAhead(sent)).onto("/").or(problems -> "redirect:/");
  }

  /** One that nobody has begun to lay, as its service takes it by now. */
  @PostMapping("/{id}/anew")
  String anew(@PathVariable TrayId id, Sent sent) {
    String tray = "/trays/" + id;
    return Reply.to(desk.makeAnew(sent, id))
        .onto(tray)
        .worded(TrayRefusals.WORDS)
        .or(problems -> "redirect:" + tray);
  }

  @GetMapping("/new")
  String ask(
      @RequestParam(defaultValue = "") String unit,
      @RequestParam(defaultValue = "") String purpose,
      Model model) {
    desk.admit();
    Map<String, String> typed = new HashMap<>();
    typed.put("unit", unit);
    typed.put("purpose", purpose);
    typed.put("day", clock.today().toString());
    return page(typed, List.of(), model);
  }

  @PostMapping("/new")
  String startUnplanned(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    Typed typed = new Typed();
    String chosen = fields.getOrDefault("purpose", "");
    Optional<TrayPurpose> purpose = typed.choiceOrNone("purpose", chosen, TrayWording.UNPLANNED);
    if (chosen.isEmpty()) {
      typed.refuse("purpose", "Choose what it is for.");
    }
    String unit = fields.getOrDefault("unit", "").strip();
    Optional<LocalDate> day = typed.day("day", fields.getOrDefault("day", ""));
    Optional<String> title =
        typed.text("title", "What it is for", fields.getOrDefault("title", ""), Lengths.REASON);
    Optional<Place> at = typed.placeOrNone("at", fields.getOrDefault("at", ""));
    return typed
        .all(
            () ->
                desk.start(
                    sent,
                    new TrayStartDesk.Unplanned(
                        purpose.orElseThrow(),
                        unit.isEmpty() ? Optional.empty() : Optional.of(unit),
                        title.orElseThrow(),
                        day.orElseThrow(),
                        at)))
        .map(
            done ->
                Reply.to(done)
                    .onto(tray -> "/trays/" + tray)
                    .worded(TrayRefusals.WORDS)
                    .or(problems -> page(fields, problems, model)))
        .orElseGet(() -> page(fields, typed.problems(), model));
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute(
        "places",
        desk.places().entrySet().stream()
            .collect(
                Collectors.toMap(
                    place -> Typed.written(place.getKey()),
                    Map.Entry::getValue,
                    (a, b) -> a,
                    LinkedHashMap::new)));
    model.addAttribute("purposes", TrayWording.UNPLANNED.keySet());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "tray/new";
  }
}
