package dev.lonja.desk.service;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.service.Timing;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Puts a planned occurrence on another day, and says before what that does to its unit. */
@Service
@Allowed.ToSeeMachines
public class MoveDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public MoveDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * An occurrence that can move.
   *
   * @param changes what the move would do; empty while no day is asked for
   */
  public record Movable(Unit unit, Occurrence occurrence, List<Change> changes) {

    /** True if a person has moved it already. */
    public boolean isMoved() {
      return occurrence.tasks().get(0).due().cause().equals(Optional.of(Due.Cause.MOVED));
    }
  }

  /** How a task comes to its new day. */
  public enum Way {
    MOVED,
    COMES_ALONG,
    ON_ITS_OWN
  }

  /**
   * A task whose next day changes, or that is moved.
   *
   * @param pastMeter by how much the new day lies past its meter limit; only for what is moved
   * @param pastDays by how many days it lies past its calendar limit; only for what is moved
   */
  public record Change(
      Task task,
      LocalDate before,
      LocalDate after,
      Way way,
      Optional<MeterSpan> pastMeter,
      Optional<Long> pastDays) {}

  /** Why nothing is moved. */
  public sealed interface Refused extends Refusal {}

  /** Nothing that can move is planned on that day any more. */
  public record Gone() implements Refused {}

  /** The new day lies before today or more than a year ahead. */
  public record OutOfRange(LocalDate day, LocalDate earliest, LocalDate latest)
      implements Refused {}

  /** Why an occurrence may not go to a day; empty if it may. */
  public Optional<OutOfRange> outOfRange(LocalDate to) {
    LocalDate today = clock.today();
    LocalDate latest = today.plusYears(1);
    return to.isBefore(today) || to.isAfter(latest)
        ? Optional.of(new OutOfRange(to, today, latest))
        : Optional.empty();
  }

  /**
   * What a move would do; empty if the unit has no occurrence on that day.
   *
   * @param to the day that is asked about
   */
  public Optional<Movable> look(String code, LocalDate day, Optional<LocalDate> to) {
    return store.read(
        session ->
            subject(session, code, day)
                .map(
                    subject ->
                        new Movable(
                            subject.unit(),
                            subject.occurrence(),
                            to.map(target -> changes(subject, target)).orElse(List.of()))));
  }

  /** An occurrence with the unit it is planned for. */
  private record Subject(FleetPicture fleet, Unit unit, Occurrence occurrence) {

    /** The tasks that move; one that another leads goes where its lead goes. */
    Set<TaskId> tasks() {
      return occurrence.tasks().stream()
          .map(Occurrence.OccurrenceTask::task)
          .filter(task -> !(task.timing() instanceof Timing.EveryNth))
          .map(task -> task.id())
          .collect(Collectors.toSet());
    }

    List<Occurrence> planIf(LocalDate day) {
      List<TaskStanding> standings =
          fleet.tasks(unit.id()).stream()
              .map(
                  task ->
                      tasks().contains(task.task().id()) ? task.movedTo(Optional.of(day)) : task)
              .toList();
      return fleet.planOf(unit, standings, fleet.horizon()).occurrences();
    }
  }

  private Optional<Subject> subject(Session session, String code, LocalDate day) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    return fleet.units().stream()
        .filter(unit -> unit.code().equals(code))
        .findFirst()
        .flatMap(
            unit ->
                fleet.planOf(unit, fleet.horizon()).occurrences().stream()
                    .filter(occurrence -> occurrence.date().equals(day))
                    .filter(occurrence -> occurrence.inHand().isEmpty())
                    .filter(this::isNext)
                    .findFirst()
                    .map(occurrence -> new Subject(fleet, unit, occurrence)));
  }

  /** Only what counts from a record or the start of service can move, not what follows on plans. */
  private boolean isNext(Occurrence occurrence) {
    return occurrence.tasks().stream()
        .noneMatch(task -> task.due().standing().origin().day().isAfter(clock.today()));
  }

  private static List<Change> changes(Subject subject, LocalDate target) {
    List<Occurrence> asPlanned =
        subject.fleet().planOf(subject.unit(), subject.fleet().horizon()).occurrences();
    Map<TaskId, Occurrence.OccurrenceTask> before = next(asPlanned);
    Map<TaskId, LocalDate> asItIs = days(asPlanned);
    Map<TaskId, LocalDate> after = days(subject.planIf(target));
    List<Change> changes = new ArrayList<>();
    for (TaskStanding standing : subject.fleet().tasks(subject.unit().id())) {
      TaskId id = standing.task().id();
      LocalDate was = asItIs.get(id);
      LocalDate will = after.get(id);
      boolean moves = subject.tasks().contains(id);
      if (was != null && will != null && (moves || !was.equals(will))) {
        Due due = before.get(id).due();
        changes.add(
            new Change(
                standing.task(),
                was,
                will,
                moves ? Way.MOVED : will.equals(target) ? Way.COMES_ALONG : Way.ON_ITS_OWN,
                moves ? pastMeter(due, will) : Optional.empty(),
                moves ? pastDays(due, will) : Optional.empty()));
      }
    }
    return changes;
  }

  private static Map<TaskId, Occurrence.OccurrenceTask> next(List<Occurrence> plan) {
    Map<TaskId, Occurrence.OccurrenceTask> next = new HashMap<>();
    plan.forEach(o -> o.tasks().forEach(task -> next.putIfAbsent(task.task().id(), task)));
    return next;
  }

  private static Map<TaskId, LocalDate> days(List<Occurrence> plan) {
    Map<TaskId, LocalDate> days = new HashMap<>();
    plan.forEach(o -> o.tasks().forEach(task -> days.putIfAbsent(task.task().id(), o.date())));
    return days;
  }

  private static Optional<MeterSpan> pastMeter(Due due, LocalDate day) {
    return due.limit()
        .map(limit -> due.standing().outlook().orElseThrow().on(day).beyond(limit))
        .filter(over -> over.tenths() > 0);
  }

  private static Optional<Long> pastDays(Due due, LocalDate day) {
    return due.calendarDate()
        .filter(date -> date.isBefore(day))
        .map(date -> ChronoUnit.DAYS.between(date, day));
  }

  /** Moves the occurrence of a day. */
  @Allowed.ToKeepStore
  public Outcome move(Sent sent, String code, LocalDate day, LocalDate to, String reason) {
    return once.run(
        sent,
        session -> {
          Optional<OutOfRange> outOfRange = outOfRange(to);
          if (outOfRange.isPresent()) {
            return Outcome.refused(outOfRange.get());
          }
          return subject(session, code, day)
              .map(subject -> write(session, sent, subject, Optional.of(to), reason))
              .orElseGet(() -> Outcome.refused(new Gone()));
        });
  }

  /** Puts a moved occurrence back on the day that the rules give it. */
  @Allowed.ToKeepStore
  public Outcome moveBack(Sent sent, String code, LocalDate day) {
    return once.run(
        sent,
        session ->
            subject(session, code, day)
                .map(subject -> write(session, sent, subject, Optional.empty(), ""))
                .orElseGet(() -> Outcome.refused(new Gone())));
  }

  private Outcome write(
      Session session, Sent sent, Subject subject, Optional<LocalDate> day, String reason) {
    for (TaskId task : subject.tasks()) {
      session.records().move(subject.unit().id(), task, day, reason, sent.actor(), clock.now());
    }
    return Outcome.done();
  }
}
