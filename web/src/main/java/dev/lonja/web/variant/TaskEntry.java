package dev.lonja.web.variant;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.inspection.InspectedValue;
import dev.lonja.core.inspection.ValueKind;
import dev.lonja.core.inspection.ValueLimits;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.text.Lengths;
import dev.lonja.store.fleet.VariantTasks;
import dev.lonja.store.fleet.VariantTasks.Action;
import dev.lonja.store.fleet.VariantTasks.LayUpSide;
import dev.lonja.store.fleet.VariantTasks.Span;
import dev.lonja.store.fleet.VariantTasks.StoredTask;
import dev.lonja.store.fleet.VariantTasks.WhileIn;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Stream;

/** Reads the form of a variant's task; what is wrong is in {@code typed}. */
final class TaskEntry {

  private static final String NUMBER = "[1-9][0-9]{0,14}";
  private static final int LONGEST_NAME = Lengths.NAME;
  private static final int LONGEST_REASON = Lengths.DESCRIPTION;
  private static final int LONGEST_CLASS = Lengths.SHORT;
  private static final BigDecimal LEAST_SEVERITY = new BigDecimal("0.1");

  private final Map<String, String> form;
  private final Typed typed;

  TaskEntry(Map<String, String> form, Typed typed) {
    this.form = form;
    this.typed = typed;
  }

  private String text(String field) {
    return form.getOrDefault(field, "").strip();
  }

  /** The task of the form; empty if something is wrong. */
  Optional<Function<TaskId, StoredTask>> task() {
    Optional<String> service = typed.text("service", "The service", text("service"), LONGEST_NAME);
    Optional<String> name = typed.text("name", "The name", text("name"), LONGEST_NAME);
    if (chosenAction().isEmpty()) {
      typed.refuse("action", "Choose what the task does.");
    }
    Optional<CompartmentId> compartment = compartment();
    Optional<PositionId> position = position();
    Optional<ValueLimits> limits = limits();
    Span interval = span("run", "The interval", "months");
    Span first = span("firstRun", "The first interval", "firstMonths");
    Optional<BigDecimal> severity = severity();
    Optional<Integer> nth = whole("nth", "Every nth time", 2, Limits.NTH);
    Optional<Integer> leadDays =
        whole("leadDays", "The number of days before", 0, Limits.LEAD_DAYS);
    Optional<MonthDay> season = season();
    List<LayUpSide> sides = sides();
    Optional<TaskId> lead = number("lead").map(TaskId::valueOf);
    checkTiming(interval, lead, season, sides, leadDays, nth, first);
    Optional<String> meter = meter(interval.tenths().isPresent());
    List<WhileIn> byFluid = byFluid(interval);
    if (!text("steps").isEmpty()) {
      typed.text("steps", "What to mind", text("steps"), Lengths.REASON);
    }
    List<String> hazards =
        Stream.of(text("hazards").split("[,\\s]+")).filter(code -> !code.isEmpty()).toList();
    return typed.all(
        () ->
            id ->
                new StoredTask(
                    id,
                    service.orElseThrow(),
                    name.orElseThrow(),
                    action(),
                    compartment,
                    position,
                    limits,
                    meter,
                    interval,
                    first,
                    severity.orElseThrow(),
                    text("severityReason"),
                    lead,
                    nth,
                    season,
                    sides.stream().findFirst(),
                    leadDays,
                    byFluid,
                    text("steps"),
                    hazards));
  }

  private Optional<Action> chosenAction() {
    return Stream.of(Action.values())
        .filter(action -> action.name().equals(text("action")))
        .findFirst();
  }

  /** Read on as if it were to replace something, so that all problems are found at once. */
  private Action action() {
    return chosenAction().orElse(Action.REPLACE);
  }

  private Optional<CompartmentId> compartment() {
    Optional<CompartmentId> chosen = subject("compartment-").map(CompartmentId::valueOf);
    if (action() == Action.INSPECT) {
      return chosen;
    }
    if (action() == Action.REPLACE) {
      return Optional.empty();
    }
    if (chosen.isEmpty()) {
      typed.refuse("subject", "Choose the compartment whose fluid is changed.");
    }
    return chosen;
  }

  private Optional<PositionId> position() {
    if (action() == Action.CHANGE_FLUID) {
      return Optional.empty();
    }
    Optional<PositionId> chosen = subject("position-").map(PositionId::valueOf);
    boolean looksAtFluid = action() == Action.INSPECT && subject("compartment-").isPresent();
    if (chosen.isEmpty() && !looksAtFluid) {
      typed.refuse("subject", "Choose the position that is worked on.");
    }
    return chosen;
  }

  /** Of the value that an inspection asks for; none where neither limit is typed. */
  private Optional<ValueLimits> limits() {
    Optional<ValueKind> kind =
        typed.choiceOrNone("valueKind", text("valueKind"), ValueKind.values());
    Optional<InspectedValue> low = limit(kind, "valueLow");
    Optional<InspectedValue> high = limit(kind, "valueHigh");
    if (kind.isPresent() && action() != Action.INSPECT) {
      typed.refuse("valueKind", "Only an inspection asks for a value.");
    } else if (kind.isPresent() && text("valueLow").isEmpty() && text("valueHigh").isEmpty()) {
      typed.refuse(
          "valueLow",
          "Between what it is sound is missing: a low limit, a high one, or" + " both.");
    } else if (low.isPresent() && high.isPresent() && low.get().compareTo(high.get()) > 0) {
      typed.refuse(
          "valueHigh",
          "It is sound up to "
              + high.get().display()
              + "; allowed is "
              + low.get().display()
              + " or more.");
    } else if (low.isPresent() || high.isPresent()) {
      return kind.map(measured -> new ValueLimits(measured, low, high));
    }
    return Optional.empty();
  }

  private Optional<InspectedValue> limit(Optional<ValueKind> kind, String field) {
    if (text(field).isEmpty()) {
      return Optional.empty();
    }
    if (kind.isEmpty()) {
      typed.refuse("valueKind", "Choose what is measured.");
      return Optional.empty();
    }
    Optional<InspectedValue> limit = kind.get().read(text(field));
    if (limit.isEmpty()) {
      typed.refuse(
          field,
          "\""
              + text(field)
              + "\" is no "
              + kind.get().words()
              + "; write a number: "
              + kind.get().units()
              + ".");
    }
    return limit;
  }

  private Span span(String runField, String what, String monthsField) {
    Optional<Long> run =
        text(runField).isEmpty()
            ? Optional.empty()
            : typed
                .decimalUpTo(runField, what, text(runField), Limits.RUN, 1)
                .map(VariantFormat::tenths);
    return new Span(run, whole(monthsField, what + " in months", 1, Limits.MONTHS));
  }

  private Optional<Integer> whole(String field, String what, int least, int most) {
    return text(field).isEmpty()
        ? Optional.empty()
        : typed.wholeBetween(field, what, text(field), least, most);
  }

  private Optional<BigDecimal> severity() {
    Optional<BigDecimal> severity =
        text("severity").isEmpty()
            ? Optional.of(BigDecimal.ONE)
            : typed.decimalBetween(
                "severity", "The severity", text("severity"), LEAST_SEVERITY, BigDecimal.ONE, 4);
    boolean shortens = severity.filter(value -> value.compareTo(BigDecimal.ONE) < 0).isPresent();
    if (shortens) {
      typed.text(
          "severityReason", "The reason of the severity", text("severityReason"), LONGEST_REASON);
    }
    return severity.map(value -> value.setScale(4));
  }

  private Optional<MonthDay> season() {
    if (text("season").isEmpty()) {
      return Optional.empty();
    }
    try {
      return Optional.of(MonthDay.parse("--" + text("season")));
    } catch (DateTimeException e) {
      typed.refuse("season", "\"" + text("season") + "\" is no day of the year; write 04-01.");
      return Optional.empty();
    }
  }

  /** The number behind what a task is about. */
  private Optional<String> subject(String kind) {
    return Optional.of(text("subject"))
        .filter(subject -> subject.matches(kind + NUMBER))
        .map(subject -> subject.substring(kind.length()));
  }

  private Optional<String> number(String field) {
    if (!text(field).isEmpty() && !text(field).matches(NUMBER)) {
      typed.refuse(field, "Choose another task that is not led itself.");
    }
    return Optional.of(text(field)).filter(number -> number.matches(NUMBER));
  }

  private List<LayUpSide> sides() {
    List<LayUpSide> sides = new ArrayList<>();
    if (form.containsKey("beforeLayUp")) {
      sides.add(LayUpSide.BEFORE);
    }
    if (form.containsKey("afterLayUp")) {
      sides.add(LayUpSide.AFTER);
    }
    return sides;
  }

  private void checkTiming(
      Span interval,
      Optional<TaskId> lead,
      Optional<MonthDay> season,
      List<LayUpSide> sides,
      Optional<Integer> leadDays,
      Optional<Integer> nth,
      Span first) {
    if (!typed.problems().isEmpty()) {
      return;
    }
    boolean beforeLayUp = sides.contains(LayUpSide.BEFORE);
    long ways =
        sides.size()
            + Stream.of(!interval.isNone(), lead.isPresent(), season.isPresent())
                .filter(way -> way)
                .count();
    if (ways != 1) {
      typed.refuse(
          "run",
          (ways == 0 ? "Nothing says" : "More than one thing says")
              + " when it comes: give an interval by meter or months, or a task that leads it, or"
              + " a day of the season, or the lay-up.");
    }
    if (lead.isPresent() != nth.isPresent() || nth.filter(n -> n < 2).isPresent()) {
      typed.refuse("nth", "A task that leads needs every nth time it comes along, 2 to 50.");
    }
    if ((season.isPresent() || beforeLayUp) && leadDays.isEmpty()) {
      typed.refuse("leadDays", "How many days before is missing; allowed is 0 to 120.");
    }
    if (season.isEmpty() && !beforeLayUp && leadDays.isPresent()) {
      typed.refuse("leadDays", "Days before need a day of the season, or the lay-up.");
    }
    if (!first.isNone() && interval.isNone()) {
      typed.refuse("firstRun", "A first interval needs a regular one beside it.");
    }
    if (first.tenths().isPresent() && interval.tenths().isEmpty()) {
      typed.refuse("firstRun", "A first interval by meter needs a regular one by meter.");
    }
  }

  private Optional<String> meter(boolean counts) {
    if (!counts) {
      return Optional.empty();
    }
    Optional<String> chosen = Optional.of(text("meter")).filter(name -> !name.isEmpty());
    if (chosen.isEmpty()) {
      typed.refuse("meter", "Choose the meter that the interval counts by.");
    }
    return chosen.filter(name -> name.length() <= LONGEST_CLASS);
  }

  /** Lines such as "E9: 30000, 12 months". */
  private List<WhileIn> byFluid(Span interval) {
    List<WhileIn> entries = new ArrayList<>();
    for (String line : text("byFluid").lines().filter(l -> !l.isBlank()).toList()) {
      Optional<WhileIn> entry = VariantFormat.whileIn(line);
      boolean fits =
          entry
              .filter(e -> e.span().tenths().isEmpty() || interval.tenths().isPresent())
              .filter(e -> e.fluidClass().length() <= LONGEST_CLASS)
              .isPresent();
      if (!fits || action() != VariantTasks.Action.CHANGE_FLUID) {
        typed.refuse(
            "byFluid",
            "\""
                + line.strip()
                + "\" is no interval by fluid; for a change of fluid write such as \"E9: 30000, 12"
                + " months\".");
      } else {
        entries.add(entry.orElseThrow());
      }
    }
    return entries;
  }
}
