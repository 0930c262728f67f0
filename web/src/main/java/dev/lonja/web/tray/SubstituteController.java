package dev.lonja.web.tray;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.text.Lengths;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.SubstituteDesk;
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

  @GetMapping(PATH)
  String choose(@PathVariable TrayId id, @PathVariable long lineId, Model model) {
    return page(id, lineId, "", List.of(), model);
  }

  @PostMapping(PATH)
  String lay(
      @PathVariable TrayId id,
      @PathVariable long lineId,
      Sent sent,
      @RequestParam ItemId itemId,
      @RequestParam(defaultValue = "") String reason,
      Model model) {
    desk.admit();
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
                    .or(problems -> page(id, lineId, reason, problems, model)))
        .orElseGet(() -> page(id, lineId, reason, typed.problems(), model));
  }

  private SubstituteDesk.LineFile line(TrayId id, long lineId) {
    return desk.line(id, lineId)
        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  private String page(TrayId id, long lineId, String reason, List<Problem> problems, Model model) {
    model.addAttribute("view", SubstituteView.of(line(id, lineId), clock.today()));
    model.addAttribute("reason", reason);
    model.addAttribute("problems", problems);
    return "tray/instead";
  }
}
