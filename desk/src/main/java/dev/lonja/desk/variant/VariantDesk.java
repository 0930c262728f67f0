package dev.lonja.desk.variant;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Variant;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.UnitNeeds;
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
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.fleet.Use;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.store.fleet.VariantTasks.StoredTask;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Models and variants: new ones, copies, and the parts and tasks of each. */
@Service
@Allowed.ToSeeStore
public class VariantDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public VariantDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** What a variant is called; the name may be empty if its model has no other. */
  public record Name(String make, String model, String name) {

    boolean isOf(Variant variant) {
      return variant.make().equals(make)
          && variant.model().equals(model)
          && variant.name().equals(name);
    }

    String line() {
      return (make + " " + model + " " + name).strip();
    }
  }

  /**
   * A variant with all that its machines are made of.
   *
   * @param items that it prefers
   * @param shared numbers among these that several makes use
   */
  public record VariantFile(
      StoredVariant stored,
      UnitNeeds needs,
      List<StoredTask> tasks,
      Map<ItemId, Item> items,
      Set<ItemId> shared) {}

  /**
   * A compartment as described, before it has a number.
   *
   * @param item the preferred fluid as people name it
   */
  public record CompartmentDraft(
      String name,
      Compartment.Kind kind,
      Optional<String> item,
      Map<FillCondition, Volume> capacities,
      String hint) {}

  /**
   * A position as described.
   *
   * @param item the preferred part as people name it
   * @param as the position under its number, with the item that is meant
   */
  public record PositionDraft(
      Optional<String> item, BiFunction<PositionId, Optional<Item>, Position> as) {}

  public List<StoredVariant> all() {
    return store.read(session -> session.variants().all());
  }

  /** Empty for an unknown variant. */
  public Optional<VariantFile> file(long id) {
    return store.read(session -> session.variants().byId(id).map(stored -> file(session, stored)));
  }

  private VariantFile file(Session session, StoredVariant stored) {
    long id = stored.variant().id();
    UnitNeeds needs = needs(session, id);
    Map<ItemId, Item> items =
        session
            .items()
            .byIds(
                Stream.concat(
                        needs.compartments().stream().flatMap(c -> c.itemId().stream()),
                        needs.positions().stream().flatMap(p -> p.itemId().stream()))
                    .collect(Collectors.toSet()));
    Set<ItemId> shared = session.items().sharingTheirNumber(items.values());
    return new VariantFile(stored, needs, session.variants().tasks().of(id), items, shared);
  }

  /**
   * Adds a variant; answers its number.
   *
   * @param like the variant to copy; empty for a bare one
   */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, Optional<Long> like, Name name) {
    return once.run(
        sent,
        session -> {
          Optional<StoredVariant> original = like.flatMap(session.variants()::byId);
          List<VariantRefusal> refusals = new ArrayList<>();
          if (like.isPresent() && original.isEmpty()) {
            refusals.add(new VariantRefusal.NoOriginal());
          }
          taken(session, Optional.empty(), name).ifPresent(refusals::add);
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          long id = session.variants().add(name.make(), name.model(), name.name());
          original.ifPresent(from -> copy(session, from.variant().id(), id));
          audit(
              session,
              sent,
              id,
              "added",
              original.map(from -> "like " + from.variant().display()).orElse(""),
              name.line());
          return Outcome.done(id);
        });
  }

  private static Optional<VariantRefusal> taken(Session session, Optional<Long> self, Name name) {
    return session.variants().all().stream()
        .map(StoredVariant::variant)
        .filter(other -> self.filter(id -> id == other.id()).isEmpty())
        .filter(name::isOf)
        .findFirst()
        .map(VariantRefusal.NameTaken::new);
  }

  private UnitNeeds needs(Session session, long variant) {
    return FleetPicture.load(session, clock.today()).variants().get(variant);
  }

  private void copy(Session session, long from, long to) {
    UnitNeeds needs = needs(session, from);
    Map<CompartmentId, CompartmentId> compartments = new HashMap<>();
    for (Compartment original : needs.compartments()) {
      Compartment copy = original.copy(session.variants().nextCompartment());
      session.variants().save(to, copy);
      compartments.put(original.id(), copy.id());
    }
    Map<PositionId, PositionId> positions = new HashMap<>();
    for (Position original : needs.positions()) {
      Position copy =
          original.copy(
              session.variants().nextPosition(), original.compartmentId().map(compartments::get));
      session.variants().save(to, copy);
      positions.put(original.id(), copy.id());
    }
    session.variants().tasks().copy(from, to, compartments, positions);
  }

  @Allowed.ToKeepStore
  public Outcome rename(Sent sent, long id, long version, Name name) {
    return once.run(
        sent,
        session -> {
          StoredVariant stored = session.variants().byId(id).orElseThrow();
          Optional<VariantRefusal> taken = taken(session, Optional.of(id), name);
          if (taken.isPresent()) {
            return Outcome.refused(taken.get());
          }
          if (!session.variants().rename(id, version, name.make(), name.model(), name.name())) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          audit(session, sent, id, "renamed", stored.variant().display(), name.line());
          return Outcome.done();
        });
  }

  /** Deletes a variant; refused while units are made like it. */
  @Allowed.ToKeepStore
  public Outcome delete(Sent sent, long id) {
    return once.run(
        sent,
        session -> {
          StoredVariant stored = session.variants().byId(id).orElseThrow();
          if (!stored.units().isEmpty()) {
            return Outcome.refused(new VariantRefusal.MadeLike(stored));
          }
          session.variants().delete(id);
          audit(session, sent, id, "deleted", stored.variant().display(), "");
          return Outcome.done();
        });
  }

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
              draft.item(), Measure.LITRES, item -> saveCompartment(edit, known, draft, item));
        });
  }

  private Outcome saveCompartment(
      Edit edit, Optional<CompartmentId> known, CompartmentDraft draft, Optional<Item> item) {
    CompartmentId compartmentId = known.orElseGet(edit.session.variants()::nextCompartment);
    Compartment compartment =
        new Compartment(
            compartmentId,
            draft.name(),
            draft.kind(),
            edit.specOf(compartmentId, draft.kind()),
            item.map(Item::id),
            draft.capacities(),
            draft.hint(),
            Optional.empty());
    List<VariantRefusal> refusals = new ArrayList<>();
    if (edit.needs.compartments().stream()
        .anyMatch(c -> !c.id().equals(compartmentId) && c.name().equals(draft.name()))) {
      refusals.add(new VariantRefusal.CompartmentTaken(draft.name()));
    }
    if (!compartment.capacitiesAgree()) {
      refusals.add(new VariantRefusal.CapacitiesDisagree());
    }
    item.flatMap(i -> FluidObjection.to(edit.session, clock.today(), compartment.spec(), i.id()))
        .map(VariantRefusal.MayNot::new)
        .ifPresent(refusals::add);
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    edit.session.variants().save(edit.id, compartment);
    return Outcome.done("compartment " + draft.name());
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
          if (known.filter(p -> edit.needs.knownPosition(p).isEmpty()).isPresent()) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          return edit.withItem(
              draft.item(), Measure.PIECES, item -> savePosition(edit, known, draft, item));
        });
  }

  private static Outcome savePosition(
      Edit edit, Optional<PositionId> known, PositionDraft draft, Optional<Item> item) {
    PositionId positionId = known.orElseGet(edit.session.variants()::nextPosition);
    Position position = draft.as().apply(positionId, item);
    List<VariantRefusal> refusals = new ArrayList<>();
    if (edit.needs.positions().stream()
        .anyMatch(p -> !p.id().equals(positionId) && p.name().equals(position.name()))) {
      refusals.add(new VariantRefusal.PositionTaken(position.name()));
    }
    if (position.compartmentId().filter(edit::lacks).isPresent()) {
      refusals.add(new VariantRefusal.UnknownCompartment());
    }
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    edit.session.variants().save(edit.id, position);
    return Outcome.done("position " + position.name());
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
          StoredTask task = as.apply(known.orElseGet(edit.session.variants().tasks()::next));
          List<VariantRefusal> refusals = edit.refusals(task);
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          edit.session.variants().tasks().save(id, task);
          return Outcome.done("task " + task.name());
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
                edit.session.variants().usesOfCompartment(compartment),
                () -> edit.session.variants().deleteCompartment(compartment),
                "compartment " + compartment + " deleted"));
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
                edit.needs.knownPosition(position).isPresent(),
                edit.session.variants().usesOfPosition(position),
                () -> edit.session.variants().deletePosition(position),
                "position " + position + " deleted"));
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
                edit.session.variants().tasks().usesOf(task),
                () -> edit.session.variants().tasks().delete(id, task),
                "task " + task + " deleted"));
  }

  /** An edit of one variant within its transaction. */
  private static final class Edit {
    private final Session session;
    private final long id;
    private final StoredVariant stored;
    private final UnitNeeds needs;
    private final List<StoredTask> tasks;

    Edit(Session session, StoredVariant stored, UnitNeeds needs) {
      this.session = session;
      this.id = stored.variant().id();
      this.stored = stored;
      this.needs = needs;
      this.tasks = session.variants().tasks().of(id);
    }

    boolean lacks(CompartmentId compartment) {
      return needs.compartments().stream().noneMatch(c -> c.id().equals(compartment));
    }

    boolean lacks(TaskId task) {
      return tasks.stream().noneMatch(t -> t.id().equals(task));
    }

    /** The spec that is on file; a new compartment demands what its kind usually holds. */
    Spec specOf(CompartmentId compartment, Compartment.Kind kind) {
      return needs.compartments().stream()
          .filter(c -> c.id().equals(compartment))
          .findFirst()
          .map(Compartment::spec)
          .orElse(Spec.ofKind(kind.usualFluid()));
    }

    Outcome withItem(
        Optional<String> name, Measure measure, Function<Optional<Item>, Outcome> work) {
      return name.isEmpty()
          ? work.apply(Optional.empty())
          : ItemNaming.naming(session, name.get(), measure, item -> work.apply(Optional.of(item)));
    }

    List<VariantRefusal> refusals(StoredTask task) {
      List<VariantRefusal> refusals = new ArrayList<>();
      List<StoredTask> others = tasks.stream().filter(t -> !t.id().equals(task.id())).toList();
      if (others.stream()
          .anyMatch(t -> t.name().equals(task.name()) && t.service().equals(task.service()))) {
        refusals.add(new VariantRefusal.TaskTaken(task.service(), task.name()));
      }
      if (task.compartment().filter(this::lacks).isPresent()
          || task.position().filter(p -> needs.knownPosition(p).isEmpty()).isPresent()) {
        refusals.add(new VariantRefusal.UnknownSubject());
      }
      boolean goodLead =
          task.lead().isEmpty()
              || others.stream()
                  .anyMatch(t -> task.lead().equals(Optional.of(t.id())) && t.lead().isEmpty());
      boolean leads = others.stream().anyMatch(t -> t.lead().equals(Optional.of(task.id())));
      if (!goodLead) {
        refusals.add(new VariantRefusal.BadLead());
      } else if (task.lead().isPresent() && leads) {
        refusals.add(new VariantRefusal.LeadsOthers());
      }
      task.meter()
          .filter(name -> !stored.units().isEmpty() && !stored.meters().containsKey(name))
          .map(name -> new VariantRefusal.UnknownMeter(name, List.copyOf(stored.meters().keySet())))
          .ifPresent(refusals::add);
      return refusals;
    }

    Outcome delete(boolean isThere, List<Use> uses, Runnable delete, String what) {
      if (!isThere) {
        return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
      }
      if (!uses.isEmpty()) {
        return Outcome.refused(new VariantRefusal.InUse(uses));
      }
      delete.run();
      return Outcome.done(what);
    }
  }

  /** Carries an edit out; what it answers is what stands in the audit. */
  private Outcome edit(Sent sent, long id, long version, Function<Edit, Outcome> work) {
    return once.run(
        sent,
        session -> {
          Optional<StoredVariant> stored = session.variants().byId(id);
          if (stored.isEmpty() || !session.variants().touch(id, version)) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          Outcome outcome = work.apply(new Edit(session, stored.get(), needs(session, id)));
          if (outcome instanceof Outcome.Done done) {
            audit(session, sent, id, "edited", "", done.answer());
          }
          return outcome;
        });
  }

  private void audit(
      Session session, Sent sent, long id, String action, String before, String after) {
    AuditLog.Line line = new AuditLog.Line(action, before, after, sent.actor(), clock.now());
    session.audit().add("variant", id, line);
  }
}
