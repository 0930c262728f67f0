package dev.lonja.web.count;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.count.CountDesk;
import dev.lonja.desk.count.CountKeepDesk;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.document.PdfRenderer;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import dev.lonja.web.sign.PersonProblems;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is counted today, bin after bin. */
@Controller
@RequestMapping("/stores/counts")
class CountController {

  private static final String PATH = "/stores/counts";
  private static final int FINE = 3;
  private static final String COUNTED = "counted-";
  private static final Pattern NUMBER = Pattern.compile("[0-9]{1,18}");
  private static final Pattern STAMP = Pattern.compile("[0-9]{1,18}-[0-9]{1,18}");

  private final CountDesk desk;
  private final CountKeepDesk keep;
  private final CountWording wording;
  private final PdfRenderer pdf;

  CountController(CountDesk desk, CountKeepDesk keep, StoreClock clock, PdfRenderer pdf) {
    this.desk = desk;
    this.keep = keep;
    this.wording = new CountWording(clock);
    this.pdf = pdf;
  }

  @GetMapping
  String list(
      @RequestParam(defaultValue = "") String book,
      @RequestParam(defaultValue = "") String at,
      Model model) {
    return page(new Shown(!book.isEmpty(), at), Map.of(), List.of(), model);
  }

  /** To write on, where there is no device. */
  @GetMapping("/sheet.pdf")
  ResponseEntity<byte[]> sheet() {
    return pdf.answer(
        "count-sheet", "count-sheet.pdf", Map.of("sheet", wording.view(desk.sheet(""), false, "")));
  }

  @PostMapping("/{bin:[0-9]{1,18}}")
  String count(
      @PathVariable BinId bin, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    keep.admit();
    Typed typed = new Typed();
    List<CountKeepDesk.Figure> rows = new ArrayList<>();
    for (String field : fields.keySet()) {
      if (field.startsWith(COUNTED)) {
        row(typed, fields, field.substring(COUNTED.length())).ifPresent(rows::add);
      }
    }
    Optional<CountKeepDesk.Found> found = found(typed, fields);
    Shown shown =
        new Shown(!fields.getOrDefault("book", "").isEmpty(), fields.getOrDefault("at", ""));
    return typed
        .all(
            () ->
                keep.count(
                    sent,
                    bin,
                    new CountKeepDesk.Figures(rows, found),
                    PersonProblems.signature(fields)))
        .map(
            done ->
                Reply.to(done)
                    .onto(PATH + (shown.withBook() ? "?book=yes" : ""))
                    .worded(wording.refusals())
                    .or(
                        problems ->
                            page(
                                shown,
                                fields,
                                problems.stream().map(problem -> at(problem, fields)).toList(),
                                model)))
        .orElseGet(() -> page(shown, fields, typed.problems(), model));
  }

  /** What is wrong with something that has no row stands where it was written beside the list. */
  private static Problem at(Problem problem, Map<String, String> fields) {
    String field = problem.field();
    String id = field.substring(field.indexOf('-') + 1);
    if (!NUMBER.matcher(id).matches() || fields.containsKey(COUNTED + id)) {
      return problem;
    }
    return new Problem(field.startsWith(COUNTED) ? "foundCounted" : "foundWhy", problem.text());
  }

  /** What a row says; nothing if no figure is in it. */
  private static Optional<CountKeepDesk.Figure> row(
      Typed typed, Map<String, String> fields, String id) {
    String text = fields.getOrDefault(COUNTED + id, "").strip();
    String why = fields.getOrDefault("why-" + id, "").strip();
    if (text.isEmpty() && why.isEmpty()) {
      return Optional.empty();
    }
    String stamp = fields.getOrDefault("stamp-" + id, "");
    if (!NUMBER.matcher(id).matches() || !STAMP.matcher(stamp).matches()) {
      typed.refuse(COUNTED + id, "The list is not whole any more. Load the page again.");
      return Optional.empty();
    }
    Optional<BigDecimal> counted = counted(typed, COUNTED + id, text);
    Optional<String> reason = reason(typed, "why-" + id, why);
    return counted.flatMap(
        figure ->
            reason.map(
                said ->
                    new CountKeepDesk.Figure(new ItemId(Long.parseLong(id)), figure, stamp, said)));
  }

  private static Optional<CountKeepDesk.Found> found(Typed typed, Map<String, String> fields) {
    String number = fields.getOrDefault("found", "").strip();
    String text = fields.getOrDefault("foundCounted", "").strip();
    String why = fields.getOrDefault("foundWhy", "").strip();
    if (number.isEmpty() && text.isEmpty() && why.isEmpty()) {
      return Optional.empty();
    }
    Optional<String> known = typed.text("found", "What lies there", number, Lengths.NAME);
    Optional<BigDecimal> counted = counted(typed, "foundCounted", text);
    Optional<String> reason = reason(typed, "foundWhy", why);
    return known.flatMap(
        of ->
            counted.flatMap(
                figure -> reason.map(said -> new CountKeepDesk.Found(of, figure, said))));
  }

  private static Optional<BigDecimal> counted(Typed typed, String field, String text) {
    return typed.decimalBetween(
        field,
        "What you counted",
        text,
        BigDecimal.ZERO,
        BigDecimal.valueOf(Limits.QUANTITY),
        FINE);
  }

  private static Optional<String> reason(Typed typed, String field, String text) {
    return text.isEmpty() ? Optional.of("") : typed.text(field, "The reason", text, Lengths.REASON);
  }

  /**
   * How the list is shown.
   *
   * @param at the bin that is counted now; empty for none
   */
  private record Shown(boolean withBook, String at) {}

  private String page(Shown shown, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", wording.view(desk.sheet(shown.at()), shown.withBook(), shown.at()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "count/counts";
  }
}
