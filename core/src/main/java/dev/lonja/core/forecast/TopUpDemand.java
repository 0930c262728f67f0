package dev.lonja.core.forecast;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.Mixes;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.pour.RecordedTopUp;
import dev.lonja.core.pour.TopUpUse;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * What is added to a compartment between services in one ISO week, on its Monday, or today in the
 * week that holds today.
 *
 * @param place the compartment
 * @param use how much for how long a run, and where that is known from
 */
public record TopUpDemand(
    String ofUnit, String place, ItemId itemId, LocalDate date, Quantity quantity, TopUpUse use)
    implements Demand {

  @Override
  public Optional<String> unitCode() {
    return Optional.of(ofUnit);
  }

  /** Both together, on the day of this one. */
  public TopUpDemand and(TopUpDemand later) {
    return new TopUpDemand(ofUnit, place, itemId, date, quantity.plus(later.quantity), use);
  }

  /**
   * The top-ups of one unit, of the product that each of its compartments takes by then; of one
   * that is mixed with water its own part.
   *
   * @param noted what was added to it so far
   * @param until the last day that counts; none beyond the unit's own last one
   */
  public static List<TopUpDemand> of(
      Unit unit,
      UnitNeeds needs,
      List<RecordedTopUp> noted,
      List<MeterStanding> meters,
      LocalDate today,
      LocalDate until) {
    LocalDate last =
        unit.retiredOn().map(day -> day.minusDays(1)).filter(until::isAfter).orElse(until);
    List<TopUpDemand> demands = new ArrayList<>();
    for (Compartment compartment : needs.compartments()) {
      TopUpUse.of(compartment, noted, meters, today)
          .ifPresent(
              use ->
                  demands.addAll(of(unit, compartment, needs.shelf().mixes(), use, today, last)));
    }
    return demands;
  }

  private static List<TopUpDemand> of(
      Unit unit,
      Compartment compartment,
      Mixes mixes,
      TopUpUse use,
      LocalDate today,
      LocalDate last) {
    List<TopUpDemand> demands = new ArrayList<>();
    for (LocalDate day = today; !day.isAfter(last); day = IsoWeek.of(day).sunday().plusDays(1)) {
      LocalDate sunday = IsoWeek.of(day).sunday();
      LocalDate end = sunday.isAfter(last) ? last : sunday;
      Optional<ItemId> item = compartment.on(day).itemId();
      if (item.isPresent()) {
        Volume added = use.between(day.minusDays(1), end);
        Quantity drawn = Quantity.of(added).times(mixes.partOfProduct(compartment, item.get()));
        if (drawn.isPositive()) {
          demands.add(
              new TopUpDemand(unit.code(), compartment.name(), item.get(), day, drawn, use));
        }
      }
    }
    return demands;
  }
}
