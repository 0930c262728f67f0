package dev.lonja.web.tank;

import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Spoken;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.tank.DipId;
import dev.lonja.core.tank.TankId;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.dip.DipDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tank.TankDesk;
import dev.lonja.desk.tank.TankSetUpDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import dev.lonja.web.sign.PersonProblems;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
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

/** How full is it, and does it agree? */
@Controller
@RequestMapping("/stores/tanks")
class TankController {

  private static final DateTimeFormatter WHEN = DateTimeFormatter.ofPattern("yyyy-MM-dd H:mm");

  private final TankDesk tanks;
  private final DipDesk dips;
  private final TankSetUpDesk setUp;
  private final TankOutlook outlook;
  private final StoreClock clock;

  TankController(
      TankDesk tanks, DipDesk dips, TankSetUpDesk setUp, TankOutlook outlook, StoreClock clock) {
    this.tanks = tanks;
    this.dips = dips;
    this.setUp = setUp;
    this.outlook = outlook;
    this.clock = clock;
  }

  @GetMapping("/{id:[0-9]{1,18}}")
  String one(@PathVariable TankId id, Model model) {
    return page(id, Map.of(), List.of(), model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/dips")
  String dip(
      @PathVariable TankId id, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    dips.admit();
    Typed typed = new Typed();
    Optional<Length> height =
        typed.spoken(
            "height",
            "The dip",
            fields.getOrDefault("height", ""),
            "0 up to the height of the tank",
            Spoken.LENGTH);
    Optional<Temperature> warmth = typed.warmth("warmth", fields.getOrDefault("warmth", ""));
    Optional<Instant> at = when(typed, fields.getOrDefault("when", "").strip());
    return next(
        typed.all(() -> dips.dip(sent, id, new DipDesk.Reading(at, height.orElseThrow(), warmth))),
        typed,
        id,
        fields,
        model);
  }

  private Optional<Instant> when(Typed typed, String text) {
    if (text.isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(clock.at(LocalDateTime.parse(text, WHEN)));
    } catch (DateTimeException e) {
      typed.refuse(
          "when",
          "\""
              + text
              + "\" is no time; write one such as "
              + clock.today()
              + " 7:30, or nothing"
              + " for now.");
      return Optional.empty();
    }
  }

  @PostMapping("/{id:[0-9]{1,18}}/dips/{dip:[0-9]{1,18}}/withdraw")
  String withdraw(
      @PathVariable TankId id,
      @PathVariable DipId dip,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    dips.admit();
    Typed typed = new Typed();
    return next(
        why(typed, fields).map(reason -> dips.withdraw(sent, id, dip, reason)),
        typed,
        id,
        fields,
        model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/dips/{dip:[0-9]{1,18}}/close")
  String close(
      @PathVariable TankId id,
      @PathVariable DipId dip,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    dips.admit();
    Typed typed = new Typed();
    return next(
        why(typed, fields)
            .map(reason -> dips.agree(sent, id, dip, reason, PersonProblems.signature(fields))),
        typed,
        id,
        fields,
        model);
  }

  private static Optional<String> why(Typed typed, Map<String, String> fields) {
    return typed.text("why", "The reason", fields.getOrDefault("why", ""), Lengths.REASON);
  }

  @PostMapping("/{id:[0-9]{1,18}}/clean")
  String clean(
      @PathVariable TankId id, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    setUp.admit();
    Typed typed = new Typed();
    return next(
        typed
            .text("how", "How it was done", fields.getOrDefault("how", ""), Lengths.REASON)
            .map(how -> setUp.clean(sent, id, how)),
        typed,
        id,
        fields,
        model);
  }

  private String next(
      Optional<Outcome> outcome, Typed typed, TankId id, Map<String, String> fields, Model model) {
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto("/stores/tanks/" + id)
                    .worded(new TankRefusals(clock).all())
                    .or(problems -> page(id, fields, problems, model)))
        .orElseGet(() -> page(id, fields, typed.problems(), model));
  }

  private String page(TankId id, Map<String, String> typed, List<Problem> problems, Model model) {
    TankDesk.Opened opened =
        tanks.tank(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    TankWording.Ahead ahead = outlook.of(List.of(opened.stand())).get(opened.stand().item().id());
    model.addAttribute("view", new TankWording(clock).one(opened, ahead));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "tank/tank";
  }
}
