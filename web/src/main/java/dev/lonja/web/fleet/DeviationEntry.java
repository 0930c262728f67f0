package dev.lonja.web.fleet;

import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.Torque;
import dev.lonja.core.quantity.TorqueRange;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.Interval;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.store.Session;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Reads what a person typed about how a unit differs, and holds it against the variant. */
final class DeviationEntry {

  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(100_000);
  private static final BigDecimal MOST_TORQUE = BigDecimal.valueOf(10_000);
  private static final BigDecimal MOST_RUN = BigDecimal.valueOf(1_000_000);
  private static final int MOST_MONTHS = 240;

  private final Session session;
  private final Unit unit;
  private final DeviationDesk.Form form;
  private final Typed typed;
  private final UnitNeeds needs;

  DeviationEntry(Session session, Unit unit, DeviationDesk.Form form, Typed typed) {
    this.session = session;
    this.unit = unit;
    this.form = form;
    this.typed = typed;
    this.needs = session.fleet().needs().get(unit.variant().id());
  }

  /** What the form asks for; everything wrong with it is in {@code typed}. */
  Optional<Deviation.Change> change() {
    String[] parts = form.subject().split("-");
    boolean known = parts.length == 2 && parts[1].matches("[0-9]{1,12}");
    long id = known ? Long.parseLong(parts[1]) : 0;
    return switch (known ? parts[0] : "") {
      case "compartment" -> ofCompartment(id);
      case "position" -> ofPosition(id);
      case "task" -> ofTask(id);
      default -> refuseSubject();
    };
  }

  private Optional<Deviation.Change> ofCompartment(long id) {
    if (needs.compartments().stream().noneMatch(compartment -> compartment.id() == id)) {
      return refuseSubject();
    }
    return switch (form.what()) {
      case "absent" -> Optional.of(new Deviation.Change.NoCompartment(id));
      case "item" ->
          item(Measure.LITRES).map(item -> new Deviation.Change.OtherFluid(id, item.id()));
      case "capacity" -> capacity(id);
      default -> refuseWhat("a compartment may be absent, or take another item or capacity");
    };
  }

  private Optional<Deviation.Change> ofPosition(long id) {
    if (needs.positions().stream().noneMatch(position -> position.id() == id)) {
      return refuseSubject();
    }
    return switch (form.what()) {
      case "absent" -> Optional.of(new Deviation.Change.NoPosition(id));
      case "item" ->
          item(Measure.PIECES)
              .map(i -> new Deviation.Change.OtherPart(id, i.id(), i.filterVolume()));
      case "torque" -> torque().map(torque -> new Deviation.Change.OtherTorque(id, torque));
      default -> refuseWhat("a position may be absent, or take another item or torque");
    };
  }

  private Optional<Deviation.Change> ofTask(long id) {
    Optional<Task> task =
        session.services().tasksByUnit().getOrDefault(unit.id(), List.of()).stream()
            .filter(candidate -> candidate.id() == id)
            .findFirst();
    if (task.isEmpty()) {
      return refuseSubject();
    }
    return switch (form.what()) {
      case "absent" -> Optional.of(new Deviation.Change.NoTask(id));
      case "interval" ->
          task.get().byInterval().isEmpty()
              ? refuseWhat("this task comes without an interval of its own")
              : interval(task.get()).map(i -> new Deviation.Change.OtherInterval(id, i));
      default -> refuseWhat("a task may be absent, or take another interval");
    };
  }

  private Optional<Deviation.Change> capacity(long compartmentId) {
    Optional<FillCondition> condition =
        List.of(FillCondition.values()).stream()
            .filter(c -> c.name().toLowerCase(Locale.ROOT).equals(form.condition()))
            .findFirst();
    if (condition.isEmpty()) {
      typed.refuse("condition", "Choose the condition in which it takes that much.");
    }
    Optional<BigDecimal> litres =
        typed.decimalUpTo("value", "The capacity in L", form.value(), MOST_LITRES);
    if (condition.isEmpty() || litres.isEmpty()) {
      return Optional.empty();
    }
    Volume volume = Volume.ofLitres(litres.get());
    return agreesWithOther(compartmentId, condition.get(), volume)
        ? Optional.of(new Deviation.Change.OtherCapacity(compartmentId, condition.get(), volume))
        : Optional.empty();
  }

  /** A drain with the filter never takes less than one without. */
  private boolean agreesWithOther(long id, FillCondition condition, Volume volume) {
    boolean with = condition == FillCondition.WITH_FILTER;
    FillCondition counterpart = with ? FillCondition.WITHOUT_FILTER : FillCondition.WITH_FILTER;
    Optional<Volume> other =
        condition == FillCondition.DRY
            ? Optional.empty()
            : needs.compartment(id).capacity(counterpart);
    boolean agrees =
        other.isEmpty()
            || (with ? volume.compareTo(other.get()) >= 0 : volume.compareTo(other.get()) <= 0);
    if (!agrees) {
      typed.refuse(
          "value",
          condition.words()
              + " would be "
              + volume.display()
              + ", but "
              + counterpart.words()
              + " is "
              + other.get().display()
              + "; with the filter it cannot be less.");
    }
    return agrees;
  }

  /** By number, or by make and number where several makes use the number. */
  private Optional<Item> item(Measure measure) {
    Optional<PartKey> key = PartKey.of(form.value());
    List<Item> byNumber =
        key.map(session.items()::byKey).orElse(List.of()).stream()
            .filter(candidate -> candidate.measure() == measure)
            .toList();
    if (byNumber.size() == 1) {
      return Optional.of(byNumber.get(0));
    }
    Optional<Item> byMakeAndNumber =
        session.items().all().stream()
            .filter(candidate -> candidate.measure() == measure)
            .filter(candidate -> PartKey.of(candidate.make() + candidate.number()).equals(key))
            .findFirst();
    if (byMakeAndNumber.isEmpty()) {
      String kind = measure == Measure.LITRES ? "fluid" : "part";
      typed.refuse(
          "value",
          byNumber.isEmpty()
              ? "No " + kind + " has the number \"" + form.value().strip() + "\"."
              : byNumber.size() + " makes use that number; write the make before it.");
    }
    return byMakeAndNumber;
  }

  /** "32" or "30-35", in N·m. */
  private Optional<TorqueRange> torque() {
    String[] ends = form.value().strip().split("(?<=[0-9])\\s*[-–]\\s*", 2);
    Optional<BigDecimal> low =
        typed.decimalUpTo("value", "The torque in N·m", ends[0], MOST_TORQUE);
    Optional<BigDecimal> high =
        ends.length == 1
            ? low
            : typed.decimalUpTo("value", "The torque in N·m", ends[1], MOST_TORQUE);
    if (low.isEmpty() || high.isEmpty()) {
      return Optional.empty();
    }
    if (low.get().compareTo(high.get()) > 0) {
      typed.refuse(
          "value",
          "The range runs from " + ends[0] + " to " + ends[1] + "; write the lower end first.");
      return Optional.empty();
    }
    return Optional.of(
        new TorqueRange(Torque.ofNewtonMetres(low.get()), Torque.ofNewtonMetres(high.get())));
  }

  /** "400", or "400, 12 months", or "12 months". */
  private Optional<Interval> interval(Task task) {
    Optional<MeterSpan> run = Optional.empty();
    Optional<Integer> months = Optional.empty();
    for (String part : form.value().split(",")) {
      String text = part.strip().toLowerCase(Locale.ROOT);
      if (text.endsWith("months") || text.endsWith("month")) {
        months =
            typed
                .decimalUpTo(
                    "value",
                    "The interval in months",
                    text.replaceAll("months?$", ""),
                    BigDecimal.valueOf(MOST_MONTHS))
                .map(BigDecimal::intValue);
      } else {
        run =
            typed
                .decimalUpTo("value", "The interval", text.replaceAll("\\s*(h|km)$", ""), MOST_RUN)
                .flatMap(
                    amount ->
                        task.byInterval()
                            .flatMap(timed -> timed.regular().run())
                            .map(r -> MeterSpan.of(amount, r.measure())));
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

  private Optional<Deviation.Change> refuseSubject() {
    typed.refuse("subject", "Choose what of " + unit.code() + " is different.");
    return Optional.empty();
  }

  private Optional<Deviation.Change> refuseWhat(String allowed) {
    typed.refuse("what", "\"" + form.what() + "\" is not possible here: " + allowed + ".");
    return Optional.empty();
  }
}
