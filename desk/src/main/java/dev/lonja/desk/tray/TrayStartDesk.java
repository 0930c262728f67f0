package dev.lonja.desk.tray;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.Homes;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.place.Place;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.clock.WorkingDays;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.person.WorkPlaces;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.request.Viewer;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Starts trays: for what is planned, and for work that nobody planned. */
@Service
@Allowed.ToKeepStore
public class TrayStartDesk extends KeepersDesk {

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;

  public TrayStartDesk(LonjaStore store, OnceOnly once, StoreClock clock) {
    this.store = store;
    this.once = once;
    this.clock = clock;
  }

  /**
   * Starts the tray of the occurrence that is planned for a unit on a day; answers its id, or that
   * of the one that stands for it already.
   */
  @Allowed.ToKeepStore
  public Outcome start(Sent sent, String unitCode, LocalDate day) {
    return once.run(sent, session -> start(session, sent, unitCode, day));
  }

  private Outcome start(Session session, Sent sent, String unitCode, LocalDate day) {
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
    Optional<Refusal> elsewhere =
        WorkPlaces.refusal(session, sent, fleet.homes().of(plan.get().unitCode()));
    if (elsewhere.isPresent()) {
      return Outcome.refused(elsewhere.get());
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
   * makes those anew that nobody has begun to lay and whose service takes otherwise by now; those
   * of places where the one who asks does not work are left to others.
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
          Homes homes = fleet.homes();
          Set<Place> theirs =
              WorkPlaces.among(session, sent.actor(), session.places().names()).keySet();
          for (Tray tray : session.trays().open()) {
            if (theirs.contains(tray.place())) {
              makeAnew(session, fleet, tray, kits);
            }
          }
          for (UnitPlan plan : fleet.plans(last)) {
            if (!theirs.contains(homes.of(plan.unitCode()))) {
              continue;
            }
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
                    tray ->
                        WorkPlaces.refusal(session, sent, tray.place())
                            .map(Outcome::refused)
                            .orElseGet(
                                () -> {
                                  FleetPicture fleet = FleetPicture.load(session, clock.today());
                                  makeAnew(session, fleet, tray, Kits.of(session, fleet));
                                  return Outcome.done();
                                }))
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
   * @param at where it is laid; empty for the home of its machine, else the main store
   */
  public record Unplanned(
      TrayPurpose purpose,
      Optional<String> unit,
      String title,
      LocalDate day,
      Optional<Place> at) {}

  /** The places at which the one who asks lays trays. */
  public SortedMap<Place, String> places() {
    return store.read(
        session -> WorkPlaces.among(session, Viewer.name(), session.places().names()));
  }

  /** Starts a tray that serves no task, with the parts that are wanted for its machine. */
  @Allowed.ToKeepStore
  public Outcome start(Sent sent, Unplanned wish) {
    return once.run(sent, session -> start(session, sent, wish));
  }

  private Outcome start(Session session, Sent sent, Unplanned wish) {
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
    Optional<Unit> unit =
        fleet.units().stream()
            .filter(u -> wish.unit().filter(u.code()::equalsIgnoreCase).isPresent())
            .findFirst();
    if (unit.isPresent() != wish.unit().isPresent()) {
      return Outcome.refused(new TrayRefusal.UnknownUnit(wish.unit().orElseThrow()));
    }
    Place at = wish.at().or(() -> unit.map(Unit::home)).orElse(Place.MAIN);
    if (!session.places().names().containsKey(at)) {
      return Outcome.refused(new TrayRefusal.UnknownPlace());
    }
    Optional<Refusal> elsewhere = WorkPlaces.refusal(session, sent, at);
    if (elsewhere.isPresent()) {
      return Outcome.refused(elsewhere.get());
    }
    TrayId id = session.trays().add(unit.map(Unit::id), wish.purpose(), wish.title(), wish.day());
    session.trays().setPlace(id, at);
    WantedLines.putOn(session, id);
    return Outcome.done(id);
  }
}
