package dev.lonja.web.tray;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.frame.OpenTrayChoice;
import dev.lonja.web.meter.MeterEntry;
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

/** The pages of Trays and everything that is done to one. */
@Controller
class TrayController {

  private final TrayPages pages;
  private final TrayDesk desk;
  private final HandOverDesk handOvers;
  private final FindingsDesk findings;

  TrayController(TrayPages pages, TrayDesk desk, HandOverDesk handOvers, FindingsDesk findings) {
    this.pages = pages;
    this.desk = desk;
    this.handOvers = handOvers;
    this.findings = findings;
  }

  @GetMapping("/trays")
  String all(Authentication person, Model model) {
    model.addAttribute("view", pages.all(viewer(person)));
    return "trays";
  }

  @GetMapping("/trays/{id}")
  String tray(@PathVariable TrayId id, Authentication person, HttpSession session, Model model) {
    return page(id, person, Map.of(), List.of(), session, model);
  }

  @PostMapping("/trays/start")
  String start(
      Sent sent, @RequestParam String unit, @RequestParam String day, Authentication person) {
    Optional<LocalDate> planned = new Typed().day("day", day);
    if (planned.isEmpty()) {
      throw new ResponseStatusException(HttpStatus.BAD_REQUEST);
    }
    Outcome outcome = desk.start(sent, unit, planned.get());
    return outcome instanceof Outcome.Done done
        ? "redirect:" + done.answer()
        : "redirect:/fleet/" + unit;
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
          case "take-off" -> desk.takeOff(sent, id, lineId);
          case "leave-out" -> desk.leaveOut(sent, id, lineId);
          default -> throw new ResponseStatusException(HttpStatus.NOT_FOUND);
        };
    return next(outcome, id, person, Map.of(), session, model);
  }

  @PostMapping("/trays/{id}/scan")
  String scan(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam String code,
      @RequestParam Map<String, String> typed,
      Authentication person,
      HttpSession session,
      Model model) {
    Outcome outcome = desk.scan(sent, id, code);
    return next(outcome, id, person, typed, session, model);
  }

  @PostMapping("/trays/{id}/put-on")
  String putOn(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam ItemId itemId,
      @RequestParam String quantity,
      @RequestParam Map<String, String> typed,
      Authentication person,
      HttpSession session,
      Model model) {
    return next(desk.putOn(sent, id, itemId, quantity), id, person, typed, session, model);
  }

  @PostMapping("/trays/{id}/hand-over")
  String handOver(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam String mechanic,
      @RequestParam Map<String, String> typed,
      Authentication person,
      HttpSession session,
      Model model) {
    HandOverDesk.Form form = new HandOverDesk.Form(version, mechanic, MeterEntry.fields(typed));
    return next(handOvers.handOver(sent, id, form), id, person, typed, session, model);
  }

  @PostMapping("/trays/{id}/take-back")
  String takeBack(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam ItemId itemId,
      @RequestParam String back,
      @RequestParam Map<String, String> typed,
      Authentication person,
      HttpSession session,
      Model model) {
    return next(handOvers.takeBack(sent, id, itemId, back), id, person, typed, session, model);
  }

  @PostMapping("/trays/{id}/findings")
  String note(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam Map<String, String> typed,
      Authentication person,
      HttpSession session,
      Model model) {
    return next(findings.note(sent, id, typed), id, person, typed, session, model);
  }

  @PostMapping("/trays/{id}/undo")
  String undo(
      @PathVariable TrayId id,
      Sent sent,
      @RequestParam long version,
      @RequestParam String reason,
      @RequestParam Map<String, String> typed,
      Authentication person,
      HttpSession session,
      Model model) {
    return next(handOvers.undo(sent, id, version, reason), id, person, typed, session, model);
  }

  @PostMapping("/trays/{id}/clear")
  String clear(
      @PathVariable TrayId id, Sent sent, Authentication person, HttpSession session, Model model) {
    Outcome outcome = desk.clear(sent, id);
    return next(outcome, id, person, Map.of(), session, model);
  }

  private String next(
      Outcome outcome,
      TrayId id,
      Authentication person,
      Map<String, String> typed,
      HttpSession session,
      Model model) {
    return outcome.next(problems -> page(id, person, typed, problems, session, model));
  }

  private String page(
      TrayId id,
      Authentication person,
      Map<String, String> typed,
      List<Problem> problems,
      HttpSession session,
      Model model) {
    TrayView view =
        pages
            .tray(id, viewer(person))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    if (view.open()) {
      OpenTrayChoice.choose(session, id);
    }
    model.addAttribute("view", view);
    model.addAttribute("findings", findings.view(id));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "tray";
  }

  private static TrayPages.Viewer viewer(Authentication person) {
    boolean workshop =
        person.getAuthorities().stream()
            .anyMatch(authority -> "ROLE_WORKSHOP".equals(authority.getAuthority()));
    return new TrayPages.Viewer(person.getName(), !workshop);
  }
}
