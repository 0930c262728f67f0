package dev.lonja.web.unit;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.meter.ReadingRefusal;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.service.WorkDesk;
import dev.lonja.desk.service.WorkRefusal;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.meter.ReadingWording;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
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

/** The page on which work without a tray is noted: done elsewhere, or before Lonja was there. */
@Controller
@RequestMapping("/fleet/{code}/work")
class WorkController {

  private static final RefusalWording REFUSED =
      RefusalWording.of(
              WorkRefusal.class,
              Cases.<WorkRefusal, Problem>over(WorkRefusal.class)
                  .when(
                      WorkRefusal.UnknownUnit.class,
                      none -> Problem.ofWhole("No unit " + none.code() + " is in service."))
                  .when(
                      WorkRefusal.NothingDone.class,
                      none -> new Problem(WorkForm.DONE, "Tick what was done."))
                  .when(
                      WorkRefusal.UnknownTask.class,
                      none -> Problem.ofWhole("The unit has not all of these tasks any more."))
                  .when(
                      WorkRefusal.OutsideService.class,
                      out ->
                          new Problem(
                              WorkForm.DAY,
                              "The day is "
                                  + out.day()
                                  + "; allowed is from the start of service, "
                                  + out.first()
                                  + ", to today, "
                                  + out.last()
                                  + "."))
                  .when(
                      WorkRefusal.NoReading.class,
                      none ->
                          new Problem(
                              MeterEntry.field(none.meterId()),
                              "\"" + none.task().name() + "\" counts by it; say what it showed."))
                  .when(
                      WorkRefusal.DoneThatDay.class,
                      twice ->
                          new Problem(
                              WorkForm.taskField(twice.task().id()),
                              "\""
                                  + twice.task().name()
                                  + "\" is on record for "
                                  + twice.day()
                                  + " already."))
                  .when(
                      WorkRefusal.OutWithTray.class,
                      out ->
                          new Problem(
                              WorkForm.taskField(out.task().id()),
                              "Tray "
                                  + out.tray()
                                  + " is out for \""
                                  + out.task().name()
                                  + "\"; take that back instead."))
                  .when(
                      WorkRefusal.NotOnFile.class,
                      none -> Problem.ofWhole("That record is not on file any more."))
                  .when(
                      WorkRefusal.OfTray.class,
                      of ->
                          Problem.ofWhole(
                              "That came with tray " + of.tray() + "; undo its taking back there."))
                  .all())
          .and(
              RefusalWording.of(
                  ReadingRefusal.class,
                  reading ->
                      new Problem(
                          MeterEntry.field(reading.meterId()), ReadingWording.why(reading))));

  private final WorkDesk desk;
  private final StoreClock clock;

  WorkController(WorkDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping
  String look(@PathVariable String code, Model model) {
    return page(code, Map.of(), List.of(), model);
  }

  @PostMapping
  String note(
      @PathVariable String code, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    Typed typed = new Typed();
    return next(
        new WorkForm(sheet(code)).read(fields, typed).map(work -> desk.note(sent, code, work)),
        code,
        fields,
        typed,
        model);
  }

  @PostMapping("/{record}/withdraw")
  String withdraw(
      @PathVariable String code,
      @PathVariable long record,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    return next(
        typed
            .text("reason", "The reason", fields.getOrDefault("reason", ""), Lengths.REASON)
            .map(reason -> desk.withdraw(sent, code, record, reason)),
        code,
        fields,
        typed,
        model);
  }

  private String next(
      Optional<Outcome> outcome,
      String code,
      Map<String, String> fields,
      Typed typed,
      Model model) {
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto("/fleet/" + code + "/work")
                    .worded(REFUSED)
                    .or(problems -> page(code, fields, problems, model)))
        .orElseGet(() -> page(code, fields, typed.problems(), model));
  }

  private WorkDesk.Sheet sheet(String code) {
    return desk.sheet(code).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  private String page(String code, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", new WorkForm(sheet(code)).view(clock.today()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "unit/work";
  }
}
