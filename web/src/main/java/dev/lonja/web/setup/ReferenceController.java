package dev.lonja.web.setup;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.crossref.RubberTable.Guidance;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.setting.ReferenceDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page of editable reference data. */
@Controller
class ReferenceController {

  private static final String PATH = "/setup/reference";
  private static final int LONGEST_NAME = Lengths.NAME;
  private static final String NO_PAIR =
      "Choose a rubber, a fluid, and yes, check, no or not known.";

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          ReferenceDesk.Refused.class,
          Cases.<ReferenceDesk.Refused, Problem>over(ReferenceDesk.Refused.class)
              .when(ReferenceDesk.UnknownPair.class, none -> new Problem("guidance", NO_PAIR))
              .when(
                  ReferenceDesk.SupplierTaken.class,
                  taken -> new Problem("name", "There is a supplier " + taken.name() + " already."))
              .when(
                  ReferenceDesk.BinTaken.class,
                  taken -> new Problem("bins", "There is a bin " + taken.address() + " already."))
              .when(
                  ReferenceDesk.LongAddress.class,
                  tooLong ->
                      new Problem(
                          "bins",
                          "The address "
                              + tooLong.address()
                              + " has "
                              + tooLong.address().length()
                              + " characters; allowed are "
                              + ReferenceDesk.LONGEST_ADDRESS
                              + "."))
              .all());

  private final ReferenceDesk desk;

  ReferenceController(ReferenceDesk desk) {
    this.desk = desk;
  }

  @GetMapping(PATH)
  String reference(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @PostMapping(PATH + "/rubbers")
  String rubber(
      Sent sent,
      @RequestParam String rubber,
      @RequestParam String fluid,
      @RequestParam String guidance,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<Guidance> wanted =
        Arrays.stream(Guidance.values())
            .filter(g -> ReferenceView.word(g).equals(guidance))
            .findFirst();
    if (wanted.isEmpty() && !guidance.equals(ReferenceView.NOT_KNOWN)) {
      typed.refuse("guidance", NO_PAIR);
    }
    return next(
        typed.all(() -> desk.setRubber(sent, rubber, fluid, wanted)), typed, Map.of(), model);
  }

  @PostMapping(PATH + "/suppliers")
  String supplier(
      Sent sent,
      @RequestParam String name,
      @RequestParam String leadDays,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<String> named = typed.text("name", "The name", name, LONGEST_NAME);
    Optional<Integer> days =
        typed.wholeBetween("leadDays", "The lead time in days", leadDays, 0, Limits.SUPPLY_DAYS);
    return next(
        typed.all(() -> desk.addSupplier(sent, named.orElseThrow(), days.orElseThrow())),
        typed,
        fields,
        model);
  }

  /** Several bins have a space between them. */
  @PostMapping(PATH + "/bins")
  String bins(
      Sent sent, @RequestParam String bins, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    Typed typed = new Typed();
    List<String> wanted =
        Arrays.stream(bins.strip().split("\\s+"))
            .filter(a -> !a.isEmpty())
            .map(a -> a.toUpperCase(Locale.ROOT))
            .distinct()
            .toList();
    if (wanted.isEmpty()) {
      typed.refuse("bins", "Write an address such as A-03, or several with spaces between.");
    }
    return next(typed.all(() -> desk.addBins(sent, wanted)), typed, fields, model);
  }

  private String next(
      Optional<Outcome> outcome, Typed typed, Map<String, String> fields, Model model) {
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto(PATH)
                    .worded(REFUSED)
                    .or(problems -> page(fields, problems, model)))
        .orElseGet(() -> page(fields, typed.problems(), model));
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", ReferenceView.of(desk.reference()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "setup/reference";
  }
}
