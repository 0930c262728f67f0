package dev.lonja.desk.forecast;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.Accuracy;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.part.Family;
import dev.lonja.core.pour.LearnedCapacity;
import dev.lonja.core.pour.RecordedFill;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.forecast.KeptForecastRepository.Kept;
import dev.lonja.store.query.UnitScope;
import dev.lonja.store.replay.PastRepository.Net;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Answers how well forecasts agreed with what happened, and why the worst did not. */
@Service
@Allowed.ToSeeStore
public class AccuracyDesk {

  private static final Set<MovementKind> USES = EnumSet.of(MovementKind.ISSUE, MovementKind.POUR);

  /** Of so many things it is said why. */
  private static final int WORST = 10;

  /** A meter that was read before so many days had nothing new to say. */
  private static final int LATE_DAYS = 28;

  private final LonjaStore store;
  private final StoreClock clock;

  AccuracyDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * How well it went.
   *
   * @param months that are over and of which a forecast was kept, with the day it was made
   * @param families whose things are counted alike
   * @param items in order of what was missed in per cent, the worst first
   */
  public record Result(
      SortedMap<YearMonth, LocalDate> months,
      SortedMap<Family, Accuracy> families,
      List<OfItem> items) {}

  /**
   * One item.
   *
   * @param beside what of its use belonged to no service
   * @param late codes of the machines that take it whose meters were read late before a forecast
   * @param capacities where fills differ from what is on file
   * @param isExplained true if it is among the worst, of which the reasons were looked for
   */
  public record OfItem(
      Item item,
      Accuracy accuracy,
      Quantity beside,
      List<String> late,
      List<OfCapacity> capacities,
      boolean isExplained) {}

  /** A compartment whose fills differ from its capacity on file. */
  public record OfCapacity(String unitCode, LearnedCapacity learned) {}

  @KeptAnswer
  public Result result() {
    return store.read(this::result);
  }

  private Result result(Session session) {
    YearMonth now = YearMonth.from(clock.today());
    SortedMap<YearMonth, Kept> kept = new TreeMap<>(session.keptForecasts().all());
    kept.keySet().removeIf(month -> !month.isBefore(now));
    if (kept.isEmpty()) {
      return new Result(new TreeMap<>(), new TreeMap<>(), List.of());
    }
    Uses uses = Uses.load(session, kept.keySet());
    Map<ItemId, List<Accuracy.Month>> byItem = new HashMap<>();
    Map<ItemId, Item> items = new HashMap<>();
    for (Item item : session.items().all()) {
      items.put(item.id(), item);
      byItem.put(item.id(), months(item, kept, uses));
    }
    List<Map.Entry<ItemId, Accuracy>> worst = new ArrayList<>();
    byItem.forEach((item, months) -> worst.add(Map.entry(item, Accuracy.of(months))));
    worst.removeIf(entry -> !entry.getValue().saysAnything());
    worst.sort(
        Comparator.comparing(
                (Map.Entry<ItemId, Accuracy> entry) -> entry.getValue().weightedError())
            .reversed()
            .thenComparing(entry -> items.get(entry.getKey()).number()));
    Reasons reasons =
        new Reasons(session, kept, worst.stream().limit(WORST).map(Map.Entry::getKey).toList());
    List<OfItem> all = new ArrayList<>();
    for (Map.Entry<ItemId, Accuracy> entry : worst) {
      Item item = items.get(entry.getKey());
      boolean explained = all.size() < WORST;
      all.add(
          new OfItem(
              item,
              entry.getValue(),
              uses.beside(item),
              explained ? reasons.late(item) : List.of(),
              explained ? reasons.capacities(item) : List.of(),
              explained));
    }
    SortedMap<YearMonth, LocalDate> made = new TreeMap<>();
    kept.forEach((month, forecast) -> made.put(month, forecast.madeOn()));
    return new Result(made, families(items, byItem), all);
  }

  private static List<Accuracy.Month> months(
      Item item, SortedMap<YearMonth, Kept> kept, Uses uses) {
    List<Accuracy.Month> months = new ArrayList<>();
    kept.forEach(
        (month, forecast) ->
            months.add(
                new Accuracy.Month(
                    forecast.use().getOrDefault(item.id(), Quantity.zero(item.measure())),
                    uses.in(month, item))));
    return months;
  }

  /** Of families, what is counted alike. */
  private static SortedMap<Family, Accuracy> families(
      Map<ItemId, Item> items, Map<ItemId, List<Accuracy.Month>> byItem) {
    SortedMap<Family, List<Accuracy.Month>> months = new TreeMap<>();
    byItem.forEach(
        (id, its) -> {
          Item item = items.get(id);
          if (item.measure() == item.family().measure() && Accuracy.of(its).saysAnything()) {
            months.computeIfAbsent(item.family(), f -> new ArrayList<>()).addAll(its);
          }
        });
    SortedMap<Family, Accuracy> families = new TreeMap<>();
    months.forEach((family, its) -> families.put(family, Accuracy.of(its)));
    return families;
  }

  /** What was used in months, and what of it for no service. */
  private record Uses(Map<YearMonth, Map<ItemId, Quantity>> byMonth, Map<ItemId, Quantity> beside) {

    static Uses load(Session session, Set<YearMonth> months) {
      Set<String> services = new HashSet<>(session.past().serviceTrays());
      Map<YearMonth, Map<ItemId, Quantity>> byMonth = new HashMap<>();
      Map<ItemId, Quantity> beside = new HashMap<>();
      for (Net net : session.past().movements()) {
        YearMonth month = YearMonth.from(net.day());
        if (USES.contains(net.kind()) && months.contains(month)) {
          Quantity used = net.quantity().negated();
          byMonth
              .computeIfAbsent(month, m -> new HashMap<>())
              .merge(net.itemId(), used, Quantity::plus);
          if (!services.contains(net.reference())) {
            beside.merge(net.itemId(), used, Quantity::plus);
          }
        }
      }
      return new Uses(byMonth, beside);
    }

    Quantity in(YearMonth month, Item item) {
      return byMonth
          .getOrDefault(month, Map.of())
          .getOrDefault(item.id(), Quantity.zero(item.measure()));
    }

    Quantity beside(Item item) {
      return beside.getOrDefault(item.id(), Quantity.zero(item.measure()));
    }
  }

  /** Why the forecasts of some items may have been wrong. */
  private final class Reasons {

    private final SortedMap<YearMonth, Kept> kept;
    private final FleetPicture fleet;
    private final Map<ItemId, List<Unit>> takers = new HashMap<>();
    private final Map<MeterId, List<LocalDate>> read;
    private final Map<UnitId, List<RecordedFill>> fills;

    Reasons(Session session, SortedMap<YearMonth, Kept> kept, List<ItemId> items) {
      this.kept = kept;
      this.fleet = FleetPicture.load(session, clock.today());
      Map<ItemId, Set<String>> codes = new HashMap<>();
      Forecast.of(session, fleet, Trials.WEEKS)
          .plan()
          .demands()
          .forEach(
              demand ->
                  demand
                      .unitCode()
                      .ifPresent(
                          code ->
                              codes
                                  .computeIfAbsent(demand.itemId(), i -> new HashSet<>())
                                  .add(code)));
      Set<UnitId> units = new HashSet<>();
      for (ItemId item : items) {
        Set<String> its = codes.getOrDefault(item, Set.of());
        takers.put(item, fleet.units().stream().filter(u -> its.contains(u.code())).toList());
        takers.get(item).forEach(unit -> units.add(unit.id()));
      }
      this.read =
          session
              .readings()
              .days(
                  takers.values().stream()
                      .flatMap(List::stream)
                      .flatMap(unit -> fleet.metersOf(unit).stream())
                      .map(meter -> meter.file().meter().id())
                      .collect(Collectors.toSet()));
      this.fills = session.records().fills(UnitScope.of(units));
    }

    List<String> late(Item item) {
      return takers.get(item.id()).stream()
          .filter(unit -> fleet.metersOf(unit).stream().anyMatch(this::wasReadLate))
          .map(Unit::code)
          .toList();
    }

    /** True if before one of the forecasts it had not been read for long. */
    private boolean wasReadLate(MeterStanding meter) {
      List<LocalDate> days = read.getOrDefault(meter.file().meter().id(), List.of());
      return kept.values().stream()
          .map(Kept::madeOn)
          .anyMatch(
              made ->
                  days.stream()
                      .filter(day -> !day.isAfter(made))
                      .max(Comparator.naturalOrder())
                      .filter(last -> last.isBefore(made.minusDays(LATE_DAYS)))
                      .isPresent());
    }

    List<OfCapacity> capacities(Item item) {
      if (item.product().isEmpty()) {
        return List.of();
      }
      return takers.get(item.id()).stream()
          .flatMap(
              unit ->
                  LearnedCapacity.proposals(
                          fleet.needs(unit.id()).compartments(),
                          fills.getOrDefault(unit.id(), List.of()))
                      .stream()
                      .map(learned -> new OfCapacity(unit.code(), learned)))
          .toList();
    }
  }
}
