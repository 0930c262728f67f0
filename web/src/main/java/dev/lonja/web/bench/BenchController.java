package dev.lonja.web.bench;

import dev.lonja.core.order.OrderId;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Spoken;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.bench.AnsweringSuppliers;
import dev.lonja.desk.bench.BenchDesk;
import dev.lonja.web.document.PdfRenderer;
import dev.lonja.web.request.Typed;
import java.util.Optional;
import org.springframework.context.annotation.Profile;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The Bench page. */
@Controller
@Profile("bench")
class BenchController {

  private final BenchDesk desk;

  BenchController(BenchDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/bench")
  String bench(Model model) {
    model.addAttribute("view", desk.view());
    model.addAttribute("moods", AnsweringSuppliers.Mood.values());
    return "bench/bench";
  }

  @PostMapping("/bench/meters")
  String report(
      @RequestParam String unitClass, @RequestParam(defaultValue = "false") boolean fault) {
    desk.report(unitClass, fault);
    return "redirect:/bench";
  }

  @PostMapping("/bench/suppliers")
  String answer(
      @RequestParam(defaultValue = "") String order, @RequestParam(defaultValue = "") String mood) {
    Typed typed = new Typed();
    Optional<OrderId> id = typed.chosen("order", "an order", order, OrderId::valueOf);
    Optional<AnsweringSuppliers.Mood> how =
        typed.choice("mood", "what they do", mood, AnsweringSuppliers.Mood.class);
    typed.all(
        () -> {
          desk.answer(id.orElseThrow(), how.orElseThrow());
          return true;
        });
    return "redirect:/bench";
  }

  @PostMapping("/bench/line")
  String cut(@RequestParam(defaultValue = "false") boolean cut) {
    desk.setCut(cut);
    return "redirect:/bench";
  }

  /** A gauge reads; what cannot be read from what was typed is left aside, and the page says so. */
  @PostMapping("/bench/gauges")
  String gauge(
      @RequestParam(defaultValue = "") String tank,
      @RequestParam(defaultValue = "") String height,
      @RequestParam(defaultValue = "") String warmth,
      @RequestParam(defaultValue = "0") String ago,
      Model model) {
    Typed typed = new Typed();
    Optional<Length> high =
        typed.spoken("height", "The dip", height, "0 up to 20000 mm", Spoken.LENGTH);
    Optional<Temperature> temperature =
        warmth.isBlank()
            ? Optional.empty()
            : typed.spoken("warmth", "The temperature", warmth, "any", Spoken.TEMPERATURE);
    Optional<Integer> hours = typed.wholeBetween("ago", "The hours", ago, 0, 1_000);
    Optional<Boolean> done =
        typed.all(
            () -> {
              desk.gauge(tank, high.orElseThrow(), temperature, hours.orElseThrow());
              return true;
            });
    if (done.isPresent()) {
      return "redirect:/bench";
    }
    model.addAttribute("problems", typed.problems());
    return bench(model);
  }

  /** Something runs through the meter of a tank. */
  @PostMapping("/bench/pours")
  String pour(
      @RequestParam(defaultValue = "") String tank,
      @RequestParam(defaultValue = "") String litres,
      @RequestParam(defaultValue = "0") String ago,
      Model model) {
    Typed typed = new Typed();
    Optional<Volume> volume =
        typed.spoken("litres", "The pour", litres, "0.01 up to 1000000 L", Spoken.VOLUME);
    Optional<Integer> hours = typed.wholeBetween("ago", "The hours", ago, 0, 1_000);
    Optional<Boolean> done =
        typed.all(
            () -> {
              desk.pour(tank, volume.orElseThrow(), hours.orElseThrow());
              return true;
            });
    if (done.isPresent()) {
      return "redirect:/bench";
    }
    model.addAttribute("problems", typed.problems());
    return bench(model);
  }

  @PostMapping("/bench/labels")
  String labels(@RequestParam(defaultValue = "false") boolean none) {
    desk.setNoLabels(none);
    return "redirect:/bench";
  }

  @GetMapping("/bench/labels/{number}.pdf")
  ResponseEntity<byte[]> printed(@PathVariable long number) {
    return PdfRenderer.answer(
        "printed-" + number + ".pdf",
        desk.printed(number).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
  }
}
