package dev.lonja.web.tray;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.SubstituteDesk;
import dev.lonja.desk.tray.TrayRefusal;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.List;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Something else on a tray's line. */
@Controller
class SubstituteController {

  private static final String PATH = "/trays/{id}/lines/{lineId}/instead";
  private static final int LONGEST_REASON = Lengths.REASON;

  private final SubstituteDesk desk;
  private final StoreClock clock;

  SubstituteController(SubstituteDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  /** Where an item that was scanned is offered for a line. */
  static String offering(TrayId id, TrayRefusal.StandsIn offer) {
    return "/trays/" + id + "/lines/" + offer.line().id() + "/instead?offered=" + offer.item().id();
  }

  @GetMapping(PATH)
  String choose(
      @PathVariable TrayId id,
      @PathVariable long lineId,
      @RequestParam Optional<ItemId> offered,
      Model model) {
    return page(id, lineId, new Typing("", offered), List.of(), model);
  }

  /**
   * What was typed.
   *
   * @param offered what was scanned, if this page was reached by a scan; nothing else is offered
   */
  private record Typing(String reason, Optional<ItemId> offered) {}

  @PostMapping(PATH)
  String lay(
      @PathVariable TrayId id,
      @PathVariable long lineId,
      Sent sent,
      @RequestParam ItemId itemId,
      @RequestParam(defaultValue = "") String reason,
      @RequestParam Optional<ItemId> offered,
      Model model) {
    desk.admit();
    Typing typing = new Typing(reason, offered);
    boolean back = line(id, lineId).asked().id().equals(itemId);
    Typed typed = new Typed();
    Optional<Outcome> outcome =
        back
            ? Optional.of(desk.putBack(sent, id, lineId))
            : typed
                .text("reason", "The reason", reason, LONGEST_REASON)
                .map(why -> desk.lay(sent, id, lineId, itemId, why));
    return outcome
        .map(
            done ->
                Reply.to(done)
                    .onto("/trays/" + id)
                    .worded(TrayRefusals.WORDS)
                    .or(problems -> page(id, lineId, typing, problems, model)))
        .orElseGet(() -> page(id, lineId, typing, typed.problems(), model));
  }

  private SubstituteDesk.LineFile line(TrayId id, long lineId) {
    return desk.line(id, lineId)
        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  private String page(TrayId id, long lineId, Typing typing, List<Problem> problems, Model model) {
    model.addAttribute(
        "view", SubstituteView.of(line(id, lineId), typing.offered(), clock.today()));
    model.addAttribute("reason", typing.reason());
    model.addAttribute("problems", problems);
    return "tray/instead";
  }
}
