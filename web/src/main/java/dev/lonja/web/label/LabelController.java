package dev.lonja.web.label;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.label.LabelDesk;
import dev.lonja.web.document.PdfRenderer;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.server.ResponseStatusException;

/** Labels on paper, one a page. */
@Controller
@RequestMapping("/labels")
class LabelController {

  private final LabelDesk desk;
  private final PdfRenderer paper;
  private final StoreClock clock;

  LabelController(LabelDesk desk, PdfRenderer paper, StoreClock clock) {
    this.desk = desk;
    this.paper = paper;
    this.clock = clock;
  }

  @GetMapping("/items/{id}.pdf")
  ResponseEntity<byte[]> item(@PathVariable ItemId id) {
    return print(desk.item(id).map(LabelView::of));
  }

  @GetMapping("/items/{id}/lots/{lotId}.pdf")
  ResponseEntity<byte[]> lot(@PathVariable ItemId id, @PathVariable LotId lotId) {
    return print(desk.lot(id, lotId).map(LabelView::of));
  }

  @GetMapping("/bins/{address}.pdf")
  ResponseEntity<byte[]> bin(@PathVariable String address) {
    return print(desk.bin(address).map(LabelView::of));
  }

  @GetMapping("/trays/{id}.pdf")
  ResponseEntity<byte[]> tray(@PathVariable TrayId id) {
    return print(desk.tray(id).map(LabelView::of));
  }

  @GetMapping("/machines/{code}.pdf")
  ResponseEntity<byte[]> machine(@PathVariable String code) {
    return print(desk.machine(code).map(LabelView::of));
  }

  /** The sticker that says when a machine comes in next. */
  @GetMapping("/machines/{code}/next.pdf")
  ResponseEntity<byte[]> next(@PathVariable String code) {
    return print(desk.machine(code).map(machine -> LabelView.sticker(machine, clock.today())));
  }

  private ResponseEntity<byte[]> print(Optional<LabelView> label) {
    LabelView view = label.orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    return paper.answer("label", "label.pdf", Map.of("label", view));
  }
}
