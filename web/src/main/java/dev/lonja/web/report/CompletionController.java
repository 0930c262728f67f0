package dev.lonja.web.report;

import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.request.Viewer;
import dev.lonja.desk.service.RecordDesk;
import dev.lonja.desk.tray.TrayFile;
import dev.lonja.desk.tray.TraysDesk;
import dev.lonja.web.document.PdfRenderer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.server.ResponseStatusException;

/** The completion report of a job that is back. */
@Controller
@RequestMapping("/trays/{id}")
class CompletionController {

  private final RecordDesk records;
  private final TraysDesk trays;
  private final PdfRenderer paper;

  CompletionController(RecordDesk records, TraysDesk trays, PdfRenderer paper) {
    this.records = records;
    this.trays = trays;
    this.paper = paper;
  }

  @GetMapping("/report.pdf")
  ResponseEntity<byte[]> onPaper(@PathVariable TrayId id, Authentication person) {
    CompletionView report = report(id, person);
    return paper.answer(
        "completion-report", "report-" + report.tray() + ".pdf", Map.of("report", report));
  }

  @GetMapping("/report.txt")
  ResponseEntity<byte[]> asText(@PathVariable TrayId id, Authentication person) {
    String text = String.join("\n", report(id, person).lines()) + "\n";
    return ResponseEntity.ok()
        .contentType(new MediaType("text", "plain", StandardCharsets.UTF_8))
        .body(text.getBytes(StandardCharsets.UTF_8));
  }

  @GetMapping("/report.json")
  ResponseEntity<CompletionView> asJson(@PathVariable TrayId id, Authentication person) {
    return ResponseEntity.ok().contentType(MediaType.APPLICATION_JSON).body(report(id, person));
  }

  private CompletionView report(TrayId id, Authentication person) {
    List<TrayFile.Came> came =
        trays
            .tray(id, new TraysDesk.Viewer(person.getName(), Viewer.seesStore()))
            .map(TrayFile::came)
            .orElse(List.of());
    return records
        .job(id)
        .map(job -> CompletionView.of(job, came))
        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }
}
