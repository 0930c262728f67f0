package dev.lonja.web.spec;

import dev.lonja.core.grade.Climate;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fluid.YearDesk;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The store's temperature year. */
@Controller
class YearController {

  private final YearDesk desk;
  private final StoreClock clock;

  YearController(YearDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  @GetMapping("/oils/year")
  String year(Model model) {
    return page(Map.of(), List.of(), model);
  }

  @PostMapping("/oils/year")
  String set(Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    Typed typed = new Typed();
    List<Climate.MonthRange> months = new ArrayList<>();
    for (Month month : Month.values()) {
      range(typed, month, fields).ifPresent(months::add);
    }
    return typed
        .all(() -> desk.set(sent, new Climate(months)))
        .map(
            outcome ->
                Reply.to(outcome).onto("/oils/year").or(problems -> page(fields, problems, model)))
        .orElseGet(() -> page(fields, typed.problems(), model));
  }

  private static Optional<Climate.MonthRange> range(
      Typed typed, Month month, Map<String, String> fields) {
    String low = "low-" + month.getValue();
    String high = "high-" + month.getValue();
    Optional<Temperature> lowest = TemperatureEntry.of(typed, low, fields.getOrDefault(low, ""));
    Optional<Temperature> highest = TemperatureEntry.of(typed, high, fields.getOrDefault(high, ""));
    if (lowest.isEmpty() || highest.isEmpty()) {
      return Optional.empty();
    }
    if (lowest.get().compareTo(highest.get()) > 0) {
      typed.refuse(
          low,
          month.getDisplayName(TextStyle.FULL, Locale.ENGLISH)
              + " runs from "
              + lowest.get().display()
              + " to "
              + highest.get().display()
              + "; the lowest must not be above the highest.");
      return Optional.empty();
    }
    return Optional.of(new Climate.MonthRange(lowest.get(), highest.get()));
  }

  private String page(Map<String, String> typed, List<Problem> problems, Model model) {
    model.addAttribute("view", YearView.of(desk.year(), clock.today()));
    model.addAttribute("typed", typed);
    model.addAttribute("problems", problems);
    return "spec/year";
  }
}
