package dev.lonja.desk.tray;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.Task;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TaskBond;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.WorkPlaces;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/**
 * Splits an open tray, when part of its work is done by somebody else or on another day, and
 * extends it by tasks that may as well be done along with it.
 */
@Service
@Allowed.ToKeepStore
public class TrayTasksDesk extends KeepersDesk {

  /** So long before its day a task may join. */
  private static final int MONTHS_AHEAD = 3;

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;

  public TrayTasksDesk(LonjaStore store, OnceOnly once, StoreClock clock) {
    this.store = store;
    this.once = once;
    this.clock = clock;
  }

  /**
   * What may be chosen.
   *
   * @param own tasks of the tray
   * @param more tasks of its machine that no tray stands for, by the day they are planned on
   */
  public record Choice(List<Task> own, Map<Task, LocalDate> more) {}

  /** Empty for a tray that is not open, or serves no task. */
  @KeptAnswer
  public Optional<Choice> choice(TrayId id) {
    return store.read(
        session ->
            session
                .trays()
                .byId(id)
                .filter(tray -> tray.isOpen() && !tray.taskIds().isEmpty())
                .map(
                    tray -> {
                      FleetPicture fleet = FleetPicture.load(session, clock.today());
                      return new Choice(own(fleet, tray), more(fleet, tray));
                    }));
  }

  private static List<Task> own(FleetPicture fleet, Tray tray) {
    return TrayMachine.of(fleet, tray).tasks();
  }

  private static Map<Task, LocalDate> more(FleetPicture fleet, Tray tray) {
    List<Occurrence> plan =
        fleet.units().stream()
            .filter(unit -> tray.isFor(unit.id()))
            .flatMap(unit -> fleet.planOf(unit, fleet.horizon()).occurrences().stream())
            .toList();
    // what a tray has in hand is planned again after it
    Set<TaskId> inHand =
        plan.stream()
            .filter(occurrence -> occurrence.inHand().isPresent())
            .flatMap(occurrence -> occurrence.tasks().stream())
            .map(planned -> planned.task().id())
            .collect(Collectors.toSet());
    LocalDate last = tray.plannedOn().plusMonths(MONTHS_AHEAD);
    Map<Task, LocalDate> more = new LinkedHashMap<>();
    for (Occurrence occurrence : plan) {
      for (Occurrence.OccurrenceTask planned : occurrence.tasks()) {
        if (!occurrence.date().isAfter(last) && !inHand.contains(planned.task().id())) {
          more.putIfAbsent(planned.task(), occurrence.date());
        }
      }
    }
    return more;
  }

  /** Gives some of its tasks a tray of their own, with their lines as they lie. */
  @Allowed.ToKeepStore
  public Outcome split(Sent sent, TrayId id, Set<TaskId> chosen) {
    return onTray(
        sent,
        id,
        (session, fleet, tray) -> {
          List<Task> going = chosen(own(fleet, tray), chosen);
          List<Task> staying =
              own(fleet, tray).stream().filter(task -> !chosen.contains(task.id())).toList();
          if (going.isEmpty() || staying.isEmpty() || going.size() < chosen.size()) {
            return Outcome.refused(new TrayRefusal.ChooseSome());
          }
          Optional<TaskBond> bond =
              TaskBond.between(TrayMachine.of(fleet, tray).needs(), going, staying);
          if (bond.isPresent()) {
            return Outcome.refused(new TrayRefusal.Bound(bond.get()));
          }
          Optional<TrayLine> kit =
              tray.lines().stream().filter(line -> isOfBoth(line, chosen)).findFirst();
          if (kit.isPresent()) {
            return Outcome.refused(
                new TrayRefusal.InOneKit(session.items().byId(kit.get().itemId()).orElseThrow()));
          }
          UnitId unit = tray.unitId().orElseThrow();
          TrayId made =
              session.trays().add(unit, Occurrence.title(going), tray.plannedOn(), List.of());
          // what is laid goes along, and stays where it is
          session.trays().setPlace(made, tray.place());
          session.trayTasks().give(id, made, chosen);
          session.trayTasks().setTitle(id, Occurrence.title(staying));
          note(session, sent, tray, Facts.of("split_off", made));
          return Outcome.done(made);
        });
  }

  /** Adds tasks that no tray stands for, and what they take. */
  @Allowed.ToKeepStore
  public Outcome extend(Sent sent, TrayId id, Set<TaskId> chosen) {
    return onTray(
        sent,
        id,
        (session, fleet, tray) -> {
          List<Task> joining = chosen(List.copyOf(more(fleet, tray).keySet()), chosen);
          if (joining.isEmpty() || joining.size() < chosen.size()) {
            return Outcome.refused(new TrayRefusal.ChooseSome());
          }
          boolean untouched = TrayMaker.isUntouched(session, tray);
          List<Task> own = own(fleet, tray);
          Optional<TaskBond> bond =
              TaskBond.between(TrayMachine.of(fleet, tray).needs(), joining, own);
          if (bond.isPresent() && !untouched) {
            return Outcome.refused(new TrayRefusal.Bound(bond.get()));
          }
          session.trayTasks().add(id, joining.stream().map(Task::id).toList());
          session
              .trayTasks()
              .setTitle(
                  id, Occurrence.title(Stream.concat(own.stream(), joining.stream()).toList()));
          Tray extended = session.trays().byId(id).orElseThrow();
          TrayMachine machine = TrayMachine.of(fleet, extended);
          if (untouched) {
            TrayMaker.makeAnew(session, machine, extended, Kits.of(session, fleet));
          } else {
            // what lies there stays as it lies, so nothing of it goes into a kit
            TrayMaker.takes(machine, extended, Kits.NONE).stream()
                .filter(line -> chosen.contains(line.taskId()))
                .forEach(line -> session.trayLines().addLine(id, line));
          }
          note(session, sent, tray, Facts.of("joined", joining.stream().map(Task::name).toList()));
          return Outcome.done(id);
        });
  }

  /** True for a kit that covers something of what goes and of what stays. */
  private static boolean isOfBoth(TrayLine line, Set<TaskId> going) {
    return line.tasks().stream().anyMatch(going::contains) && !going.containsAll(line.tasks());
  }

  private static List<Task> chosen(List<Task> from, Set<TaskId> chosen) {
    return from.stream().filter(task -> chosen.contains(task.id())).toList();
  }

  private void note(Session session, Sent sent, Tray tray, Facts facts) {
    session
        .audit()
        .add(sent.line(clock.now(), Matter.TRAY, tray.number(), Deed.EDITED, Facts.NONE, facts));
  }

  /** What is done to an open tray that serves tasks. */
  private interface Work {
    Outcome on(Session session, FleetPicture fleet, Tray tray);
  }

  private Outcome onTray(Sent sent, TrayId id, Work work) {
    return once.run(
        sent,
        session -> {
          Optional<Tray> tray =
              session.trays().byId(id).filter(t -> t.isOpen() && !t.taskIds().isEmpty());
          if (tray.isEmpty()) {
            return Outcome.refused(new TrayRefusal.NotOpen());
          }
          Optional<Refusal> elsewhere = WorkPlaces.refusal(session, sent, tray.get().place());
          if (elsewhere.isPresent()) {
            return Outcome.refused(elsewhere.get());
          }
          session.trays().touch(id, tray.get().version());
          return work.on(session, FleetPicture.load(session, clock.today()), tray.get());
        });
  }
}
