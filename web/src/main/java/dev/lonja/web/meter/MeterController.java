package dev.lonja.web.meter;

import dev.lonja.core.meter.MeterId;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page on which meters are read one after the other. */
@Controller
class MeterController {

  private final MeterDesk desk;
  private final FeedDesk feed;

  MeterController(MeterDesk desk, FeedDesk feed) {
    this.desk = desk;
    this.feed = feed;
  }

  @GetMapping("/fleet/meters")
  String meters(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @PostMapping("/fleet/meters")
  String enter(
      Sent sent,
      @RequestParam String day,
      @RequestParam(defaultValue = "false") boolean keepGood,
      @RequestParam Map<String, String> typed,
      Model model) {
    Map<MeterId, String> values = MeterEntry.fields(typed);
    return next(desk.enter(sent, day, values, keepGood), typed, model);
  }

  @PostMapping("/fleet/meters/paste")
  String paste(
      Sent sent,
      @RequestParam String table,
      @RequestParam(defaultValue = "false") boolean keepGood,
      @RequestParam Map<String, String> typed,
      Model model) {
    return next(desk.paste(sent, table, keepGood), typed, model);
  }

  @PostMapping("/fleet/meters/feed")
  String feed(Sent sent, Model model) {
    return next(feed.takeIn(sent), Map.of(), model);
  }

  private String next(Outcome outcome, Map<String, String> typed, Model model) {
    return outcome.next(problems -> page(typed, problems, model));
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", desk.view());
    model.addAttribute("reported", feed.waiting());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "meters";
  }
}
