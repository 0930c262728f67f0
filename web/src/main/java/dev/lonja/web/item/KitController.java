package dev.lonja.web.item;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.item.KitDesk;
import dev.lonja.desk.item.KitLedgerDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.book.LedgerWording;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import dev.lonja.web.tray.TrayRefusals;
import java.math.BigDecimal;
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

/** The page of a kit. */
@Controller
class KitController {

  private static final RefusalWording ON_TRAY =
      RefusalWording.of(
          KitDesk.Refused.class,
          Cases.<KitDesk.Refused, Problem>over(KitDesk.Refused.class)
              .when(
                  KitDesk.TrayClosed.class,
                  closed -> new Problem("trayId", "That tray is not open any more."))
              .when(
                  KitDesk.RangesChanged.class,
                  changed ->
                      Problem.ofWhole(
                          "Someone else changed this meanwhile. Nothing was changed; look at it"
                              + " again."))
              .when(
                  KitDesk.CoversNothing.class,
                  nothing ->
                      new Problem(
                          "trayId",
                          nothing.kit().number()
                              + " covers nothing of "
                              + nothing.tray().number()
                              + "."))
              .all());

  private static final RefusalWording BOOKED =
      LedgerWording.at("kits")
          .and(
              RefusalWording.of(
                  KitLedgerDesk.Refused.class,
                  Cases.<KitLedgerDesk.Refused, Problem>over(KitLedgerDesk.Refused.class)
                      .when(
                          KitLedgerDesk.NotStockedLoose.class,
                          loose ->
                              new Problem(
                                  "kits",
                                  loose.part().number()
                                      + " in it is not stocked loose; stock it first."))
                      .when(
                          KitLedgerDesk.Empty.class,
                          empty -> new Problem("kits", "Nothing is noted of what is in this kit."))
                      .all()));

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
    Typed typed = new Typed();
    return typed
        .wholeBetween("kits", "The number of kits", kits, 1, Limits.QUANTITY)
        .map(BigDecimal::valueOf)
        .map(amount -> book(sent, id, what, amount))
        .map(
            outcome ->
                Reply.to(outcome)
                    .onto("/items/" + id + "/kit")
                    .worded(BOOKED)
                    .or(problems -> page(id, "", kits, problems, model)))
        .orElseGet(() -> page(id, "", kits, typed.problems(), model));
  }

  private Outcome book(Sent sent, ItemId id, String what, BigDecimal kits) {
    return switch (what) {
      case "break" -> ledger.breakUp(sent, id, kits);
      case "make" -> ledger.make(sent, id, kits);
      default -> throw new ResponseStatusException(HttpStatus.NOT_FOUND);
    };
  }

  @PostMapping("/items/{id}/kit-on-tray")
  String putOn(
      @PathVariable ItemId id,
      Sent sent,
      @RequestParam TrayId trayId,
      @RequestParam(defaultValue = "") String why,
      Model model) {
    model.addAttribute("why", why);
    model.addAttribute("trayId", trayId);
    return Reply.to(desk.putOn(sent, id, trayId, why.strip()))
        .onto(tray -> "/trays/" + tray)
        .worded(ON_TRAY.and(TrayRefusals.WORDS))
        .or(problems -> page(id, "", "", problems, model));
  }

  @PostMapping("/items/{id}/kit-ranges")
  String ranges(
      @PathVariable ItemId id,
      Sent sent,
      @RequestParam(defaultValue = "") String seen,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    model.addAttribute("typed", fields);
    return new KitRangeForm(fields, typed)
        .read()
        .map(
            ranges ->
                Reply.to(desk.setRanges(sent, id, seen, ranges))
                    .onto("/items/" + id + "/kit")
                    .worded(ON_TRAY)
                    .or(problems -> page(id, "", "", problems, model)))
        .orElseGet(() -> page(id, "", "", typed.problems(), model));
  }

  private String page(ItemId id, String service, String kits, List<Problem> problems, Model model) {
    model.addAttribute(
        "view",
        desk.file(id, service)
            .map(file -> KitView.of(file, service))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("kits", kits);
    model.addAttribute("problems", problems);
    return "item/kit";
  }
}
