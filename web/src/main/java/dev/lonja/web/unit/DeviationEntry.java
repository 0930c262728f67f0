package dev.lonja.web.unit;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.Interval;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.store.Session;
import dev.lonja.web.fluid.FluidAdvice;
import dev.lonja.web.request.Typed;
import dev.lonja.web.variant.PartEntry;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** Reads what a person typed about how a unit differs, and holds it against the variant. */
final class DeviationEntry {

  private static final BigDecimal MOST_LITRES = BigDecimal.valueOf(100_000);
  private static final BigDecimal MOST_RUN = BigDecimal.valueOf(1_000_000);
  private static final int MOST_MONTHS = 240;

  private final Session session;
  private final Unit unit;
  private final DeviationDesk.Form form;
  private final Typed typed;
  private final LocalDate today;
  private final UnitNeeds needs;

  DeviationEntry(
      Session session, Unit unit, DeviationDesk.Form form, Typed typed, LocalDate today) {
    this.session = session;
    this.unit = unit;
    this.form = form;
    this.typed = typed;
    this.today = today;
    this.needs = session.fleet().needs().get(unit.variant().id());
  }

  /** What the form asks for; everything wrong with it is in {@code typed}. */
  Optional<Deviation.Change> change() {
    String[] parts = form.subject().split("-");
    boolean known = parts.length == 2 && parts[1].matches("[1-9][0-9]{0,11}");
    return switch (known ? parts[0] : "") {
      case "compartment" -> ofCompartment(CompartmentId.valueOf(parts[1]));
      case "position" -> ofPosition(PositionId.valueOf(parts[1]));
      case "task" -> ofTask(TaskId.valueOf(parts[1]));
      default -> refuseSubject();
    };
  }

  private Optional<Deviation.Change> ofCompartment(CompartmentId id) {
    if (needs.compartments().stream().noneMatch(compartment -> compartment.id().equals(id))) {
      return refuseSubject();
    }
    return switch (form.what()) {
      case "absent" -> Optional.of(new Deviation.Change.NoCompartment(id));
      case "item" ->
          PartEntry.item(session, typed, "value", form.value(), Measure.LITRES)
              .filter(item -> mayGoIn(id, item.id()))
              .map(item -> new Deviation.Change.OtherFluid(id, item.id()));
      case "capacity" -> capacity(id);
      default -> refuseWhat("a compartment may be absent, or take another item or capacity");
    };
  }

  private boolean mayGoIn(CompartmentId compartmentId, ItemId itemId) {
    Optional<String> refusal =
        FluidAdvice.refusal(session, today, needs.compartment(compartmentId).spec(), itemId);
    refusal.ifPresent(text -> typed.refuse("value", text));
    return refusal.isEmpty();
  }

  private Optional<Deviation.Change> ofPosition(PositionId id) {
    if (needs.positions().stream().noneMatch(position -> position.id().equals(id))) {
      return refuseSubject();
    }
    return switch (form.what()) {
      case "absent" -> Optional.of(new Deviation.Change.NoPosition(id));
      case "item" ->
          PartEntry.item(session, typed, "value", form.value(), Measure.PIECES)
              .map(i -> new Deviation.Change.OtherPart(id, i.id(), i.filterVolume()));
      case "torque" ->
          PartEntry.torque(typed, "value", form.value())
              .map(torque -> new Deviation.Change.OtherTorque(id, torque));
      default -> refuseWhat("a position may be absent, or take another item or torque");
    };
  }

  private Optional<Deviation.Change> ofTask(TaskId id) {
    Optional<Task> task =
        session.services().tasksByUnit().getOrDefault(unit.id(), List.of()).stream()
            .filter(candidate -> candidate.id().equals(id))
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

  private Optional<Deviation.Change> capacity(CompartmentId compartmentId) {
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

  /** A drain with the filter never takes less than one without, and dry takes most. */
  private boolean agreesWithOther(CompartmentId id, FillCondition condition, Volume volume) {
    boolean agrees = needs.compartment(id).withCapacity(condition, volume).capacitiesAgree();
    if (!agrees) {
      typed.refuse(
          "value",
          condition.words()
              + " would be "
              + volume.display()
              + ", but "
              + CapacityWording.of(needs.compartment(id), condition)
              + "; with the filter it cannot be less, and dry it takes most.");
    }
    return agrees;
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
