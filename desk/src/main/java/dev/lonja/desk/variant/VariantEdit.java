package dev.lonja.desk.variant;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.item.Item;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.service.TaskId;
import dev.lonja.desk.fluid.Hazards;
import dev.lonja.desk.item.ItemNaming;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.fleet.Use;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import dev.lonja.store.fleet.VariantTasks.StoredTask;
import dev.lonja.store.fleet.VariantTasks.WhileIn;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;

/** An edit of one variant within its transaction. */
final class VariantEdit {
  private final Session session;
  private final long id;
  private final StoredVariant stored;
  private final UnitNeeds needs;
  private final List<StoredTask> tasks;
  private Facts saved = Facts.NONE;
  private Facts deleted = Facts.NONE;

  VariantEdit(Session session, StoredVariant stored, UnitNeeds needs) {
    this.session = session;
    this.id = stored.variant().id();
    this.stored = stored;
    this.needs = needs;
    this.tasks = session.variants().tasks().of(id);
  }

  Session session() {
    return session;
  }

  long id() {
    return id;
  }

  UnitNeeds needs() {
    return needs;
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

  Outcome withItem(Optional<String> name, Measure measure, Function<Optional<Item>, Outcome> work) {
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
    task.meter().flatMap(this::unknownMeter).ifPresent(refusals::add);
    task.byFluid().stream()
        .map(WhileIn::fluidClass)
        .filter(name -> !isClass(name))
        .map(VariantRefusal.UnknownFluidClass::new)
        .forEach(refusals::add);
    List<String> hazards = Hazards.load(session).all().stream().map(Hazards.Text::code).toList();
    task.hazards().stream()
        .filter(code -> !hazards.contains(code))
        .map(code -> new VariantRefusal.UnknownHazard(code, hazards))
        .forEach(refusals::add);
    return refusals;
  }

  /** Present if the variant has units and none of them has such a meter. */
  Optional<VariantRefusal> unknownMeter(String name) {
    return stored.units().isEmpty() || stored.meters().containsKey(name)
        ? Optional.empty()
        : Optional.of(new VariantRefusal.UnknownMeter(name, List.copyOf(stored.meters().keySet())));
  }

  /** With its organisation or without, as labels have it. */
  private boolean isClass(String name) {
    return session.fluidReference().classes().all().stream()
        .anyMatch(
            known -> known.text().equalsIgnoreCase(name) || known.name().equalsIgnoreCase(name));
  }

  /** Saved; this is what. */
  Outcome done(Facts what) {
    saved = what;
    return Outcome.done();
  }

  Facts saved() {
    return saved;
  }

  Facts deleted() {
    return deleted;
  }

  Outcome delete(boolean isThere, List<Use> uses, Runnable delete, Facts what) {
    if (!isThere) {
      return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
    }
    if (!uses.isEmpty()) {
      return Outcome.refused(new VariantRefusal.InUse(uses));
    }
    delete.run();
    deleted = what;
    return Outcome.done();
  }
}
