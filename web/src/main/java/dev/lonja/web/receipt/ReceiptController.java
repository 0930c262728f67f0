package dev.lonja.web.receipt;

import dev.lonja.core.service.ReceiptId;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.receipt.ReceiptDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.service.WorkDesk;
import dev.lonja.store.service.ReceiptRepository;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.io.IOException;
import java.time.LocalDate;
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
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/** The receipts of a machine. */
@Controller
@RequestMapping("/fleet/{code}/work/receipts")
class ReceiptController {

  private final ReceiptDesk desk;
  private final WorkDesk work;
  private final StoreClock clock;

  ReceiptController(ReceiptDesk desk, WorkDesk work, StoreClock clock) {
    this.desk = desk;
    this.work = work;
    this.clock = clock;
  }

  @GetMapping
  String look(@PathVariable String code, Model model) {
    return page(code, Map.of(), List.of(), model);
  }

  @GetMapping("/{id}")
  ResponseEntity<byte[]> content(@PathVariable String code, @PathVariable ReceiptId id) {
    ReceiptRepository.Content content =
        desk.content(code, id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    return PaperWording.answer(content, "receipt-" + code + "-" + id);
  }

  @PostMapping
  String keep(
      @PathVariable String code,
      Sent sent,
      @RequestParam Map<String, String> fields,
      @RequestParam("file") MultipartFile file,
      Model model)
      throws IOException {
    desk.admit();
    Typed typed = new Typed();
    Optional<LocalDate> day = typed.dayUpTo("day", fields.getOrDefault("day", ""), clock.today());
    Optional<String> note =
        typed.text("note", "What it is", fields.getOrDefault("note", ""), Lengths.REASON);
    if (file.isEmpty()) {
      typed.refuse("file", "Choose the photo or the document.");
    }
    byte[] bytes = file.getBytes();
    return next(
        typed
            .all(() -> new ReceiptDesk.Brought(day.orElseThrow(), note.orElseThrow(), bytes))
            .map(brought -> desk.keep(sent, code, brought)),
        code,
        fields,
        typed,
        model);
  }

  @PostMapping("/{id}/withdraw")
  String withdraw(
      @PathVariable String code,
      @PathVariable ReceiptId id,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    return next(
        typed
            .text("reason", "The reason", fields.getOrDefault("reason", ""), Lengths.REASON)
            .map(reason -> desk.withdraw(sent, code, id, reason)),
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
                    .onto("/fleet/" + code + "/work/receipts")
                    .worded(PaperWording.REFUSED)
                    .or(problems -> page(code, fields, problems, model)))
        .orElseGet(() -> page(code, fields, typed.problems(), model));
  }

  private String page(String code, Map<String, String> typed, List<Problem> problems, Model model) {
    if (work.sheet(code).isEmpty()) {
      throw new ResponseStatusException(HttpStatus.NOT_FOUND);
    }
    LocalDate today = clock.today();
    model.addAttribute(
        "view",
        new ReceiptView(
            code,
            today.toString(),
            desk.of(code).stream().map(receipt -> row(receipt, today)).toList()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "receipt/receipts";
  }

  private static ReceiptView.Row row(ReceiptRepository.Receipt receipt, LocalDate today) {
    return new ReceiptView.Row(
        receipt.id(),
        Words.day(receipt.doneOn(), today),
        receipt.note(),
        PaperWording.isPhoto(receipt.mediaType()),
        receipt.actor(),
        receipt.withdrawn().orElse(""));
  }
}
