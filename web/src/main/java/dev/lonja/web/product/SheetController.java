package dev.lonja.web.product;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fluid.SheetDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.fluid.DataSheetRepository;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.io.IOException;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
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

/** The data sheets of a product. */
@Controller
@RequestMapping("/oils/products/{id:[0-9]+}/sheets")
class SheetController {

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          SheetDesk.Refused.class,
          Cases.<SheetDesk.Refused, Problem>over(SheetDesk.Refused.class)
              .when(
                  SheetDesk.NoDocument.class,
                  none ->
                      new Problem(
                          "file",
                          "That file is no PDF of 1 to "
                              + Limits.RECEIPT_PAGES
                              + " pages without password, forms or other files in it."))
              .when(
                  SheetDesk.TooLarge.class,
                  large ->
                      new Problem(
                          "file",
                          "The file has "
                              + large.bytes() / 1024
                              + " kB; allowed is up to "
                              + large.most() / 1024
                              + " kB."))
              .when(
                  SheetDesk.DatedLater.class,
                  later ->
                      new Problem(
                          "dated",
                          "The day on the sheet is "
                              + later.on()
                              + "; allowed is up to today, "
                              + later.today()
                              + "."))
              .when(
                  SheetDesk.NotThere.class,
                  none -> Problem.ofWhole("That sheet is not on file any more."))
              .all());

  private final SheetDesk desk;
  private final StoreClock clock;

  SheetController(SheetDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping
  String look(@PathVariable ProductId id, Model model) {
    return page(id, Map.of(), List.of(), model);
  }

  @GetMapping("/{sheet:[0-9]+}.pdf")
  ResponseEntity<byte[]> content(@PathVariable ProductId id, @PathVariable long sheet) {
    byte[] pages =
        desk.content(id, sheet)
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    return ResponseEntity.ok()
        .contentType(MediaType.APPLICATION_PDF)
        .header(
            HttpHeaders.CONTENT_DISPOSITION,
            ContentDisposition.attachment()
                .filename("data-sheet-" + id + "-" + sheet + ".pdf")
                .build()
                .toString())
        .body(pages);
  }

  @PostMapping
  String keep(
      @PathVariable ProductId id,
      Sent sent,
      @RequestParam Map<String, String> fields,
      @RequestParam("file") MultipartFile file,
      Model model)
      throws IOException {
    desk.admit();
    Typed typed = new Typed();
    Optional<DataSheetRepository.Kind> kind =
        Arrays.stream(DataSheetRepository.Kind.values())
            .filter(k -> k.name().equals(fields.get("kind")))
            .findFirst();
    if (kind.isEmpty()) {
      typed.refuse("kind", "Choose which sheet it is.");
    }
    Optional<LocalDate> dated = typed.day("dated", fields.getOrDefault("dated", ""));
    if (file.isEmpty()) {
      typed.refuse("file", "Choose the document.");
    }
    byte[] bytes = file.getBytes();
    return next(
        typed
            .all(() -> new SheetDesk.Brought(kind.orElseThrow(), dated.orElseThrow(), bytes))
            .map(brought -> desk.keep(sent, id, brought)),
        id,
        fields,
        typed,
        model);
  }

  @PostMapping("/{sheet:[0-9]+}/remove")
  String remove(@PathVariable ProductId id, @PathVariable long sheet, Sent sent, Model model) {
    desk.admit();
    return next(Optional.of(desk.remove(sent, id, sheet)), id, Map.of(), new Typed(), model);
  }

  private String next(
      Optional<Outcome> outcome,
      ProductId id,
      Map<String, String> fields,
      Typed typed,
      Model model) {
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto("/oils/products/" + id + "/sheets")
                    .worded(REFUSED)
                    .or(problems -> page(id, fields, problems, model)))
        .orElseGet(() -> page(id, fields, typed.problems(), model));
  }

  private String page(
      ProductId id, Map<String, String> typed, List<Problem> problems, Model model) {
    String name =
        desk.name(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));

    model.addAttribute(
        "view",
        new SheetView(
            id,
            name,
            Arrays.stream(DataSheetRepository.Kind.values())
                .map(kind -> new SheetView.Choice(kind.name(), kind.words()))
                .toList(),
            rows(desk.of(id), clock.today())));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "product/sheets";
  }

  /** The first of each kind is the one that holds. */
  private static List<SheetView.Row> rows(List<DataSheetRepository.Sheet> sheets, LocalDate today) {
    return sheets.stream()
        .map(
            sheet ->
                new SheetView.Row(
                    sheet.id(),
                    sheet.kind().words(),
                    Words.day(sheet.datedOn(), today),
                    sheets.stream()
                        .filter(other -> other.kind() == sheet.kind())
                        .findFirst()
                        .filter(sheet::equals)
                        .isPresent(),
                    sheet.actor()))
        .toList();
  }
}
