package dev.lonja.desk.fleet;

import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.FluidReference;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.inspection.ReplacementChance;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterDigest;
import dev.lonja.core.meter.MeterFile;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.pour.RecordedFill;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.IntervalPolicy;
import dev.lonja.core.service.Origin;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.service.UnitFacts;
import dev.lonja.core.service.UnitFile;
import dev.lonja.core.service.UnitHistory;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.store.Session;
import dev.lonja.store.service.RecordRepository;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** Reads the fleet in a few statements, however many units there are, and lets the core judge. */
public final class FleetLoader {

  private final LocalDate today;
  private final List<Unit> units;
  private final IntervalPolicy inForce;
  private final Map<Long, UnitNeeds> variants;
  private final Map<UnitId, List<Task>> makers;
  private final Map<UnitId, UsageCalendar> calendars;
  private final Map<MeterId, MeterStanding> meters;
  private final Map<UnitId, List<Deviation>> deviations;
  private final Map<UnitId, Map<TaskId, List<Origin>>> done;
  private final Map<UnitId, Map<TaskId, RecordRepository.Move>> moves;
  private final Map<UnitId, List<RecordedFill>> fills;
  private final Map<ItemId, List<String>> fluidClasses;
  private final Map<Long, Map<Position.Kind, ReplacementChance>> chances;

  public FleetLoader(Session session, LocalDate today) {
    this.today = today;
    this.units = session.fleet().units();
    this.inForce = session.settings().intervalPolicy();
    this.variants = session.fleet().needs();
    this.makers = session.services().tasksByUnit();
    this.calendars = session.fleet().calendars();
    this.meters = MeterStanding.ofFleet(meterFiles(session));
    this.deviations = session.deviations().byUnit();
    this.done = session.services().done();
    this.moves = session.records().moves();
    this.fills = session.records().fillsByUnit();
    this.fluidClasses = fluidClasses(session);
    this.chances = session.records().chances();
  }

  /** The fleet under the school in force. */
  FleetPicture picture() {
    return pictureUnder(inForce);
  }

  /** The fleet as it would stand under another school of intervals. */
  public FleetPicture pictureUnder(IntervalPolicy policy) {
    Map<UnitId, UnitFile> files =
        units.stream().collect(Collectors.toMap(Unit::id, unit -> file(unit, policy)));
    Map<UnitId, List<TaskStanding>> standings =
        units.stream()
            .collect(Collectors.toMap(Unit::id, unit -> standings(unit, files.get(unit.id()))));
    return new FleetPicture(
        today,
        units,
        meters,
        standings,
        files,
        makers,
        variants,
        policy,
        new ConcurrentHashMap<>());
  }

  /** By item, the classes that the fluid in it meets, with and without the organisation's name. */
  private static Map<ItemId, List<String>> fluidClasses(Session session) {
    FluidReference reference = session.references().fluids();
    Map<ProductId, List<String>> byProduct = new HashMap<>();
    for (Product product : session.products().all()) {
      byProduct.put(
          product.id(),
          reference.read(product).met().stream()
              .flatMap(met -> Stream.of(met.name(), met.text()))
              .distinct()
              .toList());
    }
    Map<ItemId, List<String>> byItem = new HashMap<>();
    session.products().ofItems().forEach((item, id) -> byItem.put(item, byProduct.get(id)));
    return byItem;
  }

  private List<MeterFile> meterFiles(Session session) {
    Map<UnitId, Unit> byId =
        units.stream().collect(Collectors.toMap(Unit::id, Function.identity()));
    List<Meter> all = session.fleet().meters();
    Map<MeterId, MeterDigest> digests = session.meterDigests().of(all, calendars);
    List<MeterFile> files = new ArrayList<>();
    for (Meter meter : all) {
      files.add(
          new MeterFile(
              byId.get(meter.unitId()),
              meter,
              calendars.get(meter.unitId()),
              digests.get(meter.id())));
    }
    return files;
  }

  private UnitFile file(Unit unit, IntervalPolicy policy) {
    return UnitFile.of(
        variants.get(unit.variant().id()).on(today),
        makers.getOrDefault(unit.id(), List.of()).stream().map(policy::applyTo).toList(),
        deviations.getOrDefault(unit.id(), List.of()));
  }

  private List<TaskStanding> standings(Unit unit, UnitFile file) {
    UnitFacts facts = facts(unit, file.needs());
    Map<TaskId, LocalDate> moved = new HashMap<>();
    moves.getOrDefault(unit.id(), Map.of()).forEach((task, move) -> moved.put(task, move.day()));
    UnitHistory history =
        new UnitHistory(unit.inServiceOn(), done.getOrDefault(unit.id(), Map.of()), moved);
    return file.tasks().stream()
        .map(task -> facts.applyTo(task, file.needs()))
        .map(task -> history.standing(task, task.meterId().map(meters::get)))
        .toList();
  }

  private UnitFacts facts(Unit unit, UnitNeeds needs) {
    return new UnitFacts(
        calendars.get(unit.id()).layUps(),
        inCompartments(unit, needs),
        chances.getOrDefault(unit.unitClass().id(), Map.of()));
  }

  /** The classes of what was poured last, else of the preferred fluid. */
  private Map<CompartmentId, List<String>> inCompartments(Unit unit, UnitNeeds needs) {
    Map<CompartmentId, ItemId> items = new HashMap<>();
    for (Compartment compartment : needs.compartments()) {
      compartment.itemId().ifPresent(item -> items.put(compartment.id(), item));
    }
    fills
        .getOrDefault(unit.id(), List.of())
        .forEach(fill -> items.put(fill.compartmentId(), fill.itemId()));
    Map<CompartmentId, List<String>> classes = new HashMap<>();
    items.forEach(
        (compartment, item) ->
            Optional.ofNullable(fluidClasses.get(item))
                .ifPresent(list -> classes.put(compartment, list)));
    return classes;
  }
}
