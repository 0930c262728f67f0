package dev.lonja.web.pour;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.mixture.Protection;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Spoken;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.fluid.MixDesk;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A calculator at the counter: coolant and screen wash with water. */
@Controller
class MixController {

  private static final String FLUSH = "flush";
  private static final String RIGHT = "right";

  private final MixDesk desk;

  MixController(MixDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/oils/mix")
  String mix(@RequestParam Map<String, String> sent, Model model) {
    Map<String, String> fields = ofOneCircuit(sent);
    Typed typed = new Typed();
    String unit = fields.getOrDefault("unit", "").strip();
    MixDesk.Ask ask =
        new MixDesk.Ask(
            unit,
            chosen(fields, "compartment", "a compartment", typed).map(CompartmentId::valueOf),
            chosen(fields, "product", "a fluid", typed).map(ProductId::valueOf),
            litres(fields, "total", "The litres", typed),
            wanted(fields, typed),
            way(fields, typed));
    boolean isSound = typed.problems().isEmpty();
    MixDesk.Sheet sheet = desk.sheet(isSound ? ask : nothing(unit));
    if (!unit.isEmpty() && sheet.units().stream().noneMatch(u -> u.code().equals(unit))) {
      typed.refuse("unit", "There is no unit \"" + unit + "\" in service.");
    }
    model.addAttribute("view", new MixPage(sheet, unit).view());
    model.addAttribute("typed", fields);
    model.addAttribute("problems", typed.problems());
    return "pour/mix";
  }

  /** What was filled in for another circuit than the one that is chosen now does not count. */
  private static Map<String, String> ofOneCircuit(Map<String, String> sent) {
    Map<String, String> fields = new HashMap<>(sent);
    String unit = sent.getOrDefault("unit", "");
    String compartment = sent.getOrDefault("compartment", "");
    if (!unit.equals(sent.getOrDefault("wasUnit", unit))) {
      fields.keySet().removeAll(List.of("compartment", "product", "total"));
    } else if (!compartment.equals(sent.getOrDefault("wasCompartment", compartment))) {
      fields.keySet().removeAll(List.of("product", "total"));
    }
    return fields;
  }

  private static MixDesk.Ask nothing(String unit) {
    return new MixDesk.Ask(
        unit,
        Optional.empty(),
        Optional.empty(),
        Optional.empty(),
        Protection.UNSAID,
        new MixDesk.Way.Fresh());
  }

  private static Optional<String> chosen(
      Map<String, String> fields, String field, String what, Typed typed) {
    String text = fields.getOrDefault(field, "");
    return text.isEmpty() ? Optional.empty() : typed.chosen(field, what, text, number -> number);
  }

  private static Optional<Volume> litres(
      Map<String, String> fields, String field, String what, Typed typed) {
    String text = fields.getOrDefault(field, "").strip();
    return text.isEmpty() ? Optional.empty() : typed.litres(field, what, text, Limits.LITRES);
  }

  private static Protection wanted(Map<String, String> fields, Typed typed) {
    String share = fields.getOrDefault("share", "").strip();
    Optional<BigDecimal> part =
        share.isEmpty()
            ? Optional.empty()
            : typed
                .decimalUpTo("share", "The concentrate wanted, in %,", share, 100, 2)
                .map(percent -> percent.movePointLeft(2));
    return new Protection(celsius(fields, "frost", typed), part);
  }

  private static Optional<Temperature> celsius(
      Map<String, String> fields, String field, Typed typed) {
    String text = fields.getOrDefault(field, "").strip();
    Optional<Temperature> read = text.isEmpty() ? Optional.empty() : Spoken.TEMPERATURE.read(text);
    if (read.isEmpty() && !text.isEmpty()) {
      typed.refuse(field, "\"" + text + "\" is no temperature; write a number, in °C or °F.");
    }
    return read;
  }

  private static MixDesk.Way way(Map<String, String> fields, Typed typed) {
    String way = fields.getOrDefault("way", "");
    if (way.equals(FLUSH)) {
      Optional<Volume> drained = litres(fields, "drained", "What ran out", typed);
      if (drained.isEmpty() && typed.problems().isEmpty()) {
        typed.refuse("drained", "What ran out after the flush is missing.");
      }
      return new MixDesk.Way.AfterFlush(drained.orElse(Volume.ZERO));
    }
    if (way.equals(RIGHT)) {
      Optional<Temperature> measured = celsius(fields, "measured", typed);
      if (measured.isEmpty() && typed.problems().isEmpty()) {
        typed.refuse("measured", "The freeze point that was measured is missing.");
      }
      return new MixDesk.Way.PutRight(measured.orElse(new Temperature(0)));
    }
    return new MixDesk.Way.Fresh();
  }
}
