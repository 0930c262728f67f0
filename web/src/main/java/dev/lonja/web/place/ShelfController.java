package dev.lonja.web.place;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.place.ShelfDesk;
import dev.lonja.web.document.PdfRenderer;
import dev.lonja.web.tank.TankOutlook;
import dev.lonja.web.waste.WasteCards;
import java.util.Map;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.server.ResponseStatusException;

/** Where is it? */
@Controller
class ShelfController {

  private final ShelfDesk desk;
  private final TankOutlook tanks;
  private final WasteCards waste;
  private final StoreClock clock;
  private final PdfRenderer pdf;

  ShelfController(
      ShelfDesk desk, TankOutlook tanks, WasteCards waste, StoreClock clock, PdfRenderer pdf) {
    this.pdf = pdf;
    this.waste = waste;
    this.desk = desk;
    this.tanks = tanks;
    this.clock = clock;
  }

  @GetMapping("/stores")
  String map(Model model) {
    model.addAttribute("view", new ShelfWording(clock).map(desk.shelves(), desk.places()));
    model.addAttribute("tanks", tanks.cards());
    model.addAttribute("waste", waste.all());
    return "place/map";
  }

  /** To hang up at the door: where is what. */
  @GetMapping("/stores/map.pdf")
  ResponseEntity<byte[]> paper() {
    return pdf.answer(
        "shelf-map",
        "shelf-map.pdf",
        Map.of("map", new ShelfWording(clock).paper(desk.contents(), desk.places())));
  }

  @GetMapping("/stores/bins/{address}")
  String bin(@PathVariable String address, Model model) {
    model.addAttribute(
        "view",
        desk.bin(address)
            .map(new ShelfWording(clock)::opened)
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    return "place/bin";
  }
}
