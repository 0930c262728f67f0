package dev.lonja.web.item;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.item.ItemId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.item.ItemDesk;
import dev.lonja.desk.item.ItemFile;
import dev.lonja.desk.item.PictureDesk;
import dev.lonja.desk.ledger.ConditionDesk;
import dev.lonja.desk.ledger.StockDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.item.KeepingRepository.Picture;
import dev.lonja.web.book.ConditionForms;
import dev.lonja.web.book.StockForms;
import dev.lonja.web.crossref.PartFactsWording;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import dev.lonja.web.sign.PersonProblems;
import java.io.IOException;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.server.ResponseStatusException;

/** The item page and its forms. What was typed stays when a form is refused. */
@Controller
class ItemController {

  private static final RefusalWording PICTURES =
      RefusalWording.of(
          PictureDesk.Refused.class,
          Cases.<PictureDesk.Refused, Problem>over(PictureDesk.Refused.class)
              .when(
                  PictureDesk.NoPicture.class,
                  none ->
                      new Problem("picture", "That file cannot be read as a PNG or JPEG picture."))
              .when(
                  PictureDesk.TooLarge.class,
                  large ->
                      new Problem(
                          "picture",
                          "The picture has "
                              + large.bytes() / 1024
                              + " KiB; allowed are "
                              + PictureDesk.MOST_BYTES / 1024
                              + "."))
              .all());

  private final ItemDesk desk;
  private final StockDesk stock;
  private final ConditionDesk conditions;
  private final PictureDesk pictures;
  private final ItemWording wording;
  private final StoreClock clock;

  ItemController(
      ItemDesk desk,
      StockDesk stock,
      ConditionDesk conditions,
      PictureDesk pictures,
      ItemWording wording,
      StoreClock clock) {
    this.desk = desk;
    this.stock = stock;
    this.conditions = conditions;
    this.pictures = pictures;
    this.wording = wording;
    this.clock = clock;
  }

  /** A form of the page that was sent: what became of it, or what could not be read. */
  private record SentForm(
      ItemId id, String name, String binField, Map<String, String> fields, Typed typed) {}

  @GetMapping("/items/{id}")
  String item(@PathVariable ItemId id, Model model) {
    return page(id, "", Map.of(), List.of(), model);
  }

  @PostMapping("/items/{id}/issue")
  String issue(
      @PathVariable ItemId id,
      Sent sent,
      @ModelAttribute StockForms.Issue form,
      @RequestParam Map<String, String> fields,
      Model model) {
    stock.admit();
    SentForm what = new SentForm(id, "issue", "bin", fields, new Typed());
    return next(form.send(stock, sent, id, desk.measure(id), what.typed()), what, model);
  }

  @PostMapping("/items/{id}/receive")
  String receive(
      @PathVariable ItemId id,
      Sent sent,
      @ModelAttribute StockForms.Receipt form,
      @RequestParam Map<String, String> fields,
      Model model) {
    stock.admit();
    SentForm what = new SentForm(id, "receive", "bin", fields, new Typed());
    return next(form.send(stock, sent, id, desk.measure(id), what.typed()), what, model);
  }

  @PostMapping("/items/{id}/lot")
  String onLot(
      @PathVariable ItemId id,
      Sent sent,
      @ModelAttribute StockForms.OnLot form,
      @RequestParam Map<String, String> fields,
      Model model) {
    stock.admit();
    SentForm what = new SentForm(id, "lot", "toBin", fields, new Typed());
    return next(form.send(stock, sent, id, desk.measure(id), what.typed()), what, model);
  }

  @PostMapping("/items/{id}/keep")
  String keep(
      @PathVariable ItemId id,
      Sent sent,
      @ModelAttribute ConditionForms.Kept form,
      @RequestParam Map<String, String> fields,
      Model model) {
    conditions.admit();
    SentForm what = new SentForm(id, "keep", "bin", fields, new Typed());
    return next(form.send(conditions, sent, id, what.typed()), what, model);
  }

  @PostMapping("/items/{id}/condition")
  String condition(
      @PathVariable ItemId id,
      Sent sent,
      @ModelAttribute ConditionForms.Change form,
      @RequestParam Map<String, String> fields,
      Model model) {
    conditions.admit();
    SentForm what = new SentForm(id, "condition", "bin", fields, new Typed());
    return next(form.send(conditions, sent, id, what.typed()), what, model);
  }

  @PostMapping("/items/{id}/movements/{movementId}/correct")
  String correct(
      @PathVariable ItemId id,
      @PathVariable long movementId,
      Sent sent,
      @RequestParam String reason,
      @RequestParam Map<String, String> fields,
      Model model) {
    stock.admit();
    SentForm what = new SentForm(id, "correct", "bin", fields, new Typed());
    return next(
        StockForms.why(what.typed(), reason)
            .map(why -> stock.correct(sent, id, movementId, why, PersonProblems.signature(fields))),
        what,
        model);
  }

  private String next(Optional<Outcome> outcome, SentForm what, Model model) {
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto("/items/" + what.id())
                    .worded(StockForms.refusals(what.binField()))
                    .or(problems -> page(what.id(), what.name(), what.fields(), problems, model)))
        .orElseGet(
            () -> page(what.id(), what.name(), what.fields(), what.typed().problems(), model));
  }

  @PostMapping("/items/{id}/picture")
  String picture(
      @PathVariable ItemId id, Sent sent, @RequestParam("picture") MultipartFile file, Model model)
      throws IOException {
    return Reply.to(pictures.put(sent, id, file.getBytes()))
        .onto("/items/" + id)
        .worded(PICTURES)
        .or(problems -> page(id, "picture", Map.of(), problems, model));
  }

  @GetMapping("/items/{id}/picture")
  ResponseEntity<byte[]> picture(@PathVariable ItemId id) {
    Picture picture =
        pictures.of(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(picture.mediaType()))
        .body(picture.content());
  }

  private String page(
      ItemId id, String form, Map<String, String> typed, List<Problem> problems, Model model) {
    ItemFile file =
        desk.file(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    model.addAttribute("view", wording.view(file));
    model.addAttribute("facts", PartFactsWording.of(file.part(), clock.today()));
    model.addAttribute("form", form);
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "item/item";
  }
}
