package dev.lonja.web.tank;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.tank.Dispenser;
import dev.lonja.core.tank.DispenserId;
import dev.lonja.core.tank.DispenserStand;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tank.DispenserDesk;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Jugs, funnels and pumps. */
@Controller
@RequestMapping("/stores/dispensers")
class DispenserController {

  private static final String PATH = "/stores/dispensers";
  private static final Pattern NUMBER = Pattern.compile("[0-9]{1,18}");

  private final DispenserDesk desk;
  private final StoreClock clock;

  DispenserController(DispenserDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping
  String look(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @PostMapping
  String add(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    Typed typed = new Typed();
    Optional<String> name =
        typed.text("name", "Its name", fields.getOrDefault("name", ""), Lengths.SHORT);
    Optional<Dispenser.Kind> kind =
        typed.choice(
            "kind", "jug, funnel or pump", fields.getOrDefault("kind", ""), Dispenser.Kind.class);
    return next(
        typed.all(() -> desk.add(sent, name.orElseThrow(), kind.orElseThrow())),
        typed,
        fields,
        model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/use")
  String use(
      @PathVariable DispenserId id,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    String fluid = fields.getOrDefault("fluid", "");
    if (!NUMBER.matcher(fluid).matches() || fluid.matches("0+")) {
      typed.refuse("fluid", "Choose what was poured.");
    }
    return next(
        typed.all(() -> desk.use(sent, id, new ProductId(Long.parseLong(fluid)))),
        typed,
        fields,
        model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/clean")
  String clean(@PathVariable DispenserId id, Sent sent, Model model) {
    return next(Optional.of(desk.clean(sent, id)), new Typed(), Map.of(), model);
  }

  @PostMapping("/{id:[0-9]{1,18}}/retire")
  String retire(@PathVariable DispenserId id, Sent sent, Model model) {
    return next(Optional.of(desk.retire(sent, id)), new Typed(), Map.of(), model);
  }

  private String next(
      Optional<Outcome> done, Typed typed, Map<String, String> fields, Model model) {
    return done.map(
            outcome ->
                Reply.to(outcome)
                    .onto(PATH)
                    .worded(DispenserRefusals.at("fluid"))
                    .or(problems -> page(fields, problems, model)))
        .orElseGet(() -> page(fields, typed.problems(), model));
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    DispenserDesk.Overview overview = desk.overview();
    long used = overview.stands().stream().filter(stand -> stand.rest().isPresent()).count();
    model.addAttribute(
        "view",
        new DispenserView(
            Words.count(overview.stands().size(), "in use", "in use")
                + ", "
                + (overview.stands().size() - used)
                + " clean",
            overview.stands().stream().map(stand -> row(overview, stand)).toList(),
            overview.kept().stream()
                .map(product -> new DispenserView.Fluid(product.id().toString(), product.display()))
                .toList()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "tank/dispensers";
  }

  private DispenserView.Row row(DispenserDesk.Overview overview, DispenserStand stand) {
    Dispenser dispenser = stand.dispenser();
    return new DispenserView.Row(
        dispenser.id().toString(),
        "j" + dispenser.id(),
        dispenser.name(),
        switch (dispenser.kind()) {
          case JUG -> "jug";
          case FUNNEL -> "funnel";
          case PUMP -> "pump";
        },
        stand
            .rest()
            .map(overview.products()::get)
            .map(Product::display)
            .map(State::note)
            .orElse(State.ready("clean")),
        stand
            .last()
            .map(
                last ->
                    (last.product().isPresent() ? "used by " : "cleaned by ")
                        + last.actor()
                        + ", "
                        + Words.day(clock.dayOf(last.at()), clock.today())
                        + last.tray().map(tray -> ", " + tray).orElse(""))
            .orElse(""),
        stand.rest().isEmpty());
  }
}
