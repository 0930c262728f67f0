package dev.lonja.web.meter;

import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.meter.FeedDesk;
import dev.lonja.desk.meter.MeterDesk;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The page on which meters are read one after the other. */
@Controller
class MeterController {

  private static final String PATH = "/fleet/meters";

  private static final RefusalWording REPORTED =
      RefusalWording.of(
          FeedDesk.NothingReported.class,
          nothing -> Problem.ofWhole("No machine has reported anything new."));

  private final MeterDesk desk;
  private final FeedDesk feed;
  private final StoreClock clock;

  MeterController(MeterDesk desk, FeedDesk feed, StoreClock clock) {
    this.desk = desk;
    this.feed = feed;
    this.clock = clock;
  }

  @GetMapping(PATH)
  String meters(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @PostMapping(PATH)
  String enter(
      Sent sent,
      @RequestParam String day,
      @RequestParam(defaultValue = "false") boolean keepGood,
      @RequestParam Map<String, String> fields,
      Model model) {
    Map<MeterId, String> values = new TreeMap<>(MeterEntry.fields(fields));
    TypedReadings typed = new TypedReadings(clock.today());
    for (MeterStanding meter : desk.meters()) {
      MeterId id = meter.file().meter().id();
      String value = values.getOrDefault(id, "");
      if (!value.isBlank()) {
        String label = meter.file().unit().code() + " " + meter.file().meter().name();
        typed.add(MeterEntry.field(id), label, meter, value, day);
      }
    }
    return note(sent, typed, keepGood, fields, model);
  }

  @PostMapping(PATH + "/paste")
  String paste(
      Sent sent,
      @RequestParam String table,
      @RequestParam(defaultValue = "false") boolean keepGood,
      @RequestParam Map<String, String> fields,
      Model model) {
    TypedReadings typed = PastedReadings.of(table, desk.meters(), clock.today());
    return note(sent, typed, keepGood, fields, model);
  }

  private String note(
      Sent sent, TypedReadings typed, boolean keepGood, Map<String, String> fields, Model model) {
    if (!typed.problems().isEmpty() && !keepGood) {
      List<Problem> all = new ArrayList<>(typed.problems());
      desk.check(typed.entries()).forEach(bad -> all.add(typed.problem(bad)));
      return page(fields, all, model);
    }
    RefusalWording words =
        RefusalWording.of(MeterDesk.Bad.class, typed::problem)
            .and(
                RefusalWording.of(
                    MeterDesk.NothingToNote.class,
                    nothing -> Problem.ofWhole("There is no reading to note.")));
    return Reply.to(desk.note(sent, typed.entries(), keepGood))
        .onto(noted -> PATH + "?noted=" + noted)
        .worded(words)
        .or(problems -> page(fields, problems, model));
  }

  @PostMapping(PATH + "/feed")
  String feed(Sent sent, Model model) {
    return Reply.to(feed.takeIn(sent))
        .onto(MeterController::taken)
        .worded(REPORTED)
        .or(problems -> page(Map.of(), problems, model));
  }

  private static String taken(String answer) {
    FeedDesk.Taken taken = FeedDesk.Taken.of(answer);
    return PATH
        + "?noted="
        + taken.taken()
        + "&flagged="
        + taken.flagged()
        + "&unknown="
        + taken.unknown();
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", MetersView.of(desk.meters(), clock.today()));
    model.addAttribute("reported", feed.waiting());
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "meter/meters";
  }
}
