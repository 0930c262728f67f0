package dev.lonja.desk.forecast;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Answers what will be used and when each item runs short. */
@Service
@Allowed.ToSeeStore
public class AheadDesk {

  /** How far ahead one item is looked at. */
  public static final int WEEKS = 26;

  private final LonjaStore store;
  private final StoreClock clock;
  private final Trials trials;

  AheadDesk(LonjaStore store, StoreClock clock, Trials trials) {
    this.store = store;
    this.clock = clock;
    this.trials = trials;
  }

  /** What is drawn; if that does not show all that is written, newer trials are drawn. */
  public Drawn drawn() {
    return trials.drawn();
  }

  /** The plan line over so many weeks, with stock held against it. */
  @KeptAnswer
  public Forecast all(int weeks) {
    return store.read(session -> Forecast.load(session, clock.today(), weeks));
  }

  /** The same of one place alone; empty for a place that is not there. */
  @KeptAnswer
  public Optional<Forecast> at(Place place, int weeks) {
    return store.read(
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          Forecast forecast = Forecast.of(session, fleet, weeks);
          return Optional.ofNullable(
              PlaceForecast.of(session, fleet, forecast).places().get(place));
        });
  }

  /** The places of the store, the main store first. */
  @KeptAnswer
  public SortedMap<Place, String> places() {
    return store.read(session -> session.places().names());
  }

  /**
   * Who sells what.
   *
   * @param suppliers who sell anything, in order of their names
   */
  public record Sellers(List<Supplier> suppliers, Map<ItemId, List<Supplier>> byItem) {}

  /** Who sells what, to look at what is used by supplier. */
  @KeptAnswer
  public Sellers sellers() {
    return store.read(
        session -> {
          Map<ItemId, List<Supplier>> byItem = new HashMap<>();
          session
              .supplies()
              .all()
              .forEach(
                  (item, its) -> byItem.put(item, its.stream().map(Supply::supplier).toList()));
          List<Supplier> all =
              byItem.values().stream()
                  .flatMap(List::stream)
                  .distinct()
                  .sorted(Comparator.comparing(Supplier::name))
                  .toList();
          return new Sellers(all, byItem);
        });
  }

  /** The plan line of one item, or of the fluid it is a pack of; empty for an unknown item. */
  @KeptAnswer
  public Optional<OfItem> item(ItemId itemId) {
    Forecast forecast = all(WEEKS);
    return forecast.subjectOf(itemId).map(subject -> new OfItem(forecast.plan(), subject));
  }

  /**
   * One trial of an item, or of the fluid it is a pack of.
   *
   * @param codes by unit
   */
  public record OfTrial(Subject subject, DrawnTrial trial, Map<UnitId, String> codes) {}

  /**
   * The trial that set a quantile of what is used up to the end of a week; empty for an unknown
   * item, before any trials are drawn, or for a week beyond them.
   *
   * @param share above 0, up to 1
   */
  public Optional<OfTrial> trial(ItemId itemId, IsoWeek week, double share) {
    Forecast forecast = all(WEEKS);
    int place = forecast.plan().horizon().indexOf(week);
    return forecast
        .subjectOf(itemId)
        .flatMap(
            subject ->
                trials
                    .trialOf(subject, place, share)
                    .map(trial -> new OfTrial(subject, trial, codes())));
  }

  private Map<UnitId, String> codes() {
    return store.read(
        session ->
            FleetPicture.load(session, clock.today()).units().stream()
                .collect(Collectors.toMap(Unit::id, Unit::code)));
  }

  /** One subject of the plan line. */
  public record OfItem(PlanLine plan, Subject subject) {}
}
