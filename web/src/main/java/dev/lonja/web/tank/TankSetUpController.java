package dev.lonja.web.tank;

import dev.lonja.core.tank.TankId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tank.TankDesk;
import dev.lonja.desk.tank.TankSetUpDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** Puts tanks up and changes them. */
@Controller
@RequestMapping("/stores/tanks")
class TankSetUpController {

  private final TankDesk tanks;
  private final TankSetUpDesk setUp;
  private final StoreClock clock;

  TankSetUpController(TankDesk tanks, TankSetUpDesk setUp, StoreClock clock) {
    this.tanks = tanks;
    this.setUp = setUp;
    this.clock = clock;
  }

  @GetMapping("/new")
  String fresh(Model model) {
    setUp.admit();
    return form(Optional.empty(), TankForm.fresh(), List.of(), model);
  }

  @PostMapping("/new")
  String add(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    setUp.admit();
    TankForm form = new TankForm(fields);
    return form.wish()
        .map(
            wish ->
                Reply.to(setUp.add(sent, wish))
                    .onto(id -> "/stores/tanks/" + id)
                    .worded(new TankRefusals(clock).all())
                    .or(problems -> form(Optional.empty(), fields, problems, model)))
        .orElseGet(() -> form(Optional.empty(), fields, form.typed().problems(), model));
  }

  @GetMapping("/{id:[0-9]{1,18}}/edit")
  String edit(@PathVariable TankId id, Model model) {
    setUp.admit();
    TankDesk.Opened opened = tank(id);
    return form(Optional.of(opened), TankForm.of(opened.stand()), List.of(), model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/edit")
  String change(
      @PathVariable TankId id,
      @RequestParam long version,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    setUp.admit();
    TankForm form = new TankForm(fields);
    return form.wish()
        .map(
            wish ->
                Reply.to(setUp.change(sent, id, wish, version))
                    .onto("/stores/tanks/" + id)
                    .worded(new TankRefusals(clock).all())
                    .or(problems -> form(Optional.of(tank(id)), fields, problems, model)))
        .orElseGet(() -> form(Optional.of(tank(id)), fields, form.typed().problems(), model));
  }

  private TankDesk.Opened tank(TankId id) {
    return tanks.tank(id).orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND));
  }

  private String form(
      Optional<TankDesk.Opened> edited,
      Map<String, String> fields,
      List<Problem> problems,
      Model model) {
    model.addAttribute("called", edited.map(o -> o.stand().tank().name()).orElse("New tank"));
    model.addAttribute("edited", edited.map(o -> o.stand().tank()).orElse(null));
    model.addAttribute("choices", tanks.choices());
    model.addAttribute("shapes", TankForm.shapes());
    model.addAttribute("typed", fields);
    model.addAttribute("problems", problems);
    return "tank/form";
  }
}
