package dev.lonja.desk.unit;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Outline;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.pour.LearnedCapacity;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueRule;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.Timing;
import dev.lonja.core.service.UnitFile;
import dev.lonja.core.wanted.Finding;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ClassRepository;
import dev.lonja.store.fluid.SignOff;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.service.RecordRepository;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Everything on file of a unit in service.
 *
 * @param home the place that serves it; empty if the store has one place only
 * @param planned up to the horizon
 * @param items every item that its machine or its deviations name
 */
public record UnitRecord(
    FleetPicture fleet,
    Unit unit,
    Optional<String> home,
    UnitPlan planned,
    Machine machine,
    Work work,
    List<JudgedMeter> meters,
    List<SignOff> signOffs,
    Map<ItemId, Item> items) {

  /**
   * What it is made of.
   *
   * @param file as the unit stands
   * @param variant what all of its variant are made of
   * @param learned capacities that recorded fills propose
   */
  public record Machine(
      UnitFile file,
      UnitNeeds variant,
      Outline outline,
      List<Unit.UnitClass> classes,
      List<LearnedCapacity> learned) {}

  /**
   * What is done on it.
   *
   * @param dues of all its tasks, those led by another with the day that the plan gives them
   * @param makers its tasks as the maker has them
   * @param moves by task, the day on which a person put it
   * @param trays that are open for it
   * @param findings that are not closed
   * @param wanted how many parts are wanted for it and on no tray
   */
  public record Work(
      List<Due> dues,
      List<Task> makers,
      Map<TaskId, RecordRepository.Move> moves,
      List<Tray> trays,
      List<Finding> findings,
      int wanted) {}

  static UnitRecord of(Session session, Unit unit, LocalDate today) {
    FleetPicture fleet = FleetPicture.load(session, today);
    UnitScope only = UnitScope.of(unit.id());
    UnitPlan planned = fleet.planOf(unit, fleet.horizon());
    UnitFile file = fleet.file(unit.id());
    UnitNeeds variant = fleet.variants().get(unit.variant().id());
    List<SignOff> signOffs = session.pours().ofUnit(unit.id());
    return new UnitRecord(
        fleet,
        unit,
        Optional.of(session.places().names())
            .filter(names -> names.size() > 1)
            .map(names -> names.get(unit.home())),
        planned,
        new Machine(
            file,
            variant,
            session
                .classes()
                .byCode(unit.unitClass().code())
                .map(ClassRepository.StoredClass::outline)
                .orElse(Outline.PLAIN),
            session.classes().all().stream().map(ClassRepository.StoredClass::unitClass).toList(),
            LearnedCapacity.proposals(
                planned.needs().compartments(),
                session.records().fills(only).getOrDefault(unit.id(), List.of()))),
        new Work(
            dues(fleet, unit, planned),
            fleet.makers(unit.id()),
            session.records().moves(only).getOrDefault(unit.id(), Map.of()),
            session.trays().standing().stream().filter(tray -> tray.isFor(unit.id())).toList(),
            session.findings().ofUnit(unit.id()).stream().filter(Finding::stands).toList(),
            session.wanted().openOf(unit.id()).size()),
        fleet.metersOf(unit).stream().map(m -> FleetPicture.judged(session, m)).toList(),
        signOffs,
        items(session, planned.needs(), file, signOffs));
  }

  /** One that another task leads has its day from the plan. */
  private static List<Due> dues(FleetPicture fleet, Unit unit, UnitPlan planned) {
    return fleet.tasks(unit.id()).stream()
        .map(
            standing ->
                planned.occurrences().stream()
                    .flatMap(occurrence -> occurrence.tasks().stream())
                    .filter(task -> task.task().id().equals(standing.task().id()))
                    .filter(task -> task.task().timing() instanceof Timing.EveryNth)
                    .findFirst()
                    .map(Occurrence.OccurrenceTask::due)
                    .orElseGet(() -> DueRule.due(standing, fleet.today(), fleet.horizon())))
        .toList();
  }

  private static Map<ItemId, Item> items(
      Session session, UnitNeeds needs, UnitFile file, List<SignOff> signOffs) {
    Set<ItemId> ids = new LinkedHashSet<>();
    needs.compartments().forEach(c -> c.itemId().ifPresent(ids::add));
    needs.positions().forEach(p -> p.itemId().ifPresent(ids::add));
    signOffs.forEach(s -> ids.add(s.itemId()));
    file.deviations().forEach(d -> d.change().item().ifPresent(ids::add));
    return session.items().byIds(ids);
  }

  /** The task that changes the fluid of a compartment, as it stands due. */
  public Optional<Due> change(CompartmentId id) {
    return work.dues().stream()
        .filter(
            due ->
                due.task().action() instanceof Task.Action.ChangeFluid change
                    && change.compartmentId().equals(id))
        .findFirst();
  }

  /** An item that is named on the unit. */
  public Optional<Item> item(Optional<ItemId> id) {
    return id.map(items::get);
  }
}
