package dev.lonja.web.count;

import dev.lonja.core.count.CountId;
import dev.lonja.core.count.Stocktake;
import dev.lonja.core.quantity.Money;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.count.StocktakeDesk;
import dev.lonja.desk.count.StocktakeKeepDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.count.CountRepository.Count;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.sign.PersonProblems;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A count of all bins, from the freeze to its one posting. */
@Controller
@RequestMapping("/stores/stocktake")
class StocktakeController {

  private static final String PATH = "/stores/stocktake";
  private static final int WHOLE = 100;

  private final StocktakeDesk desk;
  private final StocktakeKeepDesk keep;
  private final StoreClock clock;
  private final CountWording wording;

  StocktakeController(StocktakeDesk desk, StocktakeKeepDesk keep, StoreClock clock) {
    this.desk = desk;
    this.keep = keep;
    this.clock = clock;
    this.wording = new CountWording(clock);
  }

  @GetMapping
  String look(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @PostMapping("/begin")
  String begin(Sent sent, Model model) {
    return next(keep.begin(sent), "/stores/counts", Map.of(), model);
  }

  @PostMapping("/again/{count:[0-9]{1,18}}")
  String again(@PathVariable CountId count, Sent sent, Model model) {
    return next(keep.again(sent, count), PATH, Map.of(), model);
  }

  @PostMapping("/book")
  String book(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    return next(keep.book(sent, PersonProblems.signature(fields)), PATH, fields, model);
  }

  @PostMapping("/give-up")
  String giveUp(Sent sent, Model model) {
    return next(keep.giveUp(sent), PATH, Map.of(), model);
  }

  private String next(Outcome done, String onto, Map<String, String> typed, Model model) {
    return Reply.to(done)
        .onto(onto)
        .worded(wording.refusals())
        .or(problems -> page(typed, problems, model));
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    StocktakeDesk.Overview overview = desk.overview();
    model.addAttribute(
        "view",
        new StocktakeView(
            overview.open().map(this::open).orElse(StocktakeView.Open.NONE),
            overview.past().stream().map(this::past).toList(),
            Words.count(overview.tanks(), "tank is", "tanks are")));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "count/stocktake";
  }

  private StocktakeView.Open open(StocktakeDesk.Open open) {
    int counted = open.agree() + open.differences().size();
    return new StocktakeView.Open(
        open.stocktake().id().number(),
        begun(open.stocktake()),
        open.thingsLeft() == 0
            ? "All is counted."
            : Words.count(open.thingsLeft(), "thing", "things")
                + " in "
                + Words.count(open.binsLeft(), "bin", "bins")
                + " left to count.",
        Words.count(open.agree(), "agrees", "agree") + ".",
        WHOLE * counted / Math.max(1, counted + open.thingsLeft()),
        open.differences().stream().map(this::difference).toList(),
        open.worth().map(Money::display).orElse(""),
        open.binsLeft() == 0);
  }

  private StocktakeView.Difference difference(StocktakeDesk.Difference difference) {
    Count count = difference.count().count();
    return new StocktakeView.Difference(
        "d" + difference.count().id(),
        PATH + "/again/" + difference.count().id(),
        difference.bin().address(),
        Plate.of(difference.item()),
        count.book().display(),
        count.counted().display(),
        CountWording.differs(difference.change()),
        difference.worth().display(),
        count.why(),
        count.actor());
  }

  private String begun(Stocktake stocktake) {
    return stocktake.begunBy()
        + ", "
        + Words.day(clock.dayOf(stocktake.begunAt()), clock.today())
        + ", "
        + clock.timeOf(stocktake.begunAt());
  }

  private StocktakeView.Past past(Stocktake stocktake) {
    Stocktake.End end = stocktake.end().orElseThrow();
    return new StocktakeView.Past(
        stocktake.id().number(),
        begun(stocktake),
        switch (end.how()) {
              case BOOKED -> "booked by ";
              case GIVEN_UP -> "given up by ";
            }
            + end.by()
            + ", "
            + Words.day(clock.dayOf(end.at()), clock.today()));
  }
}
