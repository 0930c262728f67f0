package dev.lonja.web.item;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.request.Outcome;
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

/** The page of a kit. */
@Controller
class KitController {

  private final KitDesk desk;
  private final KitLedgerDesk ledger;

  KitController(KitDesk desk, KitLedgerDesk ledger) {
    this.desk = desk;
    this.ledger = ledger;
  }

  @GetMapping("/items/{id}/kit")
  String kit(
      @PathVariable ItemId id, @RequestParam(defaultValue = "") String service, Model model) {
    return page(id, service, "", List.of(), model);
  }

  @PostMapping("/items/{id}/kit/{what}")
  String book(
      @PathVariable ItemId id,
      @PathVariable String what,
      Sent sent,
      @RequestParam String kits,
      Model model) {
    Outcome outcome =
        switch (what) {
          case "break" -> ledger.breakUp(sent, id, kits);
          case "make" -> ledger.make(sent, id, kits);
          default -> throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        };
    return outcome.next(problems -> page(id, "", kits, problems, model));
  }

  @PostMapping("/items/{id}/kit-on-tray")
  String putOn(@PathVariable ItemId id, Sent sent, @RequestParam TrayId trayId, Model model) {
    return desk.putOn(sent, id, trayId).next(problems -> page(id, "", "", problems, model));
  }

  private String page(ItemId id, String service, String kits, List<Problem> problems, Model model) {
    model.addAttribute(
        "view",
        desk.view(id, service)
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("kits", kits);
    model.addAttribute("problems", problems);
    return "kit";
  }
}
