package dev.lonja.desk.tray;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Starts trays: for what is planned, and for work that nobody planned. */
@Service
@Allowed.ToKeepStore
public class TrayStartDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;

  public TrayStartDesk(OnceOnly once, StoreClock clock) {
    this.once = once;
    this.clock = clock;
  }

  /**
   * Starts the tray of the occurrence that is planned for a unit on a day; answers its id, or that
   * of the one that stands for it already.
   */
  @Allowed.ToKeepStore
  public Outcome start(Sent sent, String unitCode, LocalDate day) {
    return once.run(sent, session -> start(session, unitCode, day));
  }

  private Outcome start(Session session, String unitCode, LocalDate day) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    if (day.isAfter(fleet.horizon())) {
      // nobody lays a tray that far ahead, and to plan to there would hold the store for long
      return Outcome.refused(new TrayRefusal.NothingPlanned(unitCode, day));
    }
    Optional<UnitPlan> plan =
        fleet.units().stream()
            .filter(unit -> unit.code().equals(unitCode))
            .findFirst()
            .map(unit -> fleet.planOf(unit, day));
    // what no tray stands for yet comes first
    Optional<Occurrence> occurrence =
        plan.flatMap(
            unit ->
                unit.occurrences().stream()
                    .filter(o -> o.date().equals(day))
                    .min(Comparator.comparing(o -> o.inHand().isPresent())));
    if (occurrence.isEmpty()) {
      return Outcome.refused(new TrayRefusal.NothingPlanned(unitCode, day));
    }
    Set<TaskId> tasks =
        occurrence.get().tasks().stream().map(task -> task.task().id()).collect(Collectors.toSet());
    return Outcome.done(
        session.trays().standing().stream()
            .filter(tray -> tray.isFor(plan.get().unitId()))
            .filter(tray -> tray.taskIds().stream().anyMatch(tasks::contains))
            .findFirst()
            .map(Tray::id)
            .orElseGet(
                () ->
                    TrayMaker.start(
                        session, plan.get(), occurrence.get(), Kits.of(session, fleet))));
  }

  /**
   * Makes the trays of all services that are planned for the days of the rack and have none, and
   * makes those anew that nobody has begun to lay and whose service takes otherwise by now.
   */
  @Allowed.ToKeepStore
  public Outcome startAhead(Sent sent) {
    return once.run(
        sent,
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          List<LocalDate> days = WorkingDays.from(clock.today());
          LocalDate last = days.get(days.size() - 1);
          Kits kits = Kits.of(session, fleet);
          for (Tray tray : session.trays().open()) {
            makeAnew(session, fleet, tray, kits);
          }
          for (UnitPlan plan : fleet.plans(last)) {
            plan.occurrences().stream()
                .filter(occurrence -> occurrence.inHand().isEmpty())
                .forEach(occurrence -> TrayMaker.start(session, plan, occurrence, kits));
          }
          return Outcome.done();
        });
  }

  /** Makes one tray anew, if nobody has begun to lay it and its service takes otherwise by now. */
  @Allowed.ToKeepStore
  public Outcome makeAnew(Sent sent, TrayId id) {
    return once.run(
        sent,
        session ->
            session
                .trays()
                .byId(id)
                .filter(Tray::isOpen)
                .map(
                    tray -> {
                      FleetPicture fleet = FleetPicture.load(session, clock.today());
                      makeAnew(session, fleet, tray, Kits.of(session, fleet));
                      return Outcome.done();
                    })
                .orElseGet(() -> Outcome.refused(new TrayRefusal.NotOpen())));
  }

  private static void makeAnew(Session session, FleetPicture fleet, Tray tray, Kits kits) {
    TrayMachine machine = TrayMachine.of(fleet, tray);
    if (TrayMaker.isOutdated(session, machine, tray, () -> kits)) {
      session.trays().touch(tray.id(), tray.version());
      TrayMaker.makeAnew(session, machine, tray, kits);
    }
  }

  /**
   * A tray for work that nobody planned.
   *
   * @param unit its code; none for what the workshop itself uses
   * @param title what it is for, in words
   */
  public record Unplanned(
      TrayPurpose purpose, Optional<String> unit, String title, LocalDate day) {}

  /** Starts a tray that serves no task, with the parts that are wanted for its machine. */
  @Allowed.ToKeepStore
  public Outcome start(Sent sent, Unplanned wish) {
    return once.run(sent, session -> start(session, wish));
  }

  private Outcome start(Session session, Unplanned wish) {
    if (wish.purpose() == TrayPurpose.SERVICE) {
      return Outcome.refused(new TrayRefusal.NotByHand());
    }
    if (wish.unit().isPresent() == (wish.purpose() == TrayPurpose.SUPPLIES)) {
      return Outcome.refused(new TrayRefusal.UnitAgainstPurpose(wish.purpose()));
    }
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    if (wish.day().isBefore(clock.today()) || wish.day().isAfter(fleet.horizon())) {
      return Outcome.refused(
          new TrayRefusal.OutsidePlan(wish.day(), clock.today(), fleet.horizon()));
    }
    Optional<UnitId> unit =
        fleet.units().stream()
            .filter(u -> wish.unit().filter(u.code()::equalsIgnoreCase).isPresent())
            .findFirst()
            .map(Unit::id);
    if (unit.isPresent() != wish.unit().isPresent()) {
      return Outcome.refused(new TrayRefusal.UnknownUnit(wish.unit().orElseThrow()));
    }
    TrayId id = session.trays().add(unit, wish.purpose(), wish.title(), wish.day());
    WantedLines.putOn(session, id);
    return Outcome.done(id);
  }
}
