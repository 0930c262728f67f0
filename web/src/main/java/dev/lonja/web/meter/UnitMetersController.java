package dev.lonja.web.meter;

import dev.lonja.core.meter.MeterId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.meter.UnitMetersDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
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

/** The page of one unit's meters. */
@Controller
@RequestMapping("/fleet/{code}/meters")
class UnitMetersController {

  private final UnitMetersDesk desk;
  private final StoreClock clock;

  UnitMetersController(UnitMetersDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping
  String meters(@PathVariable String code, Model model) {
    return page(code, Map.of(), List.of(), model);
  }

  @PostMapping("/readings/{readingId}")
  String decide(
      @PathVariable String code,
      @PathVariable long readingId,
      Sent sent,
      @RequestParam String what,
      @RequestParam(defaultValue = "") String value,
      @RequestParam String reason,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    fields.put("readingId", String.valueOf(readingId));
    Typed typed = new Typed();
    return next(
        new UnitMetersForms.OnReading(readingId, what, value, reason)
            .send(desk, sent, file(code), typed),
        "value",
        new SentForm(code, fields, typed),
        model);
  }

  @PostMapping("/replacements")
  String replace(
      @PathVariable String code,
      Sent sent,
      @ModelAttribute UnitMetersForms.Replacement form,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    return next(
        form.send(desk, sent, file(code), typed), "end", new SentForm(code, fields, typed), model);
  }

  @PostMapping("/replacements/{id}/withdraw")
  String withdraw(
      @PathVariable String code,
      @PathVariable long id,
      Sent sent,
      @RequestParam String reason,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    fields.put("replacementId", String.valueOf(id));
    Typed typed = new Typed();
    return next(
        UnitMetersForms.why(typed, reason).map(why -> desk.withdraw(sent, code, id, why)),
        "value",
        new SentForm(code, fields, typed),
        model);
  }

  /** What a meter is used a day, for want of readings; an empty field takes it back. */
  @PostMapping("/rate")
  String declare(
      @PathVariable String code,
      Sent sent,
      @RequestParam MeterId rateOf,
      @RequestParam String perDay,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<BigDecimal> rate =
        perDay.isBlank()
            ? Optional.empty()
            : typed.decimalFromZero("perDay", "The use a day", perDay, Limits.RATE);
    return next(
        typed.all(() -> desk.declare(sent, code, rateOf, rate)),
        "perDay",
        new SentForm(code, fields, typed),
        model);
  }

  @PostMapping("/lay-ups")
  String layUp(
      @PathVariable String code,
      Sent sent,
      @ModelAttribute UnitMetersForms.Rest form,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    return next(
        form.send(desk, sent, code, typed), "first", new SentForm(code, fields, typed), model);
  }

  @PostMapping("/lay-ups/{id}/remove")
  String removeLayUp(@PathVariable String code, @PathVariable long id, Sent sent, Model model) {
    desk.admit();
    return next(
        Optional.of(desk.removeLayUp(sent, code, id)),
        "first",
        new SentForm(code, Map.of(), new Typed()),
        model);
  }

  /** A form of the page that was sent. */
  private record SentForm(String code, Map<String, String> fields, Typed typed) {}

  private String next(Optional<Outcome> outcome, String valueField, SentForm form, Model model) {
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto("/fleet/" + form.code() + "/meters")
                    .worded(UnitMetersForms.refusals(valueField))
                    .or(problems -> page(form.code(), form.fields(), problems, model)))
        .orElseGet(() -> page(form.code(), form.fields(), form.typed().problems(), model));
  }

  private UnitMetersDesk.UnitMeters file(String code) {
    return desk.file(code).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  private String page(String code, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", UnitMetersWording.view(file(code), clock.today()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "meter/unit";
  }
}
