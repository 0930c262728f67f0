package dev.lonja.desk.service;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueSpread;
import dev.lonja.core.service.Occurrence;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Answers what falls due on all units in the coming weeks. */
@Service
@Allowed.ToSeeMachines
public class DueDesk {

  /** How far ahead is looked. */
  public static final int WEEKS = 13;

  private static final int FEED_WEEKS = 26;

  /** More in one page would take a browser longer than a storekeeper waits. */
  private static final int PART = 200;

  private final LonjaStore store;
  private final StoreClock clock;

  public DueDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * In which order occurrences are listed. They come by the codes of their units and then by their
   * days, and those of one day stay as they came.
   */
  public enum Order {
    DAY(
        planned ->
            planned.stream()
                .collect(Collectors.groupingBy(Planned::date, TreeMap::new, Collectors.toList()))
                .values()
                .stream()
                .flatMap(List::stream)
                .toList()),
    UNIT(planned -> planned);

    private final UnaryOperator<List<Planned>> order;

    Order(UnaryOperator<List<Planned>> order) {
      this.order = order;
    }
  }

  /** Which occurrences are listed. */
  public enum Show {
    ALL(planned -> true),
    OVERDUE(planned -> planned.occurrence().leading().isOverdue()),
    NO_RECORD(Planned::lacksRecord);

    private final Predicate<Planned> lets;

    Show(Predicate<Planned> lets) {
      this.lets = lets;
    }
  }

  /**
   * What is asked for.
   *
   * @param unitClass the code of a class, or empty for all
   * @param part which part of the list, 1 for the first; the nearest there is where there is none
   */
  public record Choice(String unitClass, Order order, Show show, int part) {

    boolean lets(Planned planned) {
      return (unitClass.isEmpty() || planned.unit().unitClass().code().equals(unitClass))
          && show.lets.test(planned);
    }
  }

  /**
   * A part of what falls due.
   *
   * @param count how many occurrences there are in all parts
   * @param classes those of all units in service, in order of their codes
   */
  public record Coming(
      int count, int part, int parts, List<Listed> listed, List<Unit.UnitClass> classes) {}

  /**
   * An occurrence on the list.
   *
   * @param spread how sure its day is; empty where it rests on plans and not on readings
   */
  public record Listed(Planned planned, Optional<DueSpread> spread) {}

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

    private LocalDate date() {
      return occurrence.date();
    }
  }

  /** Occurrences of the coming 13 weeks. */
  @KeptAnswer
  public Coming coming(Choice choice) {
    FleetPicture fleet = store.read(session -> FleetPicture.load(session, clock.today()));
    List<Planned> all =
        choice.order().order.apply(planned(fleet, WEEKS).stream().filter(choice::lets).toList());
    int parts = Math.max(1, (all.size() + PART - 1) / PART);
    int part = Math.min(Math.max(choice.part(), 1), parts);
    return new Coming(
        all.size(),
        part,
        parts,
        all.stream().skip((part - 1L) * PART).limit(PART).map(p -> listed(fleet, p)).toList(),
        fleet.units().stream()
            .map(Unit::unitClass)
            .distinct()
            .sorted(Comparator.comparing(Unit.UnitClass::code))
            .toList());
  }

  private static Listed listed(FleetPicture fleet, Planned planned) {
    return new Listed(
        planned,
        planned.isNext()
            ? Optional.of(
                DueSpread.of(planned.occurrence().leading(), fleet.today(), fleet.horizon()))
            : Optional.empty());
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
