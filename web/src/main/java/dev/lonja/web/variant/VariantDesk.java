package dev.lonja.web.variant;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.web.request.Typed;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.function.Function;
import java.util.function.Predicate;
import org.springframework.stereotype.Service;

/** Models and variants: new ones, copies, and the parts and tasks of each. */
@Service
@Allowed.ToSeeStore
public class VariantDesk {

  private static final int LONGEST_NAME = 60;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  /** What a variant is called; the name may be empty if its model has no other. */
  public record NameForm(String make, String model, String name) {}

  public VariantDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  VariantView.All all() {
    return store.read(
        session ->
            new VariantView.All(
                session.variants().all().stream()
                    .map(
                        stored ->
                            new VariantView.Row(
                                stored.variant().id(),
                                stored.variant().display(),
                                String.join(", ", stored.units()),
                                stored.units().size()))
                    .toList()));
  }

  Optional<VariantView> view(long id) {
    return store.read(
        session ->
            session.variants().byId(id).map(stored -> new VariantPage(session, stored).view()));
  }

  /**
   * Adds a variant, like another one if that is named.
   *
   * @param like the id of the variant to copy; empty for a bare one
   */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, String like, NameForm form) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          Optional<StoredVariant> original =
              session.variants().all().stream()
                  .filter(stored -> String.valueOf(stored.variant().id()).equals(like))
                  .findFirst();
          if (!like.isEmpty() && original.isEmpty()) {
            typed.refuse("like", "The variant to copy is not on file any more.");
          }
          checkName(session, typed, 0, form);
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          long id =
              session
                  .variants()
                  .add(form.make().strip(), form.model().strip(), form.name().strip());
          original.ifPresent(from -> copy(session, from.variant().id(), id));
          audit(
              session,
              sent,
              id,
              "added",
              original.map(from -> "like " + from.variant().display()).orElse(""),
              form.make() + " " + form.model() + " " + form.name());
          return done(id);
        });
  }

  private static void checkName(Session session, Typed typed, long id, NameForm form) {
    typed.text("make", "The make", form.make(), LONGEST_NAME);
    typed.text("model", "The model", form.model(), LONGEST_NAME);
    if (form.name().strip().length() > LONGEST_NAME) {
      typed.refuse("name", "The variant's name is longer than " + LONGEST_NAME + " characters.");
    }
    session.variants().all().stream()
        .map(StoredVariant::variant)
        .filter(other -> other.id() != id)
        .filter(
            other ->
                other.make().equals(form.make().strip())
                    && other.model().equals(form.model().strip())
                    && other.name().equals(form.name().strip()))
        .findFirst()
        .ifPresent(other -> typed.refuse("name", "There is " + other.display() + " already."));
  }

  private static void copy(Session session, long from, long to) {
    UnitNeeds needs = session.fleet().needs().get(from);
    Map<CompartmentId, CompartmentId> compartments = new HashMap<>();
    for (Compartment c : needs.compartments()) {
      Compartment copy =
          new Compartment(
              session.variants().nextCompartment(),
              c.name(),
              c.kind(),
              c.spec(),
              c.itemId(),
              c.capacities(),
              c.hint(),
              Optional.empty());
      session.variants().save(to, copy);
      compartments.put(c.id(), copy.id());
    }
    Map<PositionId, PositionId> positions = new HashMap<>();
    for (Position p : needs.positions()) {
      Position copy =
          new Position(
              session.variants().nextPosition(),
              p.name(),
              p.kind(),
              p.compartmentId().map(compartments::get),
              p.itemId(),
              p.quantity(),
              p.torque(),
              p.mounting(),
              p.thread(),
              p.drive(),
              p.note(),
              Optional.empty(),
              p.limits());
      session.variants().save(to, copy);
      positions.put(p.id(), copy.id());
    }
    session.variants().tasks().copy(from, to, compartments, positions);
  }

  @Allowed.ToKeepStore
  public Outcome rename(Sent sent, long id, long version, NameForm form) {
    return once.run(
        sent,
        session -> {
          StoredVariant stored = session.variants().byId(id).orElseThrow();
          Typed typed = new Typed();
          checkName(session, typed, id, form);
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          boolean renamed =
              session
                  .variants()
                  .rename(
                      id, version, form.make().strip(), form.model().strip(), form.name().strip());
          if (!renamed) {
            return stale();
          }
          audit(
              session,
              sent,
              id,
              "renamed",
              stored.variant().display(),
              form.make() + " " + form.model() + " " + form.name());
          return done(id);
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
            return Outcome.refused(
                Problem.ofWhole(
                    stored.variant().display()
                        + " cannot be deleted: "
                        + String.join(", ", stored.units())
                        + " are made like it. Retired units count too, since their history"
                        + " refers to it."));
          }
          session.variants().delete(id);
          audit(session, sent, id, "deleted", stored.variant().display(), "");
          return new Outcome.Done("/fleet/variants");
        });
  }

  private static Predicate<Session> hasCompartment(long id, Optional<CompartmentId> compartment) {
    return session ->
        compartment.isEmpty()
            || session.fleet().needs().get(id).compartments().stream()
                .anyMatch(c -> c.id().equals(compartment.get()));
  }

  private static Predicate<Session> hasPosition(long id, Optional<PositionId> position) {
    return session ->
        position.isEmpty()
            || session.fleet().needs().get(id).positions().stream()
                .anyMatch(p -> p.id().equals(position.get()));
  }

  private static Predicate<Session> hasTask(long id, Optional<TaskId> task) {
    return session ->
        task.isEmpty()
            || session.variants().tasks().of(id).stream().anyMatch(t -> t.id().equals(task.get()));
  }

  /** Saves a compartment, or adds one. */
  @Allowed.ToKeepStore
  public Outcome saveCompartment(
      Sent sent,
      long id,
      long version,
      Optional<CompartmentId> compartmentId,
      Map<String, String> form) {
    return edit(
        sent,
        id,
        version,
        hasCompartment(id, compartmentId),
        (session, typed) ->
            new VariantEntry(session, form, typed, clock.today())
                .compartment(
                    compartmentId.orElseGet(session.variants()::nextCompartment),
                    session.fleet().needs().get(id))
                .map(
                    compartment -> {
                      session.variants().save(id, compartment);
                      return "compartment " + compartment.name();
                    }));
  }

  /** Saves a position, or adds one. */
  @Allowed.ToKeepStore
  public Outcome savePosition(
      Sent sent, long id, long version, Optional<PositionId> positionId, Map<String, String> form) {
    return edit(
        sent,
        id,
        version,
        hasPosition(id, positionId),
        (session, typed) ->
            new VariantEntry(session, form, typed, clock.today())
                .position(
                    positionId.orElseGet(session.variants()::nextPosition),
                    session.fleet().needs().get(id))
                .map(
                    position -> {
                      session.variants().save(id, position);
                      return "position " + position.name();
                    }));
  }

  /** Saves a task, or adds one. */
  @Allowed.ToKeepStore
  public Outcome saveTask(
      Sent sent, long id, long version, Optional<TaskId> taskId, Map<String, String> form) {
    return edit(
        sent,
        id,
        version,
        hasTask(id, taskId),
        (session, typed) ->
            new TaskEntry(
                    session.variants().byId(id).orElseThrow(),
                    session.fleet().needs().get(id),
                    session.variants().tasks().of(id),
                    form,
                    typed)
                .task(taskId.orElseGet(session.variants().tasks()::next))
                .map(
                    task -> {
                      session.variants().tasks().save(id, task);
                      return "task " + task.name();
                    }));
  }

  /** Deletes a compartment that nothing refers to. */
  @Allowed.ToKeepStore
  public Outcome deleteCompartment(Sent sent, long id, long version, CompartmentId compartment) {
    return delete(
        sent,
        id,
        version,
        hasCompartment(id, Optional.of(compartment)),
        session -> session.variants().usesOfCompartment(compartment),
        session -> {
          session.variants().deleteCompartment(compartment);
          return "compartment " + compartment + " deleted";
        });
  }

  /** Deletes a position that nothing refers to. */
  @Allowed.ToKeepStore
  public Outcome deletePosition(Sent sent, long id, long version, PositionId position) {
    return delete(
        sent,
        id,
        version,
        hasPosition(id, Optional.of(position)),
        session -> session.variants().usesOfPosition(position),
        session -> {
          session.variants().deletePosition(position);
          return "position " + position + " deleted";
        });
  }

  /** Deletes a task that nothing refers to. */
  @Allowed.ToKeepStore
  public Outcome deleteTask(Sent sent, long id, long version, TaskId task) {
    return delete(
        sent,
        id,
        version,
        hasTask(id, Optional.of(task)),
        session -> session.variants().tasks().usesOf(task),
        session -> {
          session.variants().tasks().delete(id, task);
          return "task " + task + " deleted";
        });
  }

  private Outcome delete(
      Sent sent,
      long id,
      long version,
      Predicate<Session> isThere,
      Function<Session, List<String>> uses,
      Function<Session, String> delete) {
    return edit(
        sent,
        id,
        version,
        isThere,
        (session, typed) -> {
          List<String> still = uses.apply(session);
          if (!still.isEmpty()) {
            typed.refuse(
                "",
                "It cannot be deleted: "
                    + String.join(", ", still)
                    + " refer to it. On a unit it can be noted as absent.");
            return Optional.empty();
          }
          return Optional.of(delete.apply(session));
        });
  }

  /** An edit within one transaction; it says what it did, or puts what is wrong into Typed. */
  private Outcome edit(
      Sent sent,
      long id,
      long version,
      Predicate<Session> isOfIt,
      BiFunction<Session, Typed, Optional<String>> work) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          boolean isThere = session.variants().byId(id).isPresent() && isOfIt.test(session);
          if (!isThere || !session.variants().touch(id, version)) {
            return stale();
          }
          Optional<String> what = work.apply(session, typed);
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          audit(session, sent, id, "edited", "", what.orElseThrow());
          return done(id);
        });
  }

  private static Outcome stale() {
    return Outcome.refused(
        Problem.ofWhole("Someone else has changed this variant. What is on file stands below."));
  }

  private static Outcome done(long id) {
    return new Outcome.Done("/fleet/variants/" + id);
  }

  private void audit(
      Session session, Sent sent, long id, String action, String before, String after) {
    AuditLog.Line line = new AuditLog.Line(action, before, after, sent.actor(), clock.now());
    session.audit().add("variant", id, line);
  }
}
