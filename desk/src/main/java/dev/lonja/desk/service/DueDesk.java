package dev.lonja.desk.service;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.Occurrence;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Answers what falls due on all units in the coming weeks. */
@Service
@Allowed.ToSeeMachines
public class DueDesk {

  /** How far ahead is looked. */
  public static final int WEEKS = 13;

  private static final int FEED_WEEKS = 26;

  private final LonjaStore store;
  private final StoreClock clock;

  public DueDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** What falls due, with the classes of all units in service, in order of their codes. */
  public record Coming(List<Planned> planned, List<Unit.UnitClass> classes) {}

  /**
   * An occurrence with its unit.
   *
   * @param isNext true for the first of its unit, which rests on readings and not on plans
   */
  public record Planned(Unit unit, Occurrence occurrence, boolean isNext) {

    /** True if a task of it counts from the start of service, since nothing is on record. */
    public boolean lacksRecord() {
      return occurrence.tasks().stream()
          .anyMatch(task -> task.due().flags().contains(Due.Flag.NO_RECORD));
    }
  }

  /** All occurrences of the coming 13 weeks, by unit. */
  public Coming coming() {
    FleetPicture fleet = store.read(session -> FleetPicture.load(session, clock.today()));
    return new Coming(
        planned(fleet, WEEKS),
        fleet.units().stream()
            .map(Unit::unitClass)
            .distinct()
            .sorted(Comparator.comparing(Unit.UnitClass::code))
            .toList());
  }

  private static List<Planned> planned(FleetPicture fleet, int weeks) {
    LocalDate until = fleet.today().plusWeeks(weeks);
    List<Planned> planned = new ArrayList<>();
    for (Unit unit : fleet.units()) {
      boolean next = true;
      for (Occurrence occurrence : fleet.planOf(unit, until).occurrences()) {
        planned.add(new Planned(unit, occurrence, next));
        next = false;
      }
    }
    return planned;
  }

  /**
   * All occurrences of one class for half a year, by unit; empty if no class has this secret.
   *
   * @param secret in the address of the feed; whoever knows it may read that
   */
  @Allowed.ToEveryone
  public Optional<List<Planned>> feed(String secret) {
    return store.read(
        session ->
            session
                .classes()
                .bySecret(secret)
                .map(
                    unitClass ->
                        planned(FleetPicture.load(session, clock.today()), FEED_WEEKS).stream()
                            .filter(p -> p.unit().unitClass().equals(unitClass))
                            .toList()));
  }
}
