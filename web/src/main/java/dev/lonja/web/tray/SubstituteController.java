package dev.lonja.web.tray;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
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

  private final SubstituteDesk desk;

  SubstituteController(SubstituteDesk desk) {
    this.desk = desk;
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
    return desk.lay(sent, id, lineId, itemId, reason)
        .next(problems -> page(id, lineId, reason, problems, model));
  }

  private String page(TrayId id, long lineId, String reason, List<Problem> problems, Model model) {
    model.addAttribute(
        "view",
        desk.view(id, lineId).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("reason", reason);
    model.addAttribute("problems", problems);
    return "instead";
  }
}
