package dev.lonja.web.unit;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.meter.MeterId;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.document.PdfRenderer;
import dev.lonja.web.due.BurstDesk;
import dev.lonja.web.due.DueDesk;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.util.UriUtils;

/** The pages of Fleet. */
@Controller
class FleetController {

  private final FleetDesk desk;
  private final DeviationDesk deviations;
  private final DueDesk dues;
  private final BurstDesk bursts;
  private final PdfRenderer paper;

  FleetController(
      FleetDesk desk, DeviationDesk deviations, DueDesk dues, BurstDesk bursts, PdfRenderer paper) {
    this.desk = desk;
    this.deviations = deviations;
    this.dues = dues;
    this.bursts = bursts;
    this.paper = paper;
  }

  @GetMapping("/fleet")
  String all(Model model) {
    model.addAttribute("view", desk.all());
    return "fleet";
  }

  @GetMapping("/fleet/due")
  String due(
      @RequestParam(defaultValue = "") String unitClass,
      @RequestParam(defaultValue = "day") String sort,
      @RequestParam(defaultValue = "all") String show,
      @RequestParam(defaultValue = "1") int page,
      Model model) {
    model.addAttribute("view", dues.view(new DueDesk.Choice(unitClass, sort, show, page)));
    return "due";
  }

  @GetMapping("/fleet/{code}")
  String unit(@PathVariable String code, Model model) {
    return page(code, Optional.empty(), Optional.empty(), List.of(), model);
  }

  /** The machine on one page of paper. */
  @GetMapping("/fleet/{code}/sheet.pdf")
  ResponseEntity<byte[]> sheet(@PathVariable String code) {
    UnitView view =
        desk.unit(code).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    return paper.answer("machine-sheet", view.code() + ".pdf", Map.of("view", view));
  }

  @GetMapping("/fleet/burst")
  String burstOf(@RequestParam String unit) {
    String wanted = UriUtils.encode(unit.strip(), StandardCharsets.UTF_8);
    return desk.hasUnit(unit.strip())
        ? "redirect:/fleet/" + wanted + "/burst"
        : "redirect:/find?q=" + wanted;
  }

  @GetMapping("/fleet/{code}/burst")
  String burst(
      @PathVariable String code,
      @RequestParam(defaultValue = "") String meterId,
      @RequestParam(defaultValue = "") String first,
      @RequestParam(defaultValue = "") String last,
      @RequestParam(defaultValue = "") String perDay,
      Model model) {
    BurstDesk.Answer answer =
        bursts
            .answer(code, new BurstDesk.Form(meterId, first, last, perDay))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    model.addAttribute("view", answer.view());
    model.addAttribute("problems", answer.problems());
    return "burst";
  }

  @PostMapping("/fleet/{code}/deviations")
  String deviate(
      @PathVariable String code, Sent sent, @ModelAttribute DeviationDesk.Form form, Model model) {
    Outcome outcome = deviations.put(sent, code, form);
    return outcome instanceof Outcome.Refused refused
        ? page(code, Optional.empty(), Optional.of(form), refused.problems(), model)
        : "redirect:/fleet/" + code;
  }

  @PostMapping("/fleet/{code}/learned")
  String acceptLearned(
      @PathVariable String code,
      Sent sent,
      @RequestParam CompartmentId compartmentId,
      @RequestParam String condition,
      Model model) {
    Outcome outcome = deviations.acceptLearned(sent, code, compartmentId, condition);
    return outcome instanceof Outcome.Refused refused
        ? page(code, Optional.empty(), Optional.empty(), refused.problems(), model)
        : "redirect:/fleet/" + code;
  }

  @PostMapping("/fleet/{code}/deviations/{id}/remove")
  String followVariant(@PathVariable String code, @PathVariable long id, Sent sent, Model model) {
    Outcome outcome = deviations.remove(sent, code, id);
    return outcome instanceof Outcome.Refused refused
        ? page(code, Optional.empty(), Optional.empty(), refused.problems(), model)
        : "redirect:/fleet/" + code;
  }

  @PostMapping("/fleet/{code}/readings")
  String addReading(
      @PathVariable String code,
      Sent sent,
      @RequestParam MeterId meterId,
      @RequestParam String value,
      @RequestParam String day,
      @RequestParam(defaultValue = "false") boolean keepFlagged,
      Model model) {
    FleetDesk.ReadingForm form = new FleetDesk.ReadingForm(meterId, value, day, keepFlagged);
    Outcome outcome = desk.addReading(sent, code, form);
    return outcome.next(
        problems -> page(code, Optional.of(form), Optional.empty(), problems, model));
  }

  private String page(
      String code,
      Optional<FleetDesk.ReadingForm> typed,
      Optional<DeviationDesk.Form> deviation,
      List<Problem> problems,
      Model model) {
    Optional<UnitView.Retired> retired = desk.retired(code);
    if (retired.isPresent()) {
      model.addAttribute("view", retired.get());
      return "retired-unit";
    }
    model.addAttribute(
        "view",
        desk.unit(code).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("typed", typed.orElse(null));
    model.addAttribute("deviation", deviation.orElse(null));
    if (!model.containsAttribute("problems")) {
      model.addAttribute("problems", problems);
    }
    return "unit";
  }
}
