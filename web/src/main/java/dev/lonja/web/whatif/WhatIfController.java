package dev.lonja.web.whatif;

import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Money;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.forecast.AheadDesk;
import dev.lonja.desk.whatif.Supposition;
import dev.lonja.desk.whatif.WhatIfDesk;
import dev.lonja.web.frame.DrawingView;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/**
 * What would be if some things were otherwise. The sets stand in the address, so that they can be
 * kept, sent and come back to, and nothing is written.
 */
@Controller
class WhatIfController {

  private static final List<String> SETS = List.of("a", "b", "c");

  private final WhatIfDesk desk;
  private final AheadDesk ahead;
  private final StoreClock clock;

  WhatIfController(WhatIfDesk desk, AheadDesk ahead, StoreClock clock) {
    this.desk = desk;
    this.ahead = ahead;
    this.clock = clock;
  }

  @GetMapping("/ahead/what-if")
  String page(@RequestParam Map<String, String> fields, Model model) {
    Typed typed = new Typed();
    List<String> names = new ArrayList<>();
    List<List<Supposition>> sets = new ArrayList<>();
    names.add("As it is");
    sets.add(List.of());
    for (String set : SETS) {
      List<Supposition> read = Suppositions.read(set, fields.getOrDefault(set, ""), typed);
      if (!read.isEmpty()) {
        names.add("Set " + set.toUpperCase(Locale.ROOT));
        sets.add(read);
      }
    }
    Optional<List<WhatIfDesk.Outcome>> outcomes = desk.outcomes(sets);
    outcomes.ifPresent(all -> refuseIdle(fields, all, typed));
    model.addAttribute("problems", typed.problems());
    model.addAttribute("view", view(fields, names, outcomes));
    return "whatif/what-if";
  }

  /** At the field of the first set that names it. */
  private static void refuseIdle(
      Map<String, String> fields, List<WhatIfDesk.Outcome> outcomes, Typed typed) {
    TreeSet<String> unknown = new TreeSet<>();
    TreeSet<String> withoutMeter = new TreeSet<>();
    outcomes.forEach(outcome -> unknown.addAll(outcome.idle().unknown()));
    outcomes.forEach(outcome -> withoutMeter.addAll(outcome.idle().withoutMeter()));
    for (String name : unknown) {
      typed.refuse(
          field(fields, name),
          "There is no machine in service and no supplier called \"" + name + "\".");
    }
    for (String code : withoutMeter) {
      typed.refuse(field(fields, code), code + " has no meter that counts in that measure.");
    }
  }

  private static String field(Map<String, String> fields, String name) {
    String low = name.toLowerCase(Locale.ROOT);
    return SETS.stream()
        .filter(set -> fields.getOrDefault(set, "").toLowerCase(Locale.ROOT).contains(low))
        .findFirst()
        .orElse(SETS.get(0));
  }

  private WhatIfView view(
      Map<String, String> fields, List<String> names, Optional<List<WhatIfDesk.Outcome>> outcomes) {
    List<WhatIfView.Set> sets =
        SETS.stream()
            .map(
                set ->
                    new WhatIfView.Set(
                        set, "Set " + set.toUpperCase(Locale.ROOT), fields.getOrDefault(set, "")))
            .toList();
    List<WhatIfView.Column> columns = new ArrayList<>();
    List<WhatIfDesk.Outcome> all = outcomes.orElse(List.of());
    for (int i = 0; i < all.size(); i++) {
      columns.add(column(names.get(i), all.get(i), all.get(0)));
    }
    return new WhatIfView(
        sets,
        outcomes.isPresent()
            ? new DrawingView("", false, 100)
            : DrawingView.of(
                ahead.drawn(),
                "The chances are being drawn.",
                "The chances were drawn before the last change."),
        columns,
        differing(all));
  }

  private static WhatIfView.Column column(
      String name, WhatIfDesk.Outcome outcome, WhatIfDesk.Outcome own) {
    Money more = outcome.year().minus(own.year());
    return new WhatIfView.Column(
        name,
        Words.count(outcome.shortOn().size(), "thing", "things"),
        Words.count(outcome.due().size(), "line", "lines") + " for " + outcome.dueCost().display(),
        outcome.year().display(),
        more.minor() == 0 ? "" : (more.minor() > 0 ? "+" : "") + more.display());
  }

  private List<WhatIfView.Row> differing(List<WhatIfDesk.Outcome> all) {
    TreeSet<Item> items = new TreeSet<>(Comparator.comparing(Item::number).thenComparing(Item::id));
    all.forEach(outcome -> items.addAll(outcome.shortOn().keySet()));
    return items.stream()
        .filter(item -> all.stream().anyMatch(one -> !day(one, item).equals(day(all.get(0), item))))
        .map(
            item ->
                new WhatIfView.Row(
                    Plate.of(item),
                    all.stream()
                        .map(
                            one ->
                                day(one, item)
                                    .map(day -> Words.day(day, clock.today()))
                                    .orElse("lasts"))
                        .toList()))
        .toList();
  }

  private static Optional<LocalDate> day(WhatIfDesk.Outcome outcome, Item item) {
    return Optional.ofNullable(outcome.shortOn().get(item));
  }
}
