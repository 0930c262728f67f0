package dev.lonja.web.item;

import dev.lonja.core.item.ItemId;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.item.KeepingRepository;
import dev.lonja.web.book.StockDesk;
import java.io.IOException;
import java.util.List;
import java.util.Map;
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

  private final ItemDesk desk;
  private final StockDesk stock;
  private final PictureDesk pictures;

  ItemController(ItemDesk desk, StockDesk stock, PictureDesk pictures) {
    this.desk = desk;
    this.stock = stock;
    this.pictures = pictures;
  }

  @GetMapping("/items/{id}")
  String item(@PathVariable ItemId id, Model model) {
    return page(id, "", Map.of(), List.of(), model);
  }

  @PostMapping("/items/{id}/issue")
  String issue(
      @PathVariable ItemId id,
      Sent sent,
      @ModelAttribute StockDesk.IssueForm form,
      @RequestParam Map<String, String> typed,
      Model model) {
    Outcome outcome = stock.issue(sent, id, form);
    return next(outcome, id, "issue", typed, model);
  }

  @PostMapping("/items/{id}/receive")
  String receive(
      @PathVariable ItemId id,
      Sent sent,
      @ModelAttribute StockDesk.ReceiptForm form,
      @RequestParam Map<String, String> typed,
      Model model) {
    Outcome outcome = stock.receive(sent, id, form);
    return next(outcome, id, "receive", typed, model);
  }

  @PostMapping("/items/{id}/lot")
  String onLot(
      @PathVariable ItemId id,
      Sent sent,
      @ModelAttribute StockDesk.LotForm form,
      @RequestParam Map<String, String> typed,
      Model model) {
    Outcome outcome = stock.onLot(sent, id, form);
    return next(outcome, id, "lot", typed, model);
  }

  @PostMapping("/items/{id}/movements/{movementId}/correct")
  String correct(
      @PathVariable ItemId id,
      @PathVariable long movementId,
      Sent sent,
      @RequestParam String reason,
      @RequestParam Map<String, String> typed,
      Model model) {
    return next(stock.correct(sent, id, movementId, reason), id, "correct", typed, model);
  }

  @PostMapping("/items/{id}/picture")
  String picture(
      @PathVariable ItemId id, Sent sent, @RequestParam("picture") MultipartFile file, Model model)
      throws IOException {
    byte[] content = file.getBytes();
    return next(pictures.put(sent, id, content), id, "picture", Map.of(), model);
  }

  @GetMapping("/items/{id}/picture")
  ResponseEntity<byte[]> picture(@PathVariable ItemId id) {
    KeepingRepository.Picture picture =
        pictures.of(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    return ResponseEntity.ok()
        .contentType(MediaType.parseMediaType(picture.mediaType()))
        .body(picture.content());
  }

  private String next(
      Outcome outcome, ItemId id, String form, Map<String, String> typed, Model model) {
    if (outcome instanceof Outcome.Done) {
      return "redirect:/items/" + id;
    }
    return page(id, form, typed, ((Outcome.Refused) outcome).problems(), model);
  }

  private String page(
      ItemId id, String form, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute(
        "view", desk.view(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("facts", desk.facts(id));
    model.addAttribute("form", form);
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "item";
  }
}
