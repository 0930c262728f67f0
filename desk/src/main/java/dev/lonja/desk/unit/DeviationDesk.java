package dev.lonja.desk.unit;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.pour.LearnedCapacity;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.NewDeviation;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidObjection;
import dev.lonja.desk.item.ItemNaming;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.query.UnitScope;
import java.util.List;
import java.util.Optional;
import java.util.function.BiFunction;
import org.springframework.stereotype.Service;

/** Notes how a unit differs from its variant, and lets it follow the variant again. */
@Service
@Allowed.ToKeepStore
public class DeviationDesk extends KeepersDesk {

  /** A change as the audit keeps it. */
  private static final Cases<Deviation.Change, Facts> FACTS =
      Cases.<Deviation.Change, Facts>over(Deviation.Change.class)
          .when(
              Deviation.Change.NoCompartment.class,
              c -> Facts.of("compartment_id", c.compartmentId()).with("absent", true))
          .when(
              Deviation.Change.OtherFluid.class,
              c -> Facts.of("compartment_id", c.compartmentId()).with("item_id", c.itemId()))
          .when(
              Deviation.Change.OtherCapacity.class,
              c ->
                  Facts.of("compartment_id", c.compartmentId())
                      .with("condition", c.condition())
                      .with("volume_l", c.capacity().exactText()))
          .when(
              Deviation.Change.NoPosition.class,
              p -> Facts.of("position_id", p.positionId()).with("absent", true))
          .when(
              Deviation.Change.OtherPart.class,
              p -> Facts.of("position_id", p.positionId()).with("item_id", p.itemId()))
          .when(
              Deviation.Change.OtherTorque.class,
              p -> Facts.of("position_id", p.positionId()).with("torque_nm", p.torque().display()))
          .when(
              Deviation.Change.NoTask.class,
              t -> Facts.of("task_id", t.taskId()).with("absent", true))
          .when(
              Deviation.Change.OtherInterval.class,
              t ->
                  Facts.of("task_id", t.taskId())
                      .with("interval", t.interval().run().map(run -> run.display()).orElse(""))
                      .with("months", t.interval().months().map(String::valueOf).orElse("")))
          .all();

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;

  public DeviationDesk(LonjaStore store, OnceOnly once, StoreClock clock) {
    this.store = store;
    this.once = once;
    this.clock = clock;
  }

  /** What all of a unit's variant are made of, and its tasks as the maker has them. */
  public record Pattern(UnitNeeds needs, List<Task> tasks) {}

  /** How a unit is to differ; another item is named as people name it. */
  public sealed interface Wish {}

  /** Another item in a compartment. */
  public record OtherFluid(CompartmentId compartmentId, String item) implements Wish {}

  /** Another item at a position. */
  public record OtherPart(PositionId positionId, String item) implements Wish {}

  /** Anything else. */
  public record Plain(Deviation.Change change) implements Wish {}

  /** Why nothing is noted, beside what names no item. */
  public sealed interface Refused extends Refusal {}

  /** No unit in service has this code. */
  public record UnknownUnit(String code) implements Refused {}

  /** The variant has nothing of the kind. */
  public record UnknownSubject() implements Refused {}

  /** The fluid may not go in there. */
  public record MayNot(FluidObjection objection) implements Refused {}

  /** The capacity would not agree with the others of the compartment. */
  public record Disagrees(Compartment compartment, FillCondition condition, Capacity capacity)
      implements Refused {}

  /** The fills do not propose that capacity any more. */
  public record NotProposed() implements Refused {}

  /** The deviation is no longer in force. */
  public record NotInForce() implements Refused {}

  /** Empty for a unit that is not in service. */
  public Optional<Pattern> pattern(String unitCode) {
    return store.read(
        session ->
            unit(session, unitCode)
                .map(
                    unit ->
                        new Pattern(
                            FleetPicture.load(session, clock.today())
                                .variants()
                                .get(unit.variant().id()),
                            session
                                .services()
                                .tasks(UnitScope.of(unit.id()))
                                .getOrDefault(unit.id(), List.of()))));
  }

  private Optional<Unit> unit(Session session, String code) {
    return session.fleet().serving(code, clock.today());
  }

  /** Notes how a unit differs; what differed there before gives way. */
  @Allowed.ToKeepStore
  public Outcome put(Sent sent, String unitCode, Wish wish, String reason) {
    return onUnit(
        sent,
        unitCode,
        (session, unit) ->
            Cases.<Wish, Outcome>over(Wish.class)
                .when(
                    OtherFluid.class,
                    other ->
                        ItemNaming.naming(
                            session,
                            other.item(),
                            Measure.LITRES,
                            item ->
                                put(
                                    session,
                                    sent,
                                    unit,
                                    new Deviation.Change.OtherFluid(
                                        other.compartmentId(), item.id()),
                                    reason)))
                .when(
                    OtherPart.class,
                    other ->
                        ItemNaming.naming(
                            session,
                            other.item(),
                            measure(session, unit, other.positionId()),
                            item ->
                                put(
                                    session,
                                    sent,
                                    unit,
                                    new Deviation.Change.OtherPart(
                                        other.positionId(), item.id(), item.filterVolume()),
                                    reason)))
                .when(Plain.class, plain -> put(session, sent, unit, plain.change(), reason))
                .all()
                .apply(wish));
  }

  /** What is counted of whatever goes to a position. */
  private Measure measure(Session session, Unit unit, PositionId position) {
    return FleetPicture.load(session, clock.today())
        .needs(unit.id())
        .knownPosition(position)
        .map(known -> known.kind().measure())
        .orElse(Measure.PIECES);
  }

  private Outcome put(
      Session session, Sent sent, Unit unit, Deviation.Change change, String reason) {
    Optional<Refused> refusal = new Objections(session, unit).to(change);
    if (refusal.isPresent()) {
      return Outcome.refused(refusal.get());
    }
    session
        .deviations()
        .put(
            unit.id(),
            new NewDeviation(change, Deviation.Source.UNIT, reason, clock.today(), sent.actor()));
    audit(session, sent, unit, Deed.DEVIATES, FACTS.apply(change).with("reason", reason));
    return Outcome.done();
  }

  /** What speaks against a change on a unit. */
  private final class Objections {
    private final Session session;
    private final UnitNeeds needs;
    private final List<Task> tasks;

    Objections(Session session, Unit unit) {
      this.session = session;
      this.needs = FleetPicture.load(session, clock.today()).variants().get(unit.variant().id());
      this.tasks =
          session.services().tasks(UnitScope.of(unit.id())).getOrDefault(unit.id(), List.of());
    }

    Optional<Refused> to(Deviation.Change change) {
      return Cases.<Deviation.Change, Optional<Refused>>over(Deviation.Change.class)
          .when(Deviation.Change.NoCompartment.class, c -> unknown(c.compartmentId()))
          .when(
              Deviation.Change.OtherFluid.class,
              c -> unknown(c.compartmentId()).or(() -> mayNot(c)))
          .when(
              Deviation.Change.OtherCapacity.class,
              c -> unknown(c.compartmentId()).or(() -> disagrees(c)))
          .when(Deviation.Change.NoPosition.class, p -> unknown(p.positionId()))
          .when(Deviation.Change.OtherPart.class, p -> unknown(p.positionId()))
          .when(Deviation.Change.OtherTorque.class, p -> unknown(p.positionId()))
          .when(Deviation.Change.NoTask.class, t -> unknown(t.taskId()))
          .when(Deviation.Change.OtherInterval.class, t -> unknown(t.taskId()))
          .all()
          .apply(change);
    }

    private Optional<Refused> unknown(CompartmentId id) {
      return unless(needs.compartments().stream().anyMatch(c -> c.id().equals(id)));
    }

    private Optional<Refused> unknown(PositionId id) {
      return unless(needs.knownPosition(id).isPresent());
    }

    private Optional<Refused> unknown(TaskId id) {
      return unless(tasks.stream().anyMatch(task -> task.id().equals(id)));
    }

    private static Optional<Refused> unless(boolean known) {
      return known ? Optional.empty() : Optional.of(new UnknownSubject());
    }

    private Optional<Refused> mayNot(Deviation.Change.OtherFluid other) {
      return FluidObjection.to(
              session,
              clock.today(),
              needs.compartment(other.compartmentId()).spec(),
              other.itemId())
          .map(MayNot::new);
    }

    private Optional<Refused> disagrees(Deviation.Change.OtherCapacity other) {
      Compartment compartment = needs.compartment(other.compartmentId());
      Compartment changed = compartment.withCapacity(other.condition(), other.capacity());
      return changed.capacitiesAgree() && changed.fillingAgrees()
          ? Optional.empty()
          : Optional.of(new Disagrees(compartment, other.condition(), other.capacity()));
    }
  }

  /** Takes a capacity that recorded fills propose, as they stand now. */
  @Allowed.ToKeepStore
  public Outcome acceptLearned(
      Sent sent, String unitCode, CompartmentId compartmentId, FillCondition condition) {
    return onUnit(
        sent,
        unitCode,
        (session, unit) ->
            LearnedCapacity.proposals(
                    FleetPicture.load(session, clock.today()).needs(unit.id()).compartments(),
                    session
                        .records()
                        .fills(UnitScope.of(unit.id()))
                        .getOrDefault(unit.id(), List.of()))
                .stream()
                .filter(proposal -> proposal.compartment().id().equals(compartmentId))
                .filter(proposal -> proposal.condition() == condition)
                .findFirst()
                .map(proposal -> accept(session, sent, unit, proposal))
                .orElseGet(() -> Outcome.refused(new NotProposed())));
  }

  private Outcome accept(Session session, Sent sent, Unit unit, LearnedCapacity learned) {
    Deviation.Change change =
        new Deviation.Change.OtherCapacity(
            learned.compartment().id(), learned.condition(), learned.proposed());
    session
        .deviations()
        .put(
            unit.id(),
            new NewDeviation(change, Deviation.Source.LEARNED, "", clock.today(), sent.actor()));
    audit(
        session,
        sent,
        unit,
        Deed.DEVIATES,
        FACTS
            .apply(change)
            .with("learned_fills", learned.fills().size())
            .with("last_fill_on", learned.fills().get(0).day()));
    return Outcome.done();
  }

  /** Lets the unit follow its variant again in one thing. */
  @Allowed.ToKeepStore
  public Outcome remove(Sent sent, String unitCode, long deviationId) {
    return onUnit(
        sent,
        unitCode,
        (session, unit) -> {
          if (!session.deviations().remove(unit.id(), deviationId)) {
            return Outcome.refused(new NotInForce());
          }
          audit(session, sent, unit, Deed.FOLLOWS_VARIANT, Facts.of("deviation_id", deviationId));
          return Outcome.done();
        });
  }

  private Outcome onUnit(Sent sent, String code, BiFunction<Session, Unit, Outcome> work) {
    return once.run(
        sent,
        session ->
            unit(session, code)
                .map(unit -> work.apply(session, unit))
                .orElseGet(() -> Outcome.refused(new UnknownUnit(code))));
  }

  private void audit(Session session, Sent sent, Unit unit, Deed deed, Facts after) {
    session.audit().add(sent.line(clock.now(), Matter.UNIT, unit.id(), deed, Facts.NONE, after));
  }
}
