package dev.lonja.web.setup;

import dev.lonja.core.count.CountPlan;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.setting.StoreDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What the store is called, and which units it shows. */
@Controller
@RequestMapping("/setup/store")
class StoreController {

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          StoreDesk.BadName.class,
          bad ->
              new Problem(
                  "name",
                  bad.name().isBlank()
                      ? "The store's name is missing."
                      : "The store's name has "
                          + bad.name().length()
                          + " characters; allowed are "
                          + bad.most()
                          + "."));

  private final StoreDesk desk;

  StoreController(StoreDesk desk) {
    this.desk = desk;
  }

  @GetMapping
  String store(Model model) {
    StoreDesk.Sign sign = desk.toChange();
    return page(
        new Shown(
            sign.name(),
            sign.usUnits(),
            String.valueOf(sign.trialSeed()),
            String.valueOf(sign.coverWeeks()),
            String.valueOf(sign.binsADay())),
        List.of(),
        model);
  }

  @PostMapping
  String change(
      Sent sent,
      @RequestParam(defaultValue = "") String name,
      @RequestParam(defaultValue = "no") String usUnits,
      @RequestParam(defaultValue = "") String seed,
      @RequestParam(defaultValue = "") String cover,
      @RequestParam(defaultValue = "") String bins,
      Model model) {
    desk.toChange();
    Typed typed = new Typed();
    Shown shown = new Shown(name.strip(), usUnits.equals("yes"), seed, cover, bins);
    Optional<Integer> number = typed.wholeBetween("seed", "The seed", seed, 0, StoreDesk.MOST_SEED);
    Optional<Integer> weeks =
        typed.wholeBetween(
            "cover", "How many weeks an order lasts", cover, 1, Reordering.MOST_COVER_WEEKS);
    Optional<Integer> counted =
        typed.wholeBetween(
            "bins", "How many bins a day are counted", bins, 1, CountPlan.MOST_BINS_A_DAY);
    return typed
        .all(
            () ->
                new StoreDesk.Sign(
                    shown.name(),
                    shown.usUnits(),
                    number.orElseThrow(),
                    weeks.orElseThrow(),
                    counted.orElseThrow()))
        .map(
            wanted ->
                Reply.to(desk.change(sent, wanted))
                    .onto("/setup/store")
                    .worded(REFUSED)
                    .or(problems -> page(shown, problems, model)))
        .orElseGet(() -> page(shown, typed.problems(), model));
  }

  /** The form as it stands. */
  public record Shown(String name, boolean usUnits, String seed, String cover, String bins) {}

  private static String page(Shown shown, List<Problem> problems, Model model) {
    model.addAttribute("sign", shown);
    model.addAttribute("problems", problems);
    return "setup/store";
  }
}
