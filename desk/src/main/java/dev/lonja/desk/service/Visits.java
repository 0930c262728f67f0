package dev.lonja.desk.service;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/**
 * Many pieces of work within a transaction. What was done to one unit on one day is one visit,
 * whose meters were read once; the oldest is noted first, so that each reading meets those before
 * it.
 */
final class Visits {

  private final Session session;
  private final StoreClock clock;
  private final Sent sent;
  private final FleetPicture fleet;
  private final List<WorkDesk.Bad> bad = new ArrayList<>();
  private final Map<Visit, Work> visits =
      new TreeMap<>(Comparator.comparing(Visit::day).thenComparing(Visit::unit));

  /** A unit on a day. */
  private record Visit(String unit, LocalDate day) {}

  /** What the lines of a visit say together; {@code first} is the first of them. */
  private record Work(
      int first, String note, Map<MeterId, MeterValue> meters, Map<TaskId, Integer> tasks) {}

  /**
   * @param fleet as it stood before any of the work was noted
   */
  Visits(Session session, StoreClock clock, Sent sent, FleetPicture fleet) {
    this.session = session;
    this.clock = clock;
    this.sent = sent;
    this.fleet = fleet;
  }

  /**
   * One task that was done.
   *
   * @param line its place among those that are told, 0 for the first
   * @param reading of the meter that it counts by, if it counts by one
   */
  void add(
      int line, Unit unit, LocalDate day, Task task, Optional<MeterValue> reading, String note) {
    Work work =
        visits.computeIfAbsent(
            new Visit(unit.code(), day),
            visit -> new Work(line, note, new HashMap<>(), new HashMap<>()));
    if (work.tasks().putIfAbsent(task.id(), line) != null) {
      bad.add(new WorkDesk.Bad(line, new WorkRefusal.DoneThatDay(task, day)));
    }
    task.meterId()
        .flatMap(id -> reading.map(value -> Map.entry(id, value)))
        .filter(
            read -> {
              MeterValue before = work.meters().putIfAbsent(read.getKey(), read.getValue());
              return before != null && !before.equals(read.getValue());
            })
        .ifPresent(
            other ->
                bad.add(new WorkDesk.Bad(line, new WorkRefusal.TwoReadings(unit.code(), day))));
  }

  /** Notes all of it; answers what speaks against that. */
  List<WorkDesk.Bad> note() {
    visits.forEach(this::note);
    return bad;
  }

  private void note(Visit visit, Work work) {
    Map<TaskId, Optional<Found>> done = new HashMap<>();
    work.tasks().keySet().forEach(task -> done.put(task, Optional.empty()));
    Outcome outcome =
        new WorkNoting(session, clock, sent, fleet)
            .note(
                visit.unit(),
                new WorkDesk.Work(visit.day(), work.meters(), done, work.note(), List.of()));
    if (outcome instanceof Outcome.Refused refused) {
      refused.reasons().forEach(why -> bad.add(new WorkDesk.Bad(work.first(), why)));
    }
  }
}
