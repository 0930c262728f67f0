package dev.lonja.web.tray;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.item.ItemDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.takeback.TakeBackDesk;
import dev.lonja.desk.tray.HandOverDesk;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.web.book.StockForms;
import dev.lonja.web.request.Typed;
import dev.lonja.web.sign.PersonProblems;
import jakarta.servlet.http.HttpSession;
import java.util.Map;
import java.util.Optional;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** What happens to a tray once it is laid: it goes out, and it comes back. */
@Controller
@RequestMapping("/trays/{id}")
class HandOverController {

  private static final int LONGEST_REASON = Lengths.REASON;

  private final HandOverDesk handOvers;
  private final TakeBackDesk takeBacks;
  private final TrayReply replies;

  private final ItemDesk items;

  HandOverController(
      HandOverDesk handOvers, TakeBackDesk takeBacks, TrayReply replies, ItemDesk items) {
    this.items = items;
    this.handOvers = handOvers;
    this.takeBacks = takeBacks;
    this.replies = replies;
  }

  @PostMapping("/hand-over")
  String handOver(
      @PathVariable TrayId id,
      Sent sent,
      @ModelAttribute HandOverForm form,
      @RequestParam Map<String, String> fields,
      Authentication person,
      HttpSession session,
      Model model) {
    handOvers.admit();
    Typed typed = new Typed();
    return replies.next(
        form.send(handOvers, sent, id, fields, typed),
        typed,
        new TrayReply.Page(id, person, session, fields),
        model);
  }

  @PostMapping("/take-back")
  String takeBack(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam ItemId itemId,
      @RequestParam(defaultValue = "") String used,
      @RequestParam String back,
      @RequestParam Optional<Long> container,
      @RequestParam Map<String, String> fields,
      Authentication person,
      HttpSession session,
      Model model) {
    handOvers.admit();
    Typed typed = new Typed();
    Optional<Outcome> outcome =
        typed
            .amount("back", "The quantity", back, items.measure(itemId))
            .map(
                amount ->
                    handOvers.takeBack(sent, id, StockForms.key(itemId, used), amount, container));
    if (outcome.filter(Outcome.Done.class::isInstance).isEmpty()) {
      model.addAttribute("pours", itemId);
    }
    return replies.next(outcome, typed, new TrayReply.Page(id, person, session, fields), model);
  }

  @PostMapping("/scan-back")
  String scanBack(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam String code,
      @RequestParam Map<String, String> fields,
      Authentication person,
      HttpSession session,
      Model model) {
    Outcome outcome = handOvers.scanBack(sent, id, code);
    // of what is poured the line waits for how much it is
    TrayReply.refusal(outcome, TrayRefusal.HowMuch.class)
        .ifPresent(much -> model.addAttribute("pours", much.item().id()));
    return replies.next(outcome, new TrayReply.Page(id, person, session, fields), model);
  }

  /** The whole job comes back. */
  @PostMapping("/back")
  String back(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam Map<String, String> fields,
      Authentication person,
      HttpSession session,
      Model model) {
    handOvers.admit();
    Typed typed = new Typed();
    TrayReply.Page page = new TrayReply.Page(id, person, session, fields);
    return takeBacks
        .asked(id)
        .map(
            asked ->
                replies.next(
                    new TakeBackForm(asked)
                        .read(fields, typed)
                        .map(notes -> takeBacks.takeBack(sent, id, version, notes)),
                    typed,
                    page,
                    model))
        .orElseGet(
            () -> replies.next(Outcome.refused(new TrayRefusal.NotHandedOver()), page, model));
  }

  @PostMapping("/out-again")
  String outAgain(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam String reason,
      @RequestParam Map<String, String> fields,
      Authentication person,
      HttpSession session,
      Model model) {
    handOvers.admit();
    Typed typed = new Typed();
    return replies.next(
        typed
            .text("reason", "The reason", reason, LONGEST_REASON)
            .map(why -> takeBacks.undo(sent, id, version, why)),
        typed,
        new TrayReply.Page(id, person, session, fields),
        model);
  }

  @PostMapping("/undo")
  String undo(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam String reason,
      @RequestParam Map<String, String> fields,
      Authentication person,
      HttpSession session,
      Model model) {
    Typed typed = new Typed();
    return replies.next(
        typed
            .text("reason", "The reason", reason, LONGEST_REASON)
            .map(why -> handOvers.undo(sent, id, version, why, PersonProblems.signature(fields))),
        typed,
        new TrayReply.Page(id, person, session, fields),
        model);
  }
}
