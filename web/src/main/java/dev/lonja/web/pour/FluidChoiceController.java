package dev.lonja.web.pour;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import java.util.List;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Packs, another product, and a signature for a tray's line of fluid. */
@Controller
class FluidChoiceController {

  private static final String PATH = "/trays/{id}/lines/{lineId}/fluid";

  private final FluidChoiceDesk desk;

  FluidChoiceController(FluidChoiceDesk desk) {
    this.desk = desk;
  }

  @GetMapping(PATH)
  String choose(@PathVariable TrayId id, @PathVariable long lineId, Model model) {
    return page(id, lineId, Map.of(), List.of(), model);
  }

  @PostMapping(PATH)
  String lay(
      @PathVariable TrayId id,
      @PathVariable long lineId,
      Sent sent,
      @RequestParam ItemId itemId,
      @RequestParam(defaultValue = "") String why,
      @RequestParam(defaultValue = "") String signedBy,
      @RequestParam Map<String, String> typed,
      Model model) {
    FluidChoiceDesk.Form form = new FluidChoiceDesk.Form(itemId, why, signedBy);
    return desk.lay(sent, id, lineId, form)
        .next(problems -> page(id, lineId, typed, problems, model));
  }

  @PostMapping(PATH + "/packs")
  String packs(@PathVariable TrayId id, @PathVariable long lineId, Sent sent, Model model) {
    return desk.takePacks(sent, id, lineId)
        .next(problems -> page(id, lineId, Map.of(), problems, model));
  }

  private String page(
      TrayId id, long lineId, Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute(
        "view",
        desk.view(id, lineId).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "fluid-line";
  }
}
