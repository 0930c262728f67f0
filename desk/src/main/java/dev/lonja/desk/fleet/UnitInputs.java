package dev.lonja.desk.fleet;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.meter.MeterDigest;
import dev.lonja.core.meter.MeterFile;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterNotes;
import dev.lonja.core.pour.RecordedFill;
import dev.lonja.core.pour.RecordedTopUp;
import dev.lonja.core.service.Deviation;
import dev.lonja.core.service.InHand;
import dev.lonja.core.service.Origin;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.store.Session;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.service.RecordRepository.Move;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * What is on file of one unit, as it was read, whatever the day.
 *
 * @param makers the tasks of its variant as the maker has them
 * @param done by task, when it was done
 * @param kept by task, how often an inspection kept the part since one replaced it
 * @param moves by task, the day on which a person put it
 * @param poured what went into its compartments
 * @param inHand what trays stand for
 */
record UnitInputs(
    Unit unit,
    UsageCalendar calendar,
    List<MeterFile> meters,
    List<Task> makers,
    List<Deviation> deviations,
    Map<TaskId, List<Origin>> done,
    Map<TaskId, Integer> kept,
    Map<TaskId, Move> moves,
    Poured poured,
    List<InHand> inHand) {

  private static final long SUPPOSED = 1_000_000_000;

  /**
   * What went into a unit's compartments.
   *
   * @param fills in order of their days
   * @param topUps what was added between services
   */
  record Poured(List<RecordedFill> fills, List<RecordedTopUp> topUps) {}

  /** The same if it were laid up in some more days. */
  UnitInputs layingUp(LayUp layUp) {
    List<LayUp> layUps = new ArrayList<>(calendar.layUps());
    layUps.add(layUp);
    UsageCalendar other = new UsageCalendar(calendar.monthlyFactors(), layUps);
    return new UnitInputs(
        unit,
        other,
        meters.stream().map(f -> new MeterFile(unit, f.meter(), other, f.digest())).toList(),
        makers,
        deviations,
        done,
        kept,
        moves,
        poured,
        inHand);
  }

  /**
   * Another one that is used and stands as this does, and is on no tray.
   *
   * @param id that no unit has
   * @param code likewise
   */
  UnitInputs again(UnitId id, String code) {
    Unit other =
        new Unit(
            id,
            code,
            unit.name(),
            unit.unitClass(),
            unit.variant(),
            unit.inServiceOn(),
            unit.retiredOn(),
            unit.version());
    return new UnitInputs(
        other,
        calendar,
        meters.stream().map(file -> again(other, file)).toList(),
        makers.stream().map(task -> task.countingBy(meter -> again(other, meter))).toList(),
        deviations,
        done,
        kept,
        Map.of(),
        poured,
        List.of());
  }

  /** Numbers of meters that are supposed lie beyond those of real ones. */
  private static MeterId again(Unit other, MeterId meter) {
    return new MeterId(other.id().value() * SUPPOSED + meter.value());
  }

  private MeterFile again(Unit other, MeterFile file) {
    Meter meter = file.meter();
    return new MeterFile(
        other,
        new Meter(
            again(other, meter.id()),
            other.id(),
            meter.name(),
            meter.start(),
            meter.declaredRate()),
        calendar,
        file.digest());
  }

  /**
   * As it was known at the end of a day of the past: readings, work and fills up to it, and no tray
   * that stands for anything. How it is built, and what is done otherwise on it, is as it is now.
   *
   * @param notes by meter, of all time
   */
  UnitInputs asOf(LocalDate day, Map<MeterId, MeterNotes> notes) {
    Map<TaskId, List<Origin>> before = new HashMap<>();
    done.forEach(
        (task, origins) ->
            before.put(task, origins.stream().filter(o -> !o.day().isAfter(day)).toList()));
    before.values().removeIf(List::isEmpty);
    return new UnitInputs(
        unit,
        calendar,
        meters.stream()
            .map(
                file ->
                    new MeterFile(
                        unit,
                        file.meter(),
                        calendar,
                        MeterDigest.of(notes.get(file.meter().id()).until(day), calendar)))
            .toList(),
        makers,
        deviations,
        before,
        Map.of(),
        Map.of(),
        new Poured(
            poured.fills().stream().filter(fill -> !fill.day().isAfter(day)).toList(),
            poured.topUps().stream().filter(topUp -> !topUp.on().isAfter(day)).toList()),
        List.of());
  }

  /** Reads units in a few statements, however many there are; in order of their codes. */
  static List<UnitInputs> load(Session session, UnitScope scope) {
    Map<UnitId, UsageCalendar> calendars = session.fleet().calendars(scope);
    List<Meter> all = session.fleet().meters(scope);
    Map<MeterId, MeterDigest> digests = session.meterDigests().of(all, calendars);
    Map<UnitId, List<Meter>> meters = all.stream().collect(Collectors.groupingBy(Meter::unitId));
    Map<UnitId, List<Task>> makers = session.services().tasks(scope);
    Map<UnitId, List<Deviation>> deviations = session.deviations().of(scope);
    Map<UnitId, Map<TaskId, List<Origin>>> done = session.services().done(scope);
    Map<UnitId, Map<TaskId, Integer>> kept = session.records().kept(scope);
    Map<UnitId, Map<TaskId, Move>> moves = session.records().moves(scope);
    Map<UnitId, List<RecordedFill>> fills = session.records().fills(scope);
    Map<UnitId, List<RecordedTopUp>> topUps = session.pours().topUps(scope);
    Map<UnitId, List<InHand>> inHand = session.trays().inHand(scope);
    return session.fleet().units(scope).stream()
        .map(
            unit ->
                new UnitInputs(
                    unit,
                    calendars.get(unit.id()),
                    meters.getOrDefault(unit.id(), List.of()).stream()
                        .map(
                            meter ->
                                new MeterFile(
                                    unit, meter, calendars.get(unit.id()), digests.get(meter.id())))
                        .toList(),
                    makers.getOrDefault(unit.id(), List.of()),
                    deviations.getOrDefault(unit.id(), List.of()),
                    done.getOrDefault(unit.id(), Map.of()),
                    kept.getOrDefault(unit.id(), Map.of()),
                    moves.getOrDefault(unit.id(), Map.of()),
                    new Poured(
                        fills.getOrDefault(unit.id(), List.of()),
                        topUps.getOrDefault(unit.id(), List.of())),
                    inHand.getOrDefault(unit.id(), List.of())))
        .toList();
  }
}
