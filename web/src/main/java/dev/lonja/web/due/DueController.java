package dev.lonja.web.due;

import dev.lonja.core.meter.MeterStanding;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.service.BurstDesk;
import dev.lonja.desk.service.DueDesk;
import dev.lonja.web.request.Typed;
import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;
import org.springframework.web.util.UriUtils;

/** What falls due, and what a burst of use would bring forward. */
@Controller
class DueController {

  private final DueDesk desk;
  private final BurstDesk bursts;
  private final StoreClock clock;

  DueController(DueDesk desk, BurstDesk bursts, StoreClock clock) {
    this.desk = desk;
    this.bursts = bursts;
    this.clock = clock;
  }

  @GetMapping("/fleet/due")
  String due(
      @RequestParam(defaultValue = "") String unitClass,
      @RequestParam(defaultValue = "day") String sort,
      @RequestParam(defaultValue = "all") String show,
      @RequestParam(defaultValue = "1") int page,
      Model model) {
    DueDesk.Choice choice = new DueQuery(unitClass, sort, show, page).choice();
    model.addAttribute("view", DuePage.view(desk.coming(choice), choice, clock.today()));
    return "due/due";
  }

  @GetMapping("/fleet/burst")
  String burstOf(@RequestParam String unit) {
    String wanted = UriUtils.encode(unit.strip(), StandardCharsets.UTF_8);
    return bursts.subject(unit.strip()).isPresent()
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
    BurstDesk.Subject subject =
        bursts.subject(code).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
    BurstForm asked = new BurstForm(meterId, first, last, perDay);
    MeterStanding meter = asked.meter(subject);
    BurstForm form = asked.isEmpty() ? BurstForm.usual(meter, clock.today()) : asked;
    Typed typed = new Typed();
    Optional<BurstDesk.Effect> effect =
        form.read(meter, clock.today(), typed).map(burst -> bursts.effect(meter, burst));
    model.addAttribute("view", BurstView.of(subject, meter, form, effect, clock.today()));
    model.addAttribute("problems", typed.problems());
    return "due/burst";
  }
}
