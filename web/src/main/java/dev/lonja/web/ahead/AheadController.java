package dev.lonja.web.ahead;

import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.forecast.AheadDesk;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.reorder.BuyDesk;
import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.server.ResponseStatusException;

/** The pages of Ahead. */
@Controller
class AheadController {

  private final AheadDesk desk;
  private final BuyDesk buy;
  private final StoreClock clock;

  AheadController(AheadDesk desk, BuyDesk buy, StoreClock clock) {
    this.desk = desk;
    this.buy = buy;
    this.clock = clock;
  }

  @GetMapping("/ahead")
  String all(
      @RequestParam(defaultValue = "" + AheadDesk.WEEKS) int weeks,
      @RequestParam Map<String, String> choice,
      Model model) {
    int ahead = Math.max(1, Math.min(weeks, PlanLine.MOST_WEEKS));
    AheadFilter filter = filter(choice);
    model.addAttribute(
        "view", wording(Optional.of(filter)).all(forecast(filter, ahead), desk.sellers(), filter));
    return "ahead/ahead";
  }

  /** What is used of each thing in each week, with its band up to the end of that week. */
  @GetMapping("/ahead.csv")
  ResponseEntity<byte[]> csv(
      @RequestParam(defaultValue = "" + AheadDesk.WEEKS) int weeks,
      @RequestParam Map<String, String> choice) {
    int ahead = Math.max(1, Math.min(weeks, PlanLine.MOST_WEEKS));
    AheadFilter filter = filter(choice);
    return wording(Optional.of(filter))
        .csv(forecast(filter, ahead), desk.sellers(), filter)
        .as("ahead.csv");
  }

  private Forecast forecast(AheadFilter filter, int weeks) {
    return filter
        .only(desk.places())
        .flatMap(place -> desk.at(place, weeks))
        .orElseGet(() -> desk.all(weeks));
  }

  private static AheadFilter filter(Map<String, String> choice) {
    return new AheadFilter(
        choice.getOrDefault("family", ""),
        choice.getOrDefault("supplier", ""),
        choice.getOrDefault("criticality", ""),
        choice.getOrDefault("place", ""),
        !choice.getOrDefault("short", "").isEmpty());
  }

  private AheadWording wording() {
    return wording(Optional.empty());
  }

  /** Of one place alone if the choice names one, else of all of the store. */
  private AheadWording wording(Optional<AheadFilter> filter) {
    SortedMap<Place, String> places = desk.places();
    return new AheadWording(
        clock.today(), desk.drawn(), places, filter.flatMap(its -> its.only(places)));
  }

  /** How far the trials are, for a page that waits for them. */
  @GetMapping("/ahead/drawing")
  @ResponseBody
  Progress drawing() {
    DrawingView drawing = AheadWording.drawing(desk.drawn());
    return new Progress(drawing.running(), drawing.percent());
  }

  /** As the page's script reads it. */
  public record Progress(boolean running, int percent) {}

  /** The trial behind a quantile of what is used up to the end of a week. */
  @GetMapping("/ahead/{itemId:[0-9]{1,18}}/trial")
  String trial(
      @PathVariable ItemId itemId,
      @RequestParam Optional<LocalDate> week,
      @RequestParam(defaultValue = "90") String percent,
      Model model) {
    IsoWeek asked = IsoWeek.of(week.orElse(clock.today()));
    Optional<Integer> share = new Typed().wholeBetween("percent", "The share", percent, 1, 100);
    model.addAttribute(
        "view",
        desk.trial(itemId, asked, share.orElse(100) / 100.0)
            .filter(of -> share.isPresent())
            .map(of -> wording().trial(of, asked, share.orElseThrow()))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    return "ahead/trial";
  }

  @GetMapping("/ahead/{itemId:[0-9]{1,18}}")
  String item(@PathVariable ItemId itemId, @RequestParam Optional<LocalDate> week, Model model) {
    model.addAttribute(
        "view",
        desk.item(itemId)
            .map(of -> wording().item(of, buy.of(itemId), week.map(IsoWeek::of)))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    return "ahead/item";
  }
}
