package dev.lonja.web.wanted;

import dev.lonja.core.quantity.Measure;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.wanted.Finding;
import dev.lonja.core.wanted.FindingId;
import dev.lonja.core.wanted.WantedPartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.TrayDesk;
import dev.lonja.desk.wanted.WantedDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
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
import org.springframework.web.util.UriUtils;

/** Findings and wanted parts, of all machines or of the one that {@code of} names. */
@Controller
@RequestMapping("/wanted")
class WantedController {

  private final WantedDesk desk;
  private final TrayDesk trays;
  private final StoreClock clock;

  WantedController(WantedDesk desk, TrayDesk trays, StoreClock clock) {
    this.desk = desk;
    this.trays = trays;
    this.clock = clock;
  }

  @GetMapping
  String look(@RequestParam(defaultValue = "") String of, Model model) {
    return page(of, Map.of(), List.of(), model);
  }

  @PostMapping("/findings")
  String note(
      Sent sent,
      @RequestParam(defaultValue = "") String of,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<String> unit =
        typed.text("unit", "The unit", fields.getOrDefault("unit", ""), Lengths.CODE);
    Optional<String> words =
        typed.text("words", "What was found", fields.getOrDefault("words", ""), Lengths.REASON);
    Optional<LocalDate> day = typed.day("day", fields.getOrDefault("day", ""));
    return next(
        typed.all(
            () -> desk.note(sent, unit.orElseThrow(), words.orElseThrow(), day.orElseThrow())),
        typed,
        of,
        fields,
        model);
  }

  @PostMapping("/findings/{id}/{what}")
  String settle(
      @PathVariable FindingId id,
      @PathVariable String what,
      Sent sent,
      @RequestParam(defaultValue = "") String of,
      @RequestParam Map<String, String> fields,
      Model model) {
    trays.admit();
    Typed typed = new Typed();
    Optional<Outcome> outcome =
        switch (what) {
          case "watch" -> settle(sent, id, Finding.State.WATCHED, fields, typed);
          case "close" -> settle(sent, id, Finding.State.CLOSED, fields, typed);
          case "open" -> Optional.of(desk.settle(sent, id, Finding.State.OPEN, ""));
          case "want" ->
              wish(fields, typed, fields.getOrDefault("why", "").strip())
                  .map(wish -> desk.want(sent, id, wish));
          default -> throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        };
    return next(outcome, typed, of, fields, model);
  }

  private Optional<Outcome> settle(
      Sent sent, FindingId id, Finding.State state, Map<String, String> fields, Typed typed) {
    return typed
        .text("why", "The reason", fields.getOrDefault("why", ""), Lengths.REASON)
        .map(why -> desk.settle(sent, id, state, why));
  }

  @PostMapping
  String ask(
      Sent sent,
      @RequestParam(defaultValue = "") String of,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    String unit = fields.getOrDefault("unit", "").strip();
    Optional<String> why =
        typed.text("why", "What it is for", fields.getOrDefault("why", ""), Lengths.REASON);
    return next(
        wish(fields, typed, why.orElse(""))
            .map(
                wish ->
                    desk.ask(sent, unit.isEmpty() ? Optional.empty() : Optional.of(unit), wish)),
        typed,
        of,
        fields,
        model);
  }

  private Optional<WantedDesk.Wish> wish(Map<String, String> fields, Typed typed, String why) {
    Optional<String> code =
        typed.text("code", "The number", fields.getOrDefault("code", ""), Lengths.BARCODE);
    Optional<BigDecimal> amount =
        typed.amount(
            "quantity",
            "The quantity",
            fields.getOrDefault("quantity", ""),
            code.map(desk::measure).orElse(Measure.PIECES));
    String needed = fields.getOrDefault("needed", "").strip();
    Optional<LocalDate> day = needed.isEmpty() ? Optional.empty() : typed.day("needed", needed);
    return typed.all(() -> new WantedDesk.Wish(code.orElseThrow(), amount.orElseThrow(), day, why));
  }

  @PostMapping("/{id}/drop")
  String drop(
      @PathVariable WantedPartId id,
      Sent sent,
      @RequestParam(defaultValue = "") String of,
      @RequestParam Map<String, String> fields,
      Model model) {
    trays.admit();
    Typed typed = new Typed();
    return next(
        typed
            .text("why", "The reason", fields.getOrDefault("why", ""), Lengths.REASON)
            .map(why -> desk.drop(sent, id, why)),
        typed,
        of,
        fields,
        model);
  }

  @PostMapping("/{id}/put-on")
  String putOn(
      @PathVariable WantedPartId id,
      Sent sent,
      @RequestParam TrayId trayId,
      @RequestParam(defaultValue = "") String of,
      @RequestParam Map<String, String> fields,
      Model model) {
    return Reply.to(trays.putOnWanted(sent, trayId, id))
        .onto("/trays/" + trayId)
        .worded(WantedRefusals.WORDS)
        .or(problems -> page(of, fields, problems, model));
  }

  private String next(
      Optional<Outcome> outcome, Typed typed, String of, Map<String, String> fields, Model model) {
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto(of.isEmpty() ? "/wanted" : "/wanted?of=" + encoded(of))
                    .worded(WantedRefusals.WORDS)
                    .or(problems -> page(of, fields, problems, model)))
        .orElseGet(() -> page(of, fields, typed.problems(), model));
  }

  private static String encoded(String of) {
    return UriUtils.encodeQueryParam(of, StandardCharsets.UTF_8);
  }

  private String page(String of, Map<String, String> typed, List<Problem> problems, Model model) {
    WantedDesk.Board board =
        of.isEmpty()
            ? desk.board()
            : desk.boardOf(of).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    model.addAttribute("view", WantedPage.view(of, board, clock.today()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "wanted/wanted";
  }
}
