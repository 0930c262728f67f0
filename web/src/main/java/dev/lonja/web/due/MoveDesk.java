package dev.lonja.web.due;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.core.service.Timing;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Typed;
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

/** Moves a planned occurrence to another day, after showing what that does to the others. */
@Service
@Allowed.ToSeeMachines
public class MoveDesk {

  private static final int LONGEST_REASON = 200;

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  /**
   * A move as typed.
   *
   * @param day the planned day of the occurrence
   * @param to the day to which it is to move
   */
  public record Form(String day, String to, String reason) {}

  /** The page with what is wrong with what was typed. */
  record Answer(MoveView view, List<Problem> problems) {}

  public MoveDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** What the move would do; empty if the unit has no occurrence on that day. */
  Optional<Answer> answer(String code, String day, String to) {
    return store.read(
        session ->
            subject(session, code, day)
                .map(
                    subject -> {
                      Typed typed = new Typed();
                      Optional<LocalDate> target =
                          to.isBlank() ? Optional.empty() : target(typed, to);
                      return new Answer(view(subject, to, target), typed.problems());
                    }));
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

    List<Occurrence> planIf(Optional<LocalDate> day) {
      List<TaskStanding> standings =
          fleet.tasks().get(unit.id()).stream()
              .map(task -> tasks().contains(task.task().id()) ? task.movedTo(day) : task)
              .toList();
      return fleet.planOf(unit, standings, horizon()).occurrences();
    }

    LocalDate horizon() {
      return fleet.today().plusYears(FleetPicture.HORIZON_YEARS);
    }
  }

  private Optional<Subject> subject(Session session, String code, String day) {
    Optional<LocalDate> date = new Typed().day("day", day);
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    return fleet.units().stream()
        .filter(unit -> unit.code().equals(code))
        .findFirst()
        .flatMap(
            unit ->
                fleet
                    .planOf(unit, clock.today().plusYears(FleetPicture.HORIZON_YEARS))
                    .occurrences()
                    .stream()
                    .filter(occurrence -> Optional.of(occurrence.date()).equals(date))
                    .filter(occurrence -> isNext(occurrence))
                    .findFirst()
                    .map(occurrence -> new Subject(fleet, unit, occurrence)));
  }

  /** Only what counts from a record or the start of service can move, not what follows on plans. */
  private boolean isNext(Occurrence occurrence) {
    return occurrence.tasks().stream()
        .noneMatch(task -> task.due().standing().origin().day().isAfter(clock.today()));
  }

  private Optional<LocalDate> target(Typed typed, String to) {
    LocalDate today = clock.today();
    LocalDate latest = today.plusYears(1);
    return typed
        .day("to", to)
        .filter(
            day -> {
              boolean inRange = !day.isBefore(today) && !day.isAfter(latest);
              if (!inRange) {
                typed.refuse(
                    "to",
                    "The new day is " + day + "; allowed is " + today + " to " + latest + ".");
              }
              return inRange;
            });
  }

  private MoveView view(Subject subject, String to, Optional<LocalDate> target) {
    LocalDate today = clock.today();
    Occurrence occurrence = subject.occurrence();
    return new MoveView(
        subject.unit().code(),
        occurrence.title(),
        occurrence.date().toString(),
        Words.day(occurrence.date(), today),
        to,
        occurrence.tasks().get(0).due().cause().equals(Optional.of(Due.Cause.MOVED)),
        target.map(day -> rows(subject, day)).orElse(List.of()));
  }

  private List<MoveView.Row> rows(Subject subject, LocalDate target) {
    LocalDate today = clock.today();
    List<Occurrence> asPlanned =
        subject.fleet().planOf(subject.unit(), subject.horizon()).occurrences();
    Map<TaskId, Occurrence.OccurrenceTask> before = next(asPlanned);
    Map<TaskId, LocalDate> asItIs = days(asPlanned);
    Map<TaskId, LocalDate> after = days(subject.planIf(Optional.of(target)));
    List<MoveView.Row> rows = new ArrayList<>();
    for (TaskStanding standing : subject.fleet().tasks().get(subject.unit().id())) {
      TaskId id = standing.task().id();
      LocalDate was = asItIs.get(id);
      LocalDate will = after.get(id);
      boolean moves = subject.tasks().contains(id);
      if (was == null || will == null || (was.equals(will) && !moves)) {
        continue;
      }
      rows.add(
          new MoveView.Row(
              standing.task().name(),
              Words.day(was, today),
              Words.day(will, today),
              moves ? "moved" : will.equals(target) ? "comes along" : "comes on its own day",
              moves ? warning(before.get(id).due(), will) : ""));
    }
    return rows;
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

  /** By how much the new day would lie past the limits. */
  private String warning(Due due, LocalDate day) {
    List<String> past = new ArrayList<>();
    due.limit()
        .ifPresent(
            limit -> {
              MeterSpan over = due.standing().outlook().orElseThrow().on(day).beyond(limit);
              if (over.tenths() > 0) {
                past.add(over.display());
              }
            });
    due.calendarDate()
        .filter(date -> date.isBefore(day))
        .ifPresent(
            date -> past.add(Words.count(ChronoUnit.DAYS.between(date, day), "day", "days")));
    return past.isEmpty() ? "" : "past its limit by " + String.join(", ", past);
  }

  /** Moves the occurrence. */
  @Allowed.ToKeepStore
  public Outcome move(Sent sent, String code, Form form) {
    return once.run(
        sent,
        session -> {
          Optional<Subject> subject = subject(session, code, form.day());
          if (subject.isEmpty()) {
            return gone();
          }
          Typed typed = new Typed();
          Optional<LocalDate> target = target(typed, form.to());
          Optional<String> reason =
              typed.text("reason", "The reason", form.reason(), LONGEST_REASON);
          if (!typed.problems().isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          return write(session, sent, subject.get(), target, reason.orElseThrow());
        });
  }

  /** Puts a moved occurrence back on the day that the rules give it. */
  @Allowed.ToKeepStore
  public Outcome moveBack(Sent sent, String code, String day) {
    return once.run(
        sent,
        session ->
            subject(session, code, day)
                .map(subject -> write(session, sent, subject, Optional.empty(), "moved back"))
                .orElseGet(MoveDesk::gone));
  }

  private Outcome write(
      Session session, Sent sent, Subject subject, Optional<LocalDate> day, String reason) {
    for (TaskId task : subject.tasks()) {
      session.records().move(subject.unit().id(), task, day, reason, sent.actor(), clock.now());
    }
    return new Outcome.Done("/fleet/" + subject.unit().code());
  }

  private static Outcome gone() {
    return Outcome.refused(
        Problem.ofWhole("Nothing that can move is planned on that day any more."));
  }
}
