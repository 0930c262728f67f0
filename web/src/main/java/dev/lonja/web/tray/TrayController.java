package dev.lonja.web.tray;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.item.ItemDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.ByHand;
import dev.lonja.desk.tray.LooseDesk;
import dev.lonja.desk.tray.TrayDesk;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.desk.tray.TraysDesk;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import jakarta.servlet.http.HttpSession;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The pages of Trays, and everything that is done to one while it is laid. */
@Controller
class TrayController {

  private static final int LONGEST_REASON = Lengths.REASON;

  private final TraysDesk trays;
  private final TrayDesk desk;
  private final LooseDesk loose;
  private final TrayReply replies;
  private final ItemDesk items;
  private final StoreClock clock;

  TrayController(
      TraysDesk trays,
      TrayDesk desk,
      LooseDesk loose,
      ItemDesk items,
      TrayReply replies,
      StoreClock clock) {
    this.items = items;
    this.trays = trays;
    this.desk = desk;
    this.loose = loose;
    this.replies = replies;
    this.clock = clock;
  }

  @GetMapping("/trays")
  String all(Authentication person, Model model) {
    model.addAttribute("view", TraysView.of(trays.rack(TrayReply.viewer(person)), clock.today()));
    return "tray/trays";
  }

  /** A browser that merely keeps the page for the aisle does not open the tray. */
  @GetMapping(path = "/trays/{id}", headers = "Lonja-Keep")
  String keep(@PathVariable TrayId id, Authentication person, HttpSession session, Model model) {
    return replies.look(new TrayReply.Page(id, person, session, Map.of()), List.of(), model);
  }

  @GetMapping(path = "/trays/{id}", headers = "!Lonja-Keep")
  String tray(@PathVariable TrayId id, Authentication person, HttpSession session, Model model) {
    return replies.page(new TrayReply.Page(id, person, session, Map.of()), List.of(), model);
  }

  @PostMapping("/trays/{id}/lines/{lineId}/{what}")
  String onLine(
      @PathVariable TrayId id,
      @PathVariable long lineId,
      @PathVariable String what,
      Sent sent,
      Authentication person,
      HttpSession session,
      Model model) {
    Outcome outcome =
        switch (what) {
          case "lay" -> desk.lay(sent, id, lineId);
          case "lay-used" -> desk.layUsed(sent, id, lineId);
          case "take-off" -> desk.takeOff(sent, id, lineId);
          case "loose" -> loose.takeLoose(sent, id, lineId);
          case "want-again" -> desk.wantAgain(sent, id, lineId);
          default -> throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        };
    return replies.next(outcome, new TrayReply.Page(id, person, session, Map.of()), model);
  }

  @PostMapping("/trays/{id}/lines/{lineId}/leave-out")
  String leaveOut(
      @PathVariable TrayId id,
      @PathVariable long lineId,
      Sent sent,
      @RequestParam(defaultValue = "") String why,
      @RequestParam Map<String, String> fields,
      Authentication person,
      HttpSession session,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    return replies.next(
        typed
            .text("why", "Why it is left out", why, LONGEST_REASON)
            .map(reason -> desk.leaveOut(sent, id, lineId, reason)),
        typed,
        new TrayReply.Page(id, person, session, fields),
        model);
  }

  @PostMapping("/trays/{id}/scan")
  String scan(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam String code,
      @RequestParam Map<String, String> fields,
      Authentication person,
      HttpSession session,
      Model model) {
    Outcome outcome = desk.scan(sent, id, code);
    TrayReply.Page page = new TrayReply.Page(id, person, session, fields);
    if (sent.ago().isPresent()) {
      // nobody waits to be asked something
      return replies.next(outcome, page, model);
    }
    Optional<TrayRefusal.IsBadge> badge = TrayReply.refusal(outcome, TrayRefusal.IsBadge.class);
    if (badge.isPresent() && replies.isReady(page)) {
      return replies.handTo(badge.get().name(), page, model);
    }
    // what may stand in on a line is offered at once
    return TrayReply.refusal(outcome, TrayRefusal.StandsIn.class)
        .map(offer -> "redirect:" + SubstituteController.offering(id, offer))
        .orElseGet(() -> replies.next(outcome, page, model));
  }

  @PostMapping("/trays/{id}/put-on")
  String putOn(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam ItemId itemId,
      @RequestParam String quantity,
      @RequestParam(defaultValue = "") String why,
      @RequestParam Optional<CompartmentId> into,
      @RequestParam Map<String, String> fields,
      Authentication person,
      HttpSession session,
      Model model) {
    Typed typed = new Typed();
    Optional<Outcome> outcome =
        typed
            .amount("quantity", "The quantity", quantity, items.measure(itemId))
            .map(
                amount -> desk.putOn(sent, id, itemId, amount, new ByHand.Said(why.strip(), into)));
    outcome
        .flatMap(put -> TrayReply.refusal(put, TrayRefusal.IntoWhich.class))
        .ifPresent(which -> model.addAttribute("into", which.compartments()));
    return replies.next(outcome, typed, new TrayReply.Page(id, person, session, fields), model);
  }

  /**
   * Puts a tray on another day.
   *
   * @param rack true if it was moved on the rack, to which it goes back
   */
  @PostMapping("/trays/{id}/day")
  String moveTo(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam(defaultValue = "") String day,
      @RequestParam(defaultValue = "false") boolean rack,
      @RequestParam Map<String, String> fields,
      Authentication person,
      HttpSession session,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<LocalDate> to = typed.day("day", day);
    TrayReply.Page page = new TrayReply.Page(id, person, session, fields);
    return to.map(
            chosen ->
                Reply.to(desk.moveTo(sent, id, chosen))
                    .onto(rack ? "/" : "/trays/" + id)
                    .worded(TrayRefusals.WORDS)
                    .or(problems -> replies.page(page, problems, model)))
        .orElseGet(() -> replies.page(page, typed.problems(), model));
  }

  @PostMapping("/trays/{id}/clear")
  String clear(
      @PathVariable TrayId id, Sent sent, Authentication person, HttpSession session, Model model) {
    return Reply.to(desk.clear(sent, id))
        .onto("/trays")
        .worded(TrayRefusals.WORDS)
        .or(
            problems ->
                replies.page(new TrayReply.Page(id, person, session, Map.of()), problems, model));
  }
}
