package dev.lonja.core.take;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.inspection.ReplacementOdds;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Task;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Works out the parts of one occurrence: what is replaced, looked at, sealed, or brought in case.
 */
final class PartTake {

  private final UnitNeeds needs;
  private final List<Task> tasks;
  private final List<TakeLine> lines;
  private final List<Take.Gap> gaps;

  /**
   * @param tasks of the occurrence
   * @param lines to which parts are added
   * @param gaps to which is added what could not be said
   */
  PartTake(UnitNeeds needs, List<Task> tasks, List<TakeLine> lines, List<Take.Gap> gaps) {
    this.needs = needs;
    this.tasks = tasks;
    this.lines = lines;
    this.gaps = gaps;
  }

  void addReplaced(Task task, Position position) {
    if (position.kind() == Position.Kind.GREASE_POINT) {
      addGrease(task, position);
    } else {
      addPart(task, position, new TakeLine.Reason.Part(position.note()), ofReplacing(position));
    }
  }

  private void addGrease(Task task, Position position) {
    if (position.itemId().isEmpty()) {
      gaps.add(new Take.Gap.NoItem(position.name()));
    } else if (position.strokes().isEmpty()) {
      gaps.add(new Take.Gap.NoStrokes(position.name()));
    } else {
      int strokes = position.strokes().get();
      Quantity grease = needs.shelf().fills().grease(position.quantity(), strokes);
      lines.add(
          new TakeLine(
              task.id(),
              position.itemId().get(),
              position.name(),
              Destination.position(position.id()),
              grease,
              grease,
              new TakeLine.Reason.Greasing(position.quantity(), strokes, position.note())));
    }
  }

  /** Nothing if another task of the occurrence replaces what is there. */
  void addInspected(Task task, Task.Action.Inspect inspect) {
    Position position = needs.position(inspect.positionId());
    if (position.kind() != Position.Kind.GREASE_POINT && !isReplaced(position.id())) {
      addInspected(task, position, inspect.odds());
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
    return Stream.concat(ofTask(position).stream(), ofMake(position)).toList();
  }

  /** By which policy it is this make; none where any will do. */
  private Stream<InForce> ofMake(Position position) {
    return Question.FILTER_MAKE.kinds().contains(position.kind())
        ? Stream.of(at(Question.FILTER_MAKE, position)).filter(way -> !way.is(School.ANY_THAT_FITS))
        : Stream.empty();
  }

  private List<InForce> ofTask(Position position) {
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
        ? Stream.concat(Stream.of(at(Question.AIR_FILTER, position)), ofMake(position)).toList()
        : ofReplacing(position);
  }

  private InForce at(Question question, Position position) {
    return needs.ways().policies().at(question, position);
  }

  /** True if another task of the occurrence replaces what is there, so that nobody inspects it. */
  private boolean isReplaced(PositionId position) {
    return tasks.stream().anyMatch(task -> task.action().equals(new Task.Action.Replace(position)));
  }

  /** What opening a compartment takes: its seals, and by policy its plugs. */
  void addSeals(Task task, Compartment compartment) {
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
  void addInsurance() {
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
    return task.compartmentId()
        .or(() -> task.positionId().flatMap(needs::knownPosition).flatMap(Position::compartmentId));
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
}
