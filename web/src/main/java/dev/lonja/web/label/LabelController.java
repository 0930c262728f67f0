package dev.lonja.web.label;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.label.LabelDesk;
import dev.lonja.desk.label.LabelRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.document.PdfRenderer;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import java.util.List;
import java.util.Map;
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

/** Labels, one a page: as PDF, or out of the label printer. */
@Controller
@RequestMapping("/labels")
class LabelController {

  private static final RefusalWording WORDING =
      RefusalWording.of(
          LabelRefusal.class,
          reason ->
              Problem.ofWhole(
                  switch (reason) {
                    case OUT_OF_LABELS ->
                        "The label printer has no labels left. Put some in and send it again.";
                    case NOT_CONNECTED -> "No label printer is connected; take the PDF.";
                  }));

  private final LabelDesk desk;
  private final PdfRenderer paper;
  private final StoreClock clock;

  LabelController(LabelDesk desk, PdfRenderer paper, StoreClock clock) {
    this.desk = desk;
    this.paper = paper;
    this.clock = clock;
  }

  @GetMapping("/{kind}/{name}.pdf")
  ResponseEntity<byte[]> thing(@PathVariable String kind, @PathVariable String name) {
    return PdfRenderer.answer("label.pdf", page(kind + "/" + name));
  }

  @GetMapping("/items/{id}/lots/{lotId}.pdf")
  ResponseEntity<byte[]> lot(@PathVariable String id, @PathVariable String lotId) {
    return PdfRenderer.answer("label.pdf", page("items/" + id + "/lots/" + lotId));
  }

  /** The sticker that says when a machine comes in next. */
  @GetMapping("/machines/{code}/next.pdf")
  ResponseEntity<byte[]> next(@PathVariable String code) {
    return PdfRenderer.answer("label.pdf", page("machines/" + code + "/next"));
  }

  /** What is written on the filters of a job. */
  @GetMapping("/trays/{id}/filters.pdf")
  ResponseEntity<byte[]> filters(@PathVariable String id) {
    return PdfRenderer.answer("label.pdf", page("trays/" + id + "/filters"));
  }

  /**
   * Prints a label and goes back to where it was asked for.
   *
   * @param label what it is of
   * @param from the page of Lonja that asked
   */
  @PostMapping("/print")
  String print(Sent sent, @RequestParam String label, @RequestParam String from, Model model) {
    String back = from.matches("/[a-z0-9A-Z/-]*") && !from.startsWith("//") ? from : "/";
    return Reply.to(desk.print(sent, label, page(label)))
        .onto(back)
        .worded(WORDING)
        .or(problems -> refused(label, back, problems, model));
  }

  private static String refused(String label, String from, List<Problem> problems, Model model) {
    model.addAttribute("label", label);
    model.addAttribute("from", from);
    model.addAttribute("problems", problems);
    return "label/refused";
  }

  private byte[] page(String label) {
    desk.admit();
    LabelView view =
        new LabelChoice(desk, clock.today())
            .of(label)
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    return paper.render("label", Map.of("label", view));
  }
}
