package dev.lonja.web.crossref;

import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.crossref.CompareDesk;
import dev.lonja.desk.crossref.FitDesk;
import dev.lonja.desk.crossref.MapDesk;
import dev.lonja.web.document.PdfRenderer;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The pages that look at parts and change nothing. */
@Controller
class CrossReferenceController {

  private final FitDesk fits;
  private final MapDesk maps;
  private final MeasurePage measures;
  private final CompareDesk comparisons;
  private final PdfRenderer paper;
  private final StoreClock clock;

  CrossReferenceController(
      FitDesk fits,
      MapDesk maps,
      MeasurePage measures,
      CompareDesk comparisons,
      PdfRenderer paper,
      StoreClock clock) {
    this.fits = fits;
    this.maps = maps;
    this.measures = measures;
    this.comparisons = comparisons;
    this.paper = paper;
    this.clock = clock;
  }

  @GetMapping("/fleet/{code}/fits/{positionId}")
  String fits(@PathVariable String code, @PathVariable PositionId positionId, Model model) {
    model.addAttribute("view", FitView.of(known(fits.fits(code, positionId)), clock.today()));
    return "crossref/fits";
  }

  @GetMapping("/parts/{id}/map")
  String map(@PathVariable PartId id, Model model) {
    model.addAttribute("view", MapView.of(known(maps.map(id)), clock.today()));
    return "crossref/map";
  }

  @GetMapping("/find/measure")
  String measure(
      @RequestParam(defaultValue = "washer") String what,
      @RequestParam Map<String, String> typed,
      Model model) {
    model.addAttribute("view", measures.measure(what, typed));
    return "crossref/measure";
  }

  @GetMapping("/find/compare")
  String compare(
      @RequestParam PartId asked,
      @RequestParam PartId offered,
      @RequestParam(defaultValue = "") String unit,
      @RequestParam Optional<PositionId> position,
      Model model) {
    model.addAttribute(
        "view", CompareView.of(known(comparisons.compare(asked, offered, unit, position))));
    return "crossref/compare";
  }

  @GetMapping("/find/compare.pdf")
  ResponseEntity<byte[]> onPaper(
      @RequestParam PartId asked,
      @RequestParam PartId offered,
      @RequestParam(defaultValue = "") String unit,
      @RequestParam Optional<PositionId> position) {
    return paper.answer(
        "scale-sheet",
        "to-scale.pdf",
        CompareView.onPaper(known(comparisons.compare(asked, offered, unit, position))));
  }

  private static <T> T known(Optional<T> view) {
    return view.orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }
}
