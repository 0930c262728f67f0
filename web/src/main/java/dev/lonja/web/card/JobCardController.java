package dev.lonja.web.card;

import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Viewer;
import dev.lonja.desk.tray.TraysDesk;
import dev.lonja.web.document.PdfRenderer;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.server.ResponseStatusException;

/** The job card of a tray: on the screen, on A4 and on A5. */
@Controller
@RequestMapping("/trays/{id}")
class JobCardController {

  private final TraysDesk trays;
  private final PdfRenderer paper;
  private final StoreClock clock;

  JobCardController(TraysDesk trays, PdfRenderer paper, StoreClock clock) {
    this.trays = trays;
    this.paper = paper;
    this.clock = clock;
  }

  @GetMapping("/card")
  String card(@PathVariable TrayId id, Authentication person, Model model) {
    model.addAttribute("card", view(id, person));
    return "card/card";
  }

  @GetMapping("/card.pdf")
  ResponseEntity<byte[]> onA4(@PathVariable TrayId id, Authentication person) {
    return print(view(id, person), "A4");
  }

  @GetMapping("/card-a5.pdf")
  ResponseEntity<byte[]> onA5(@PathVariable TrayId id, Authentication person) {
    return print(view(id, person), "A5");
  }

  private ResponseEntity<byte[]> print(JobCardView card, String size) {
    String name = "card-" + card.head().tray() + "-" + size + ".pdf";
    return paper.answerOnOnePage("job-card", name, Map.of("card", card, "size", size));
  }

  private JobCardView view(TrayId id, Authentication person) {
    return trays
        .tray(id, new TraysDesk.Viewer(person.getName(), Viewer.seesStore()))
        .map(file -> JobCard.view(file, clock.today()))
        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }
}
