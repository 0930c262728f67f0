package dev.lonja.core.take;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Mounting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.inspection.ReplacementOdds;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.Task;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Works out what the tasks of one occurrence take: capacity in the condition that the occurrence
 * brings about plus the store's handling loss; drain seals, plugs and what is brought along in case
 * by the policies that hold for the machine; parts to inspect at the chance that their class's
 * inspections give. Each line names the policies that made it.
 */
public final class ServiceTake {

  private final UnitNeeds needs;
  private final List<Task> tasks;
  private final List<TakeLine> lines = new ArrayList<>();
  private final List<Take.Gap> gaps = new ArrayList<>();

  private ServiceTake(UnitNeeds needs, List<Task> tasks) {
    this.needs = needs;
    this.tasks = tasks;
  }

  /** What {@code tasks} take when they are done together on the unit with these {@code needs}. */
  public static Take of(UnitNeeds needs, List<Task> tasks) {
    Take all = withoutBoxes(needs, tasks);
    return new Take(BoxedLines.without(needs.shelf().boxes(), all.lines()), all.gaps());
  }

  /** The same as if every part came with nothing else in its box. */
  public static Take withoutBoxes(UnitNeeds needs, List<Task> tasks) {
    ServiceTake take = new ServiceTake(needs, tasks);
    tasks.forEach(take::add);
    take.addInsurance();
    return new Take(take.lines, take.gaps);
  }

  private void add(Task task) {
    if (task.action() instanceof Task.Action.ChangeFluid change) {
      Compartment compartment = needs.compartment(change.compartmentId());
      addFill(task, compartment);
      addSeals(task, compartment);
    } else if (task.action() instanceof Task.Action.Replace replace) {
      Position position = needs.position(replace.positionId());
      addPart(task, position, new TakeLine.Reason.Part(position.note()), ofReplacing(position));
    } else if (task.action() instanceof Task.Action.Inspect inspect) {
      Position position = needs.position(inspect.positionId());
      if (!isReplaced(position.id())) {
        addInspected(task, position, inspect.odds());
      }
    }
  }

  private void addInspected(Task task, Position position, ReplacementOdds odds) {
    if (odds instanceof ReplacementChance chance) {
      addPart(
          task,
          position,
          chance.value(),
          new TakeLine.Reason.OnInspection(chance, position.note()),
          ofLooking(position));
    } else if (odds.value().signum() > 0) {
      addPart(task, position, new TakeLine.Reason.Part(position.note()), ofLooking(position));
    }
  }

  /** The policy behind a replacement; none where the maker alone asks for it. */
  private List<InForce> ofReplacing(Position position) {
    return switch (position.kind()) {
      case AIR_FILTER ->
          Stream.of(at(Question.AIR_FILTER, position))
              .filter(way -> way.is(School.EVERY_SERVICE))
              .toList();
      case SPARK_PLUG, FUEL_FILTER -> List.of(at(Question.PLUGS_AND_FUEL_FILTERS, position));
      default -> List.of();
    };
  }

  /** The policy behind a look. */
  private List<InForce> ofLooking(Position position) {
    return position.kind() == Position.Kind.AIR_FILTER
        ? List.of(at(Question.AIR_FILTER, position))
        : ofReplacing(position);
  }

  private InForce at(Question question, Position position) {
    return needs.ways().policies().at(question, position);
  }

  /** True if another task of the occurrence replaces what is there, so that nobody inspects it. */
  private boolean isReplaced(PositionId position) {
    return tasks.stream().anyMatch(task -> task.action().equals(new Task.Action.Replace(position)));
  }

  private void addFill(Task task, Compartment compartment) {
    if (compartment.itemId().isEmpty()) {
      gaps.add(new Take.Gap.NoItem(compartment.name()));
      return;
    }
    Optional<Fill> fill = fill(compartment);
    if (fill.isEmpty()) {
      gaps.add(new Take.Gap.NoCapacity(compartment.name()));
      return;
    }
    Volume capacity = fill.get().capacity();
    BigDecimal loss = needs.shelf().fills().handlingLoss();
    TakeLine.Reason reason =
        new TakeLine.Reason.Fill(
            fill.get().condition(),
            filterChanged(compartment).isPresent()
                ? FillCondition.WITH_FILTER
                : FillCondition.WITHOUT_FILTER,
            capacity,
            fill.get().filterVolume(),
            loss,
            needs.firstPour(compartment, capacity, preFill(compartment)));
    Quantity toLay = Quantity.of(capacity);
    Quantity expected = toLay.times(BigDecimal.ONE.add(loss));
    lines.add(
        new TakeLine(
            task.id(),
            compartment.itemId().get(),
            compartment.name(),
            Destination.compartment(compartment.id()),
            expected,
            toLay,
            reason,
            waysOfFill(compartment)));
  }

  private List<InForce> waysOfFill(Compartment compartment) {
    Stream<InForce> preFill =
        uprightFilter(compartment).stream().map(filter -> at(Question.PRE_FILL, filter));
    return Stream.concat(
            Stream.of(needs.ways().policies().at(Question.FIRST_POUR, compartment)), preFill)
        .toList();
  }

  /**
   * What goes into the new filter before it goes on: half of an upright one, where that is done.
   */
  private Volume preFill(Compartment compartment) {
    return uprightFilter(compartment)
        .filter(filter -> at(Question.PRE_FILL, filter).is(School.HALF_FILL_UPRIGHT))
        .flatMap(Position::filterVolume)
        .map(needs.shelf().fills()::halfOf)
        .orElse(Volume.ZERO);
  }

  /** The filter that is changed, if it would hold what is poured into it beforehand. */
  private Optional<Position> uprightFilter(Compartment compartment) {
    return filterChanged(compartment)
        .filter(filter -> filter.mounting().equals(Optional.of(Mounting.UPRIGHT)));
  }

  private void addSeals(Task task, Compartment compartment) {
    for (Position position : needs.positions()) {
      if (position.belongsTo(compartment) && position.kind() == Position.Kind.DRAIN_SEAL) {
        addSeal(task, compartment, position);
      } else if (position.belongsTo(compartment)
          && position.kind() == Position.Kind.DRAIN_PLUG
          && !isReplaced(position.id())) {
        addPlug(task, compartment, position);
      }
    }
  }

  private void addSeal(Task task, Compartment compartment, Position seal) {
    InForce way = at(Question.DRAIN_SEAL, seal);
    boolean reusable = seal.itemId().filter(needs.shelf().reusableSeals()::contains).isPresent();
    if (way.is(School.REUSE_SOUND_SEAL) && reusable) {
      ReplacementChance chance = needs.ways().chance(Position.Kind.DRAIN_SEAL);
      addPart(
          task,
          seal,
          chance.value(),
          new TakeLine.Reason.OnInspection(chance, seal.note()),
          List.of(way));
    } else {
      addPart(
          task, seal, new TakeLine.Reason.NewSeal(compartment.name(), seal.note()), List.of(way));
    }
  }

  private void addPlug(Task task, Compartment compartment, Position plug) {
    InForce way = at(Question.DRAIN_SEAL, plug);
    if (way.is(School.NEW_PLUG_AND_SEAL)) {
      addPart(
          task, plug, new TakeLine.Reason.NewPlug(compartment.name(), plug.note()), List.of(way));
    }
  }

  /**
   * What may break comes along with the work at its compartment, or with any work on the machine if
   * it is at none.
   */
  private void addInsurance() {
    for (Position position : needs.positions()) {
      if (position.kind() == Position.Kind.INSURANCE && !isReplaced(position.id())) {
        InForce way = at(Question.INSURANCE, position);
        if (way.is(School.INSURANCE_ON_TRAY)) {
          workAt(position).ifPresent(task -> addInsurance(task, position, way));
        }
      }
    }
  }

  private void addInsurance(Task task, Position position, InForce way) {
    ReplacementChance chance = needs.ways().chance(Position.Kind.INSURANCE);
    addPart(
        task,
        position,
        chance.value(),
        new TakeLine.Reason.Insurance(chance, position.note()),
        List.of(way));
  }

  private Optional<Task> workAt(Position position) {
    return tasks.stream()
        .filter(
            task ->
                position.compartmentId().isEmpty()
                    || position.compartmentId().equals(compartmentOf(task)))
        .findFirst();
  }

  private Optional<CompartmentId> compartmentOf(Task task) {
    return task.action() instanceof Task.Action.ChangeFluid change
        ? Optional.of(change.compartmentId())
        : task.positionId().flatMap(needs::knownPosition).flatMap(Position::compartmentId);
  }

  private void addPart(Task task, Position position, TakeLine.Reason reason, List<InForce> ways) {
    addPart(task, position, BigDecimal.ONE, reason, ways);
  }

  private void addPart(
      Task task, Position position, BigDecimal chance, TakeLine.Reason reason, List<InForce> ways) {
    if (position.itemId().isEmpty()) {
      gaps.add(new Take.Gap.NoItem(position.name()));
      return;
    }
    Quantity whole = Quantity.pieces(position.quantity());
    lines.add(
        new TakeLine(
            task.id(),
            position.itemId().get(),
            position.name(),
            Destination.position(position.id()),
            whole.times(chance),
            whole,
            reason,
            ways));
  }

  private record Fill(FillCondition condition, Volume capacity, Optional<Volume> filterVolume) {}

  private Optional<Fill> fill(Compartment compartment) {
    Optional<Position> filter = filterChanged(compartment);
    Optional<Volume> without = compartment.capacity(FillCondition.WITHOUT_FILTER);
    if (filter.isEmpty()) {
      return without
          .map(v -> new Fill(FillCondition.WITHOUT_FILTER, v, Optional.empty()))
          .or(
              () ->
                  compartment
                      .capacity(FillCondition.WITH_FILTER)
                      .map(v -> filterStays(compartment, v)));
    }
    return compartment
        .capacity(FillCondition.WITH_FILTER)
        .map(v -> new Fill(FillCondition.WITH_FILTER, v, Optional.empty()))
        .or(() -> without.map(v -> withFilterVolume(v, filter.get())));
  }

  private Fill withFilterVolume(Volume without, Position filter) {
    if (filter.filterVolume().isEmpty()) {
      gaps.add(new Take.Gap.FilterVolumeUnknown(filter.name()));
    }
    Volume capacity = without.plus(filter.filterVolume().orElse(Volume.ZERO));
    return new Fill(FillCondition.WITHOUT_FILTER, capacity, filter.filterVolume());
  }

  /** The filter stays, but only what goes in with a new one is on file. */
  private Fill filterStays(Compartment compartment, Volume withFilter) {
    gaps.add(new Take.Gap.FilterStays(compartment.name()));
    return new Fill(FillCondition.WITH_FILTER, withFilter, Optional.empty());
  }

  private Optional<Position> filterChanged(Compartment compartment) {
    return tasks.stream()
        .map(Task::action)
        .filter(Task.Action.Replace.class::isInstance)
        .map(action -> needs.position(((Task.Action.Replace) action).positionId()))
        .filter(position -> position.kind().holdsCompartmentFluid())
        .filter(position -> position.belongsTo(compartment))
        .findFirst();
  }
}
