package dev.lonja.web.unit;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.Interval;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.unit.DeviationDesk;
import dev.lonja.web.fluid.FluidAdvice;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Typed;
import dev.lonja.web.variant.FillingEntry;
import dev.lonja.web.variant.ItemNames;
import dev.lonja.web.variant.PartEntry;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/**
 * A deviation as typed.
 *
 * @param subject "compartment-3", "position-8" or "task-12"
 * @param what absent, item, capacity, torque or interval
 * @param value litres, a part number, a torque or range in N·m, or an interval such as "400 h"
 */
public record DeviationForm(
    String subject, String what, String value, String condition, String reason) {

  private static final int LONGEST_REASON = Lengths.REASON;

  /** Why the desk refused. */
  static final RefusalWording REFUSED =
      RefusalWording.of(
              DeviationDesk.Refused.class,
              Cases.<DeviationDesk.Refused, Problem>over(DeviationDesk.Refused.class)
                  .when(
                      DeviationDesk.UnknownUnit.class,
                      none -> Problem.ofWhole("There is no unit " + none.code() + "."))
                  .when(
                      DeviationDesk.UnknownSubject.class,
                      none -> new Problem("subject", "Choose what of the unit is different."))
                  .when(
                      DeviationDesk.MayNot.class,
                      not -> new Problem("value", FluidAdvice.words(not.objection())))
                  .when(DeviationDesk.Disagrees.class, DeviationForm::disagrees)
                  .when(
                      DeviationDesk.NotProposed.class,
                      not -> Problem.ofWhole("The fills do not propose that capacity any more."))
                  .when(
                      DeviationDesk.NotInForce.class,
                      not -> Problem.ofWhole("That deviation is no longer in force."))
                  .all())
          .and(ItemNames.at("value"));

  private static Problem disagrees(DeviationDesk.Disagrees not) {
    return new Problem(
        "value",
        not.condition().words()
            + " would be "
            + not.capacity().display()
            + ", but "
            + CapacityWording.of(not.compartment(), not.condition())
            + "; with the filter it cannot be less, and dry it takes most.");
  }

  /** Empty, with the problems noted, if it cannot be read. */
  Optional<Outcome> send(
      DeviationDesk desk, Sent sent, String code, List<Task> tasks, Typed typed) {
    Optional<String> because = typed.text("reason", "The reason", reason, LONGEST_REASON);
    Optional<DeviationDesk.Wish> wish = wish(code, tasks, typed);
    return typed.all(() -> desk.put(sent, code, wish.orElseThrow(), because.orElseThrow()));
  }

  private Optional<DeviationDesk.Wish> wish(String code, List<Task> tasks, Typed typed) {
    String[] parts = subject.split("-");
    boolean known = parts.length == 2 && parts[1].matches("[1-9][0-9]{0,11}");
    return switch (known ? parts[0] : "") {
      case "compartment" -> ofCompartment(CompartmentId.valueOf(parts[1]), typed);
      case "position" -> ofPosition(PositionId.valueOf(parts[1]), typed);
      case "task" -> ofTask(TaskId.valueOf(parts[1]), code, tasks, typed);
      default -> refuseSubject(code, typed);
    };
  }

  private Optional<DeviationDesk.Wish> ofCompartment(CompartmentId id, Typed typed) {
    return switch (what) {
      case "absent" -> plain(new Deviation.Change.NoCompartment(id));
      case "item" -> Optional.of(new DeviationDesk.OtherFluid(id, value));
      case "capacity" -> capacity(id, typed);
      default -> refuseWhat("a compartment may be absent, or take another item or capacity", typed);
    };
  }

  private Optional<DeviationDesk.Wish> ofPosition(PositionId id, Typed typed) {
    return switch (what) {
      case "absent" -> plain(new Deviation.Change.NoPosition(id));
      case "item" -> Optional.of(new DeviationDesk.OtherPart(id, value));
      case "torque" ->
          PartEntry.torque(typed, "value", value)
              .flatMap(torque -> plain(new Deviation.Change.OtherTorque(id, torque)));
      default -> refuseWhat("a position may be absent, or take another item or torque", typed);
    };
  }

  private Optional<DeviationDesk.Wish> ofTask(
      TaskId id, String code, List<Task> tasks, Typed typed) {
    Optional<Task> task = tasks.stream().filter(t -> t.id().equals(id)).findFirst();
    if (task.isEmpty()) {
      return refuseSubject(code, typed);
    }
    return switch (what) {
      case "absent" -> plain(new Deviation.Change.NoTask(id));
      case "interval" ->
          task.get().byInterval().isEmpty()
              ? refuseWhat("this task comes without an interval of its own", typed)
              : interval(task.get(), typed)
                  .flatMap(i -> plain(new Deviation.Change.OtherInterval(id, i)));
      default -> refuseWhat("a task may be absent, or take another interval", typed);
    };
  }

  private static Optional<DeviationDesk.Wish> plain(Deviation.Change change) {
    return Optional.of(new DeviationDesk.Plain(change));
  }

  private Optional<DeviationDesk.Wish> capacity(CompartmentId id, Typed typed) {
    Optional<FillCondition> in =
        Arrays.stream(FillCondition.values())
            .filter(c -> c.name().toLowerCase(Locale.ROOT).equals(condition))
            .findFirst();
    if (in.isEmpty()) {
      typed.refuse("condition", "Choose the condition in which it takes that much.");
    }
    Optional<Capacity> litres = FillingEntry.capacity(typed, "value", "The capacity in L", value);
    return in.flatMap(
        c -> litres.flatMap(l -> plain(new Deviation.Change.OtherCapacity(id, c, l))));
  }

  /** "400", or "400, 12 months", or "12 months". */
  private Optional<Interval> interval(Task task, Typed typed) {
    Optional<MeterSpan> run = Optional.empty();
    Optional<Integer> months = Optional.empty();
    for (String part : value.split(",")) {
      String text = part.strip().toLowerCase(Locale.ROOT);
      if (text.endsWith("months") || text.endsWith("month")) {
        months = months(text.replaceAll("months?$", ""), typed);
      } else {
        run = run(text.replaceAll("\\s*(h|km)$", ""), task, typed);
      }
    }
    if (run.isEmpty() && months.isEmpty()) {
      if (typed.problems().isEmpty()) {
        typed.refuse("value", "This task counts by months; write such as \"12 months\".");
      }
      return Optional.empty();
    }
    return Optional.of(new Interval(run, months));
  }

  private static Optional<Integer> months(String text, Typed typed) {
    return typed.wholeBetween("value", "The interval in months", text, 1, Limits.MONTHS);
  }

  private static Optional<MeterSpan> run(String text, Task task, Typed typed) {
    return typed
        .decimalUpTo("value", "The interval", text, Limits.RUN, 1)
        .flatMap(
            amount ->
                task.byInterval()
                    .flatMap(timed -> timed.regular().run())
                    .map(r -> MeterSpan.of(amount, r.measure())));
  }

  private static Optional<DeviationDesk.Wish> refuseSubject(String code, Typed typed) {
    typed.refuse("subject", "Choose what of " + code + " is different.");
    return Optional.empty();
  }

  private Optional<DeviationDesk.Wish> refuseWhat(String allowed, Typed typed) {
    typed.refuse("what", "\"" + what + "\" is not possible here: " + allowed + ".");
    return Optional.empty();
  }
}
