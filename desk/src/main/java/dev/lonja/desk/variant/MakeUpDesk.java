package dev.lonja.desk.variant;

import dev.lonja.core.fleet.Capacity;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Filling;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.Item;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.TaskId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidObjection;
import dev.lonja.desk.item.ItemNaming;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.store.fleet.VariantTasks.StoredTask;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import org.springframework.stereotype.Service;

/** What variants are made of and what is done to them: compartments, positions and tasks. */
@Service
@Allowed.ToSeeStore
public class MakeUpDesk extends KeepersDesk {

  private final StoreClock clock;
  private final OnceOnly once;

  public MakeUpDesk(StoreClock clock, OnceOnly once) {
    this.clock = clock;
    this.once = once;
  }

  /**
   * A compartment as described, before it has a number.
   *
   * @param item the preferred fluid as people name it
   * @param filling as it is said, without what it is flushed with
   * @param flush what it is flushed with, if somebody says
   */
  public record CompartmentDraft(
      String name,
      Compartment.Kind kind,
      Optional<String> item,
      Map<FillCondition, Capacity> capacities,
      Filling filling,
      Optional<FlushDraft> flush,
      String hint) {}

  /** What a compartment is flushed with, as people name it. */
  public record FlushDraft(String item, Volume volume) {}

  /**
   * A position as described.
   *
   * @param kind what goes there
   * @param item the preferred part as people name it
   * @param as the position under its number, with the item that is meant
   */
  public record PositionDraft(
      Position.Kind kind,
      Optional<String> item,
      BiFunction<PositionId, Optional<Item>, Position> as) {}

  /** Saves a compartment, or adds one. */
  @Allowed.ToKeepStore
  public Outcome saveCompartment(
      Sent sent, long id, long version, Optional<CompartmentId> known, CompartmentDraft draft) {
    return edit(
        sent,
        id,
        version,
        edit -> {
          if (known.filter(edit::lacks).isPresent()) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          return edit.withItem(
              draft.item(),
              Measure.LITRES,
              item ->
                  atFlush(
                      edit.withItem(
                          draft.flush().map(FlushDraft::item),
                          Measure.LITRES,
                          flush -> saveCompartment(edit, known, draft, item, flush))));
        });
  }

  /** Of two fluids that people name, it is said which one is not known. */
  private static Outcome atFlush(Outcome outcome) {
    return outcome instanceof Outcome.Refused refused
            && refused.reasons().stream().allMatch(ItemNaming.Answer.class::isInstance)
        ? Outcome.refused(new VariantRefusal.NoSuchFlush())
        : outcome;
  }

  private Outcome saveCompartment(
      VariantEdit edit,
      Optional<CompartmentId> known,
      CompartmentDraft draft,
      Optional<Item> item,
      Optional<Item> flush) {
    CompartmentId compartmentId = known.orElseGet(edit.session().variants()::nextCompartment);
    Compartment compartment =
        new Compartment(
            compartmentId,
            draft.name(),
            draft.kind(),
            edit.specOf(compartmentId, draft.kind()),
            item.map(Item::id),
            draft.capacities(),
            new Filling(
                draft.filling().level(),
                draft.filling().holdBack(),
                flush.map(
                    fluid -> new Filling.Flush(fluid.id(), draft.flush().orElseThrow().volume())),
                draft.filling().topUps()),
            draft.hint(),
            Optional.empty());
    List<VariantRefusal> refusals = new ArrayList<>();
    if (edit.needs().compartments().stream()
        .anyMatch(c -> !c.id().equals(compartmentId) && c.name().equals(draft.name()))) {
      refusals.add(new VariantRefusal.CompartmentTaken(draft.name()));
    }
    if (!compartment.capacitiesAgree()) {
      refusals.add(new VariantRefusal.CapacitiesDisagree());
    }
    compartment
        .filling()
        .topUps()
        .flatMap(rate -> edit.unknownMeter(rate.meter()))
        .ifPresent(refusals::add);
    if (!compartment.fillingAgrees()) {
      refusals.add(new VariantRefusal.FillingDisagrees());
    }
    item.flatMap(i -> FluidObjection.to(edit.session(), clock.today(), compartment.spec(), i.id()))
        .map(VariantRefusal.MayNot::new)
        .ifPresent(refusals::add);
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    edit.session().variants().save(edit.id(), compartment);
    return edit.done(Facts.of("compartment", draft.name()));
  }

  /** Saves a position, or adds one. */
  @Allowed.ToKeepStore
  public Outcome savePosition(
      Sent sent, long id, long version, Optional<PositionId> known, PositionDraft draft) {
    return edit(
        sent,
        id,
        version,
        edit -> {
          if (known.filter(p -> edit.needs().knownPosition(p).isEmpty()).isPresent()) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          return edit.withItem(
              draft.item(), draft.kind().measure(), item -> savePosition(edit, known, draft, item));
        });
  }

  private static Outcome savePosition(
      VariantEdit edit, Optional<PositionId> known, PositionDraft draft, Optional<Item> item) {
    PositionId positionId = known.orElseGet(edit.session().variants()::nextPosition);
    Position position = draft.as().apply(positionId, item);
    List<VariantRefusal> refusals = new ArrayList<>();
    if (edit.needs().positions().stream()
        .anyMatch(p -> !p.id().equals(positionId) && p.name().equals(position.name()))) {
      refusals.add(new VariantRefusal.PositionTaken(position.name()));
    }
    if (position.compartmentId().filter(edit::lacks).isPresent()) {
      refusals.add(new VariantRefusal.UnknownCompartment());
    }
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    edit.session().variants().save(edit.id(), position);
    return edit.done(Facts.of("position", position.name()));
  }

  /**
   * Saves a task, or adds one.
   *
   * @param as the task under its number
   */
  @Allowed.ToKeepStore
  public Outcome saveTask(
      Sent sent, long id, long version, Optional<TaskId> known, Function<TaskId, StoredTask> as) {
    return edit(
        sent,
        id,
        version,
        edit -> {
          if (known.filter(edit::lacks).isPresent()) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          StoredTask task = as.apply(known.orElseGet(edit.session().variants().tasks()::next));
          List<VariantRefusal> refusals = edit.refusals(task);
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          edit.session().variants().tasks().save(id, task);
          return edit.done(Facts.of("task", task.name()).with("service", task.service()));
        });
  }

  /** Deletes a compartment that nothing refers to. */
  @Allowed.ToKeepStore
  public Outcome deleteCompartment(Sent sent, long id, long version, CompartmentId compartment) {
    return edit(
        sent,
        id,
        version,
        edit ->
            edit.delete(
                !edit.lacks(compartment),
                edit.session().variants().usesOfCompartment(compartment),
                () -> edit.session().variants().deleteCompartment(compartment),
                Facts.of("compartment_id", compartment)));
  }

  /** Deletes a position that nothing refers to. */
  @Allowed.ToKeepStore
  public Outcome deletePosition(Sent sent, long id, long version, PositionId position) {
    return edit(
        sent,
        id,
        version,
        edit ->
            edit.delete(
                edit.needs().knownPosition(position).isPresent(),
                edit.session().variants().usesOfPosition(position),
                () -> edit.session().variants().deletePosition(position),
                Facts.of("position_id", position)));
  }

  /** Deletes a task that nothing refers to. */
  @Allowed.ToKeepStore
  public Outcome deleteTask(Sent sent, long id, long version, TaskId task) {
    return edit(
        sent,
        id,
        version,
        edit ->
            edit.delete(
                !edit.lacks(task),
                edit.session().variants().tasks().usesOf(task),
                () -> edit.session().variants().tasks().delete(id, task),
                Facts.of("task_id", task)));
  }

  /** Carries an edit out and notes it in the audit. */
  private Outcome edit(Sent sent, long id, long version, Function<VariantEdit, Outcome> work) {
    return once.run(
        sent,
        session -> {
          Optional<StoredVariant> stored = session.variants().byId(id);
          if (stored.isEmpty() || !session.variants().touch(id, version)) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          VariantEdit edit = edit(session, stored.get());
          Outcome outcome = work.apply(edit);
          if (outcome instanceof Outcome.Done) {
            Deed deed = edit.deleted().isEmpty() ? Deed.EDITED : Deed.DELETED;
            session
                .audit()
                .add(
                    sent.line(clock.now(), Matter.VARIANT, id, deed, edit.deleted(), edit.saved()));
          }
          return outcome;
        });
  }

  private VariantEdit edit(Session session, StoredVariant stored) {
    UnitNeeds needs =
        FleetPicture.load(session, clock.today()).variants().get(stored.variant().id());
    return new VariantEdit(session, stored, needs);
  }
}
