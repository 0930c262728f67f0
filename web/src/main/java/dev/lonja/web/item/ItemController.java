package dev.lonja.web.item;

import dev.lonja.web.ledger.StockDesk;
import dev.lonja.web.request.Outcome;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Sent;
import java.security.Principal;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The item page and its forms. What was typed stays when a form is refused. */
@Controller
class ItemController {

  private final ItemDesk desk;
  private final StockDesk stock;

  ItemController(ItemDesk desk, StockDesk stock) {
    this.desk = desk;
    this.stock = stock;
  }

  @GetMapping("/items/{id}")
  String item(@PathVariable long id, Model model) {
    return page(id, "", Map.of(), List.of(), model);
  }

  @PostMapping("/items/{id}/issue")
  String issue(
      @PathVariable long id,
      @RequestParam String requestKey,
      @ModelAttribute StockDesk.IssueForm form,
      @RequestParam Map<String, String> typed,
      Principal person,
      Model model) {
    Outcome outcome = stock.issue(Sent.by(person, requestKey, "issue", id, form), id, form);
    return next(outcome, id, "issue", typed, model);
  }

  @PostMapping("/items/{id}/receive")
  String receive(
      @PathVariable long id,
      @RequestParam String requestKey,
      @ModelAttribute StockDesk.ReceiptForm form,
      @RequestParam Map<String, String> typed,
      Principal person,
      Model model) {
    Outcome outcome = stock.receive(Sent.by(person, requestKey, "receive", id, form), id, form);
    return next(outcome, id, "receive", typed, model);
  }

  @PostMapping("/items/{id}/lot")
  String onLot(
      @PathVariable long id,
      @RequestParam String requestKey,
      @ModelAttribute StockDesk.LotForm form,
      @RequestParam Map<String, String> typed,
      Principal person,
      Model model) {
    Outcome outcome = stock.onLot(Sent.by(person, requestKey, "lot", id, form), id, form);
    return next(outcome, id, "lot", typed, model);
  }

  @PostMapping("/items/{id}/movements/{movementId}/correct")
  String correct(
      @PathVariable long id,
      @PathVariable long movementId,
      @RequestParam String requestKey,
      @RequestParam String reason,
      @RequestParam Map<String, String> typed,
      Principal person,
      Model model) {
    Sent sent = Sent.by(person, requestKey, "correct", movementId, reason);
    return next(stock.correct(sent, movementId, reason), id, "correct", typed, model);
  }

  @PostMapping("/items/{id}/edit")
  String edit(
      @PathVariable long id,
      @RequestParam String requestKey,
      @ModelAttribute ItemDesk.Edit edit,
      @RequestParam Map<String, String> typed,
      Principal person,
      Model model) {
    Outcome outcome = desk.edit(Sent.by(person, requestKey, "edit", id, edit), id, edit);
    boolean stale =
        outcome instanceof Outcome.Refused refused
            && refused.problems().stream().anyMatch(p -> p.field().equals("version"));
    if (stale) {
      model.addAttribute("mine", edit);
      model.addAttribute("theirs", desk.view(id).orElseThrow());
      return "item-conflict";
    }
    return next(outcome, id, "edit", typed, model);
  }

  private String next(
      Outcome outcome, long id, String form, Map<String, String> typed, Model model) {
    if (outcome instanceof Outcome.Done) {
      return "redirect:/items/" + id;
    }
    return page(id, form, typed, ((Outcome.Refused) outcome).problems(), model);
  }

  private String page(
      long id, String form, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute(
        "view", desk.view(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("form", form);
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "item";
  }
}
