package dev.lonja.app.demo.counter;

import dev.lonja.app.demo.master.DemoMaster;
import dev.lonja.core.inspection.Found;
import dev.lonja.core.inspection.InspectionOutcome;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.meter.Reading;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.tray.OpenWork;
import dev.lonja.core.tray.TaskOutcome;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.tray.Tray;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/** A job of the last two weeks: what its meters showed then, and what became of its tasks. */
final class PastJob {

  private static final String MECHANIC = "workshop";

  private final Session session;
  private final Tray tray;
  private final LocalDate day;
  private final FleetPicture fleet;

  PastJob(Session session, Tray tray, LocalDate day) {
    this.session = session;
    this.tray = tray;
    this.day = day;
    this.fleet = FleetPicture.load(session, day);
  }

  private List<Task> tasks() {
    return tray.unitId()
        .map(
            unit ->
                fleet.tasks(unit).stream()
                    .map(TaskStanding::task)
                    .filter(task -> tray.taskIds().contains(task.id()))
                    .toList())
        .orElse(List.of());
  }

  /** Notes what the meters showed that its tasks count by. */
  void readMeters() {
    tasks().stream()
        .flatMap(task -> task.meterId().stream())
        .distinct()
        .forEach(
            meter ->
                session
                    .readings()
                    .add(
                        meter,
                        new NewReading(day, Optional.empty(), shown(meter)),
                        ReadingRepository.Source.HAND_OVER,
                        MECHANIC,
                        at()));
  }

  /** Between the readings before and after, in proportion to the days. */
  private MeterValue shown(MeterId meter) {
    List<Reading> readings =
        session.readings().of(meter).readings().stream()
            .sorted(Comparator.comparing(Reading::day))
            .toList();
    Reading before =
        readings.stream()
            .filter(reading -> !reading.day().isAfter(day))
            .reduce((a, b) -> b)
            .orElseThrow();
    Reading after =
        readings.stream().filter(reading -> reading.day().isAfter(day)).findFirst().orElse(before);
    long days = Math.max(1, ChronoUnit.DAYS.between(before.day(), after.day()));
    long run = after.value().tenths() - before.value().tenths();
    long tenths = before.value().tenths() + run * ChronoUnit.DAYS.between(before.day(), day) / days;
    return new MeterValue(tenths, before.value().measure());
  }

  /** Records each task as done, but those of which something was left out. */
  void record() {
    Set<TaskId> open = OpenWork.of(tray.lines());
    for (Task task : tasks()) {
      if (open.contains(task.id())) {
        session
            .trays()
            .setOutcome(
                tray.id(),
                task.id(),
                new TaskOutcome.NotDone("its part was not there", Optional.empty()));
      } else {
        done(task);
      }
    }
  }

  private void done(Task task) {
    Optional<Found> found = task.inspects() ? Optional.of(sound(task)) : Optional.empty();
    session.trays().setOutcome(tray.id(), task.id(), new TaskOutcome.Done(found));
    long record =
        session
            .services()
            .addDone(
                tray.unitId().orElseThrow(),
                task.id(),
                day,
                task.meterId().map(this::life),
                tray.id(),
                MECHANIC,
                at());
    found.ifPresent(said -> session.records().addFound(record, said, "", MECHANIC, at()));
  }

  /** Sound, where a value is asked for with one at the limit it is furthest from. */
  private static Found sound(Task task) {
    return new Found(
        InspectionOutcome.SOUND,
        task.limits().flatMap(limits -> limits.low().or(limits::high)),
        Optional.empty());
  }

  private MeterValue life(MeterId id) {
    MeterStanding standing = fleet.meters().get(id);
    return standing.life(shown(id));
  }

  private Instant at() {
    return DemoMaster.morning(day);
  }
}
