package dev.lonja.core.forecast;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.take.Take;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * The expected use of every item over a horizon of ISO weeks, the first of which holds today. Every
 * figure is a sum of its {@link Demand} lines in whole millionths, so the lines add up to it
 * exactly.
 *
 * @param demands in order of date, unit and item, what trays hold already taken off
 * @param gaps what could not be counted, by unit
 */
public record PlanLine(LocalDate today, int weeks, List<Demand> demands, List<UnitGap> gaps) {

  /** The most weeks that may be asked for: four years. */
  public static final int MOST_WEEKS = 208;

  /** What is for no machine comes first on its day. */
  private static final Comparator<Demand> ORDER =
      Comparator.comparing(Demand::date)
          .thenComparing(demand -> demand.unitCode().orElse(""))
          .thenComparing(Demand::itemId);

  /** What a unit's data lack. */
  public record UnitGap(String unitCode, Take.Gap gap) {}

  public PlanLine {
    if (!(weeks >= 1 && weeks <= MOST_WEEKS)) {
      throw new IllegalArgumentException("weeks is " + weeks + "; allowed is 1 to " + MOST_WEEKS);
    }
    demands = List.copyOf(demands);
    gaps = List.copyOf(gaps);
  }

  /** The last day of a horizon of {@code weeks} from {@code today}: a Sunday. */
  public static LocalDate lastDay(LocalDate today, int weeks) {
    return IsoWeek.of(today).plusWeeks(weeks - 1).sunday();
  }

  /** The plan line of units whose plans reach over the horizon and no further. */
  public static PlanLine of(
      List<UnitPlan> units, List<TrayHold> holds, LocalDate today, int weeks) {
    return ofDemand(
        units.stream().map(UnitDemand::of).toList(),
        new Beside(holds, List.of(), List.of()),
        today,
        weeks);
  }

  /**
   * What counts beside the plans of units.
   *
   * @param holds what is taken off a service: what its tray holds, or is wanted by itself
   * @param certain what is asked for whatever is planned; later than the horizon is left aside
   * @param unplanned what is used beside services, as far as it can be told from what was
   */
  public record Beside(
      List<TrayHold> holds, List<CertainDemand> certain, List<UnplannedUse> unplanned) {

    /** Nothing at all. */
    public static final Beside NOTHING = new Beside(List.of(), List.of(), List.of());

    public Beside {
      holds = List.copyOf(holds);
      certain = List.copyOf(certain);
      unplanned = List.copyOf(unplanned);
    }

    /** What of it falls at a place; what is taken off services is left aside. */
    public Beside at(Place place, Homes homes) {
      return new Beside(
          List.of(),
          certain.stream().filter(demand -> homes.of(demand).equals(place)).toList(),
          unplanned.stream().filter(use -> use.place().equals(place)).toList());
    }
  }

  /** The same of what each unit will take up to the last day of the horizon. */
  public static PlanLine ofDemand(
      List<UnitDemand> units, Beside beside, LocalDate today, int weeks) {
    List<ServiceDemand> planned = new ArrayList<>();
    units.forEach(unit -> planned.addAll(unit.demands()));
    planned.sort(ORDER);
    beside.holds().forEach(hold -> takeOff(hold, planned));
    LocalDate last = lastDay(today, weeks);
    List<Demand> demands = new ArrayList<>(planned);
    units.forEach(unit -> demands.addAll(unit.topUps()));
    beside.unplanned().forEach(use -> demands.addAll(use.demands(today, weeks)));
    beside.certain().stream().filter(demand -> !demand.date().isAfter(last)).forEach(demands::add);
    demands.sort(ORDER);
    List<UnitGap> gaps =
        units.stream()
            .flatMap(unit -> unit.gaps().stream())
            .map(UnitDemand.DatedGap::gap)
            .distinct()
            .toList();
    return new PlanLine(today, weeks, demands, gaps);
  }

  private static void takeOff(TrayHold hold, List<ServiceDemand> demands) {
    Map<ItemId, Quantity> left = new HashMap<>(hold.laid());
    for (int i = 0; i < demands.size(); i++) {
      ServiceDemand demand = demands.get(i);
      Quantity laid = left.get(demand.itemId());
      if (laid == null || demand.repeat() > 0 || !hold.isFor(demand)) {
        continue;
      }
      Quantity taken = laid.min(demand.line().toLay()).min(demand.quantity());
      demands.set(i, demand.holding(taken));
      left.put(demand.itemId(), laid.minus(laid.min(demand.line().toLay())));
    }
  }

  /** Every week of the horizon, the one that holds today first. */
  public List<IsoWeek> horizon() {
    List<IsoWeek> horizon = new ArrayList<>(weeks);
    for (int i = 0; i < weeks; i++) {
      horizon.add(IsoWeek.of(today).plusWeeks(i));
    }
    return horizon;
  }

  /** What services take, in order; nothing of what is asked for whatever is planned. */
  public List<ServiceDemand> planned() {
    return demands.stream()
        .filter(ServiceDemand.class::isInstance)
        .map(ServiceDemand.class::cast)
        .toList();
  }

  /** The lines of one item, in order of date. */
  public List<Demand> demandsOf(ItemId itemId) {
    return demands.stream().filter(demand -> demand.itemId().equals(itemId)).toList();
  }

  /** By item, the sum of each week in which anything is expected. */
  public Map<ItemId, TreeMap<IsoWeek, Quantity>> totals() {
    Map<ItemId, TreeMap<IsoWeek, Quantity>> totals = new TreeMap<>();
    for (Demand demand : demands) {
      if (!demand.quantity().isZero()) {
        totals
            .computeIfAbsent(demand.itemId(), id -> new TreeMap<>())
            .merge(IsoWeek.of(demand.date()), demand.quantity(), Quantity::plus);
      }
    }
    return totals;
  }
}
