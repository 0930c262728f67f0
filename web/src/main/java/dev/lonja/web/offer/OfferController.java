package dev.lonja.web.offer;

import dev.lonja.desk.offer.OfferDesk;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.server.ResponseStatusException;

/** Answers a field that is being filled in with what the store knows. */
@RestController
class OfferController {

  private final OfferDesk desk;

  OfferController(OfferDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/offers/{what}")
  List<OfferDesk.Offer> offers(
      @PathVariable String what, @RequestParam(defaultValue = "") String q) {
    String name = what.toUpperCase(Locale.ROOT).replace('-', '_');
    return Arrays.stream(OfferDesk.What.values())
        .filter(known -> known.name().equals(name))
        .findFirst()
        .map(known -> desk.offers(known, q))
        .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }
}
