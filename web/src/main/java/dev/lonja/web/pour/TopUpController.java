package dev.lonja.web.pour;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fluid.CompartmentDesk;
import dev.lonja.desk.fluid.TopUpDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.book.LedgerWording;
import dev.lonja.web.fluid.TopUpWording;
import dev.lonja.web.frame.RecentUnits;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import dev.lonja.web.sign.PersonProblems;
import jakarta.servlet.http.HttpSession;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Topping up at the counter. */
@Controller
class TopUpController {

  private static final int LONGEST_WHY = Lengths.REASON;
  private static final String USUAL = "0.5";

  private static final RefusalWording REFUSED =
      RefusalWording.of(
              TopUpDesk.Refused.class,
              Cases.<TopUpDesk.Refused, Problem>over(TopUpDesk.Refused.class)
                  .when(
                      TopUpDesk.NoSuchPlace.class,
                      none ->
                          Problem.ofWhole("Choose a unit in service, its compartment and a fluid."))
                  .when(
                      TopUpDesk.Never.class,
                      never ->
                          new Problem(
                              "itemId",
                              never.item().number()
                                  + " is not added. It is "
                                  + TopUpWording.told(never.judged())
                                  + "."))
                  .when(
                      TopUpDesk.NeedsSigner.class,
                      needs -> new Problem("signedBy", "Who signs for it is missing."))
                  .when(TopUpDesk.NeedsReason.class, needs -> new Problem("why", "Why is missing."))
                  .when(
                      TopUpDesk.NotOnFile.class,
                      not -> Problem.ofWhole("That top-up is not on file any more."))
                  .when(
                      TopUpDesk.OfTray.class,
                      of ->
                          Problem.ofWhole(
                              "That went out with tray "
                                  + of.tray()
                                  + ". It is put right there: say that the tray is out again, and"
                                  + " take it back anew."))
                  .all())
          .and(LedgerWording.at("litres"))
          .and(PersonProblems.SECOND);

  private final TopUpDesk desk;
  private final CompartmentDesk compartments;
  private final StoreClock clock;

  TopUpController(TopUpDesk desk, CompartmentDesk compartments, StoreClock clock) {
    this.desk = desk;
    this.compartments = compartments;
    this.clock = clock;
  }

  /** Which compartment is asked about, and how much is to be added, as typed. */
  private record Asked(String unit, Optional<CompartmentId> compartment, String litres) {}

  @GetMapping("/oils/top-up")
  String topUp(
      @RequestParam(defaultValue = "") String unit,
      @RequestParam Optional<CompartmentId> compartment,
      @RequestParam(defaultValue = "") String litres,
      HttpSession session,
      Model model) {
    model.addAttribute("recents", RecentUnits.of(session));
    return page(new Asked(unit, compartment, litres), Map.of(), List.of(), model);
  }

  @PostMapping("/oils/top-up")
  String add(
      Sent sent,
      @RequestParam String unit,
      @RequestParam CompartmentId compartment,
      @RequestParam String litres,
      @RequestParam Optional<ItemId> itemId,
      @ModelAttribute SignatureForm form,
      @RequestParam Map<String, String> fields,
      Model model) {
    Asked asked = new Asked(unit, Optional.of(compartment), litres);
    Typed typed = new Typed();
    if (itemId.isEmpty()) {
      typed.refuse("itemId", "Choose a unit in service, its compartment and a fluid.");
    }
    Optional<Volume> volume = litres(typed, litres);
    Optional<String> signedBy = form.signedBy(typed);
    Optional<String> why = form.why(typed);
    return typed
        .all(
            () ->
                new TopUpDesk.Wish(
                    unit, compartment, itemId.orElseThrow(), volume.orElseThrow(), signedBy, why))
        .map(wish -> desk.add(sent, wish, TopUpWording::told))
        .map(outcome -> next(outcome, asked, fields, model))
        .orElseGet(() -> page(asked, fields, typed.problems(), model));
  }

  @PostMapping("/oils/top-up/withdraw")
  String withdraw(
      Sent sent,
      @RequestParam String unit,
      @RequestParam CompartmentId compartment,
      @RequestParam long topUp,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Asked asked = new Asked(unit, Optional.of(compartment), "");
    String why = fields.getOrDefault("why", "");
    Typed typed = new Typed();
    return typed
        .text("why", "Why", why, LONGEST_WHY)
        .map(
            reason ->
                desk.withdraw(
                    sent, unit, compartment, topUp, reason, PersonProblems.signature(fields)))
        .map(outcome -> next(outcome, asked, fields, model))
        .orElseGet(() -> page(asked, fields, typed.problems(), model));
  }

  private String next(Outcome outcome, Asked asked, Map<String, String> fields, Model model) {
    return Reply.to(outcome)
        .onto(
            "/oils/top-up?unit="
                + asked.unit()
                + "&compartment="
                + asked.compartment().orElseThrow())
        .worded(REFUSED)
        .or(problems -> page(asked, fields, problems, model));
  }

  private static Optional<Volume> litres(Typed typed, String litres) {
    return typed.litres("litres", "The litres", litres, Limits.LITRES);
  }

  private String page(Asked asked, Map<String, String> typed, List<Problem> problems, Model model) {
    Typed read = new Typed();
    CompartmentDesk.Choice choice = compartments.choice(asked.unit());
    if (choice.unit().isEmpty() && !asked.unit().isBlank()) {
      read.refuse("unit", "There is no unit \"" + asked.unit() + "\" in service.");
    }
    String amount = asked.litres().isBlank() ? USUAL : asked.litres();
    Optional<Volume> volume = litres(read, amount);
    Optional<CompartmentDesk.Inside> inside =
        asked.compartment().flatMap(id -> compartments.inside(asked.unit(), id));
    List<CompartmentDesk.Candidate> candidates =
        inside
            .flatMap(
                i ->
                    volume.map(v -> compartments.candidates(asked.unit(), i.compartment().id(), v)))
            .orElse(List.of());
    model.addAttribute(
        "view", new TopUpPage(clock.today()).view(choice, inside, amount, candidates));
    model.addAttribute("typed", typed);
    List<Problem> all = new ArrayList<>(problems);
    read.problems().stream().filter(p -> !all.contains(p)).forEach(all::add);
    model.addAttribute("problems", all);
    return "pour/top-up";
  }
}
