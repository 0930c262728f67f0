package dev.lonja.web.work;

import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.service.RecordDesk;
import dev.lonja.desk.service.WorkDesk;
import dev.lonja.web.document.PdfPages;
import dev.lonja.web.document.PdfRenderer;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
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

  private final WorkDesk desk;
  private final StoreClock clock;
  private final RecordDesk records;
  private final PdfRenderer paper;

  WorkController(WorkDesk desk, RecordDesk records, PdfRenderer paper, StoreClock clock) {
    this.desk = desk;
    this.records = records;
    this.paper = paper;
    this.clock = clock;
  }

  @GetMapping
  String look(@PathVariable String code, Model model) {
    return page(code, Map.of(), List.of(), model);
  }

  /** All of it on paper: the warranty file. */
  @GetMapping("/record.pdf")
  ResponseEntity<byte[]> print(@PathVariable String code) {
    RecordDesk.ServiceRecord record =
        records.record(code).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    byte[] own =
        paper.render("service-record", Map.of("view", RecordView.of(record, clock.today())));
    return PdfRenderer.answer(
        "record-" + code + ".pdf",
        PdfPages.joined(
            own,
            record.receipts().stream()
                .filter(proof -> !proof.isPhoto())
                .map(proof -> proof.content().bytes())
                .toList()));
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
                    .worded(WorkRefusals.WORDS)
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
    return "work/work";
  }
}
