package dev.lonja.web.count;

import dev.lonja.core.count.Spot;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.count.CountDesk;
import dev.lonja.desk.count.CountKeepDesk;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import dev.lonja.web.sign.PersonProblems;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What is counted today. */
@Controller
@RequestMapping("/stores/counts")
class CountController {

  private static final int FINE = 3;
  private static final Pattern STAMP = Pattern.compile("[0-9]{1,18}");

  private final CountDesk desk;
  private final CountKeepDesk keep;
  private final StoreClock clock;

  CountController(CountDesk desk, CountKeepDesk keep, StoreClock clock) {
    this.desk = desk;
    this.keep = keep;
    this.clock = clock;
  }

  @GetMapping
  String today(@RequestParam(defaultValue = "") String book, Model model) {
    return page(!book.isEmpty(), Map.of(), List.of(), model);
  }

  @PostMapping("/{bin:[0-9]{1,18}}/{item:[0-9]{1,18}}")
  String count(
      @PathVariable BinId bin,
      @PathVariable ItemId item,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    keep.admit();
    Typed typed = new Typed();
    Optional<BigDecimal> counted =
        typed.decimalBetween(
            "counted",
            "What you counted",
            fields.getOrDefault("counted", "").strip(),
            BigDecimal.ZERO,
            BigDecimal.valueOf(Limits.QUANTITY),
            FINE);
    Optional<Long> stamp = stamp(typed, fields.getOrDefault("stamp", ""));
    String whyText = fields.getOrDefault("why", "").strip();
    Optional<String> why =
        whyText.isEmpty()
            ? Optional.of("")
            : typed.text("why", "The reason", whyText, Lengths.REASON);
    boolean withBook = !fields.getOrDefault("book", "").isEmpty();
    return typed
        .all(
            () ->
                keep.count(
                    sent,
                    new Spot(item, bin),
                    new CountKeepDesk.Entry(
                        counted.orElseThrow(), stamp.orElseThrow(), why.orElseThrow()),
                    PersonProblems.signature(fields)))
        .map(
            done ->
                Reply.to(done)
                    .onto("/stores/counts" + (withBook ? "?book=yes" : ""))
                    .worded(CountWording.REFUSALS)
                    .or(problems -> page(withBook, fields, problems, model)))
        .orElseGet(() -> page(withBook, fields, typed.problems(), model));
  }

  /** As the list wrote it; 0 of what never moved. */
  private static Optional<Long> stamp(Typed typed, String text) {
    if (STAMP.matcher(text).matches()) {
      return Optional.of(Long.valueOf(text));
    }
    typed.refuse("counted", "The list is not whole any more. Load the page again.");
    return Optional.empty();
  }

  private String page(
      boolean withBook, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", new CountWording(clock.today()).view(desk.today(), withBook));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "count/counts";
  }
}
