package dev.lonja.core.cost;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.quantity.Money;
import java.time.Month;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What the jobs of a year cost: by unit, by class and for the store, month by month.
 *
 * @param workshop what was used for no machine
 * @param budget of the whole store, if one is set
 */
public record YearOfCosts(
    int year, List<OfClass> classes, Sum workshop, Sum store, Optional<Budget> budget) {

  public YearOfCosts {
    classes = List.copyOf(classes);
  }

  /**
   * Jobs added up.
   *
   * @param months what they cost, January first
   */
  public record Sum(int jobs, List<Money> months, Spent spent, Outside outside) {

    public Sum {
      months = List.copyOf(months);
    }

    static Sum of(List<JobCost> jobs, Currency currency) {
      List<Money> months = new ArrayList<>();
      for (Month month : Month.values()) {
        months.add(
            jobs.stream()
                .filter(job -> job.day().getMonth() == month)
                .map(job -> job.spent().total())
                .reduce(Money.zero(currency), Money::plus));
      }
      return new Sum(
          jobs.size(),
          months,
          jobs.stream().map(JobCost::spent).reduce(Spent.nothing(currency), Spent::plus),
          jobs.stream().map(JobCost::outside).reduce(Outside.nothing(currency), Outside::plus));
    }
  }

  /** The budgets of one year, of the store and by class. */
  public record Budgets(Optional<Budget> ofStore, Map<Long, Budget> ofClasses) {

    public static final Budgets NONE = new Budgets(Optional.empty(), Map.of());

    public Budgets {
      ofClasses = Map.copyOf(ofClasses);
    }
  }

  /** One machine. */
  public record OfUnit(Unit unit, Sum sum) {}

  /**
   * The machines of a class for which anything was done, in order of their codes; none if the class
   * only has a budget.
   *
   * @param budget of the class, if one is set
   */
  public record OfClass(
      Unit.UnitClass unitClass, List<OfUnit> units, Sum sum, Optional<Budget> budget) {

    public OfClass {
      units = List.copyOf(units);
    }
  }

  /**
   * Adds up jobs; those of another year are left out.
   *
   * @param units by id, all that the jobs are for; a job for none of them is broken data and throws
   */
  public static YearOfCosts of(
      int year, Map<UnitId, Unit> units, List<JobCost> all, Budgets budgets, Currency currency) {
    List<JobCost> jobs = all.stream().filter(job -> job.day().getYear() == year).toList();
    Map<Unit, List<JobCost>> byUnit = new LinkedHashMap<>();
    Map<Unit.UnitClass, List<JobCost>> byClass = new LinkedHashMap<>();
    jobs.stream()
        .filter(job -> job.unitId().isPresent())
        .sorted((a, b) -> unit(units, a).code().compareTo(unit(units, b).code()))
        .forEach(
            job -> {
              Unit unit = unit(units, job);
              byUnit.computeIfAbsent(unit, u -> new ArrayList<>()).add(job);
              byClass.computeIfAbsent(unit.unitClass(), c -> new ArrayList<>()).add(job);
            });
    // a budget of which nothing was used yet is still one
    units.values().stream()
        .map(Unit::unitClass)
        .filter(unitClass -> budgets.ofClasses().containsKey(unitClass.id()))
        .sorted(Comparator.comparing(Unit.UnitClass::code))
        .forEach(unitClass -> byClass.putIfAbsent(unitClass, new ArrayList<>()));
    List<OfClass> classes = new ArrayList<>();
    byClass.forEach(
        (unitClass, ofClass) ->
            classes.add(
                new OfClass(
                    unitClass,
                    byUnit.entrySet().stream()
                        .filter(entry -> entry.getKey().unitClass().equals(unitClass))
                        .map(
                            entry -> new OfUnit(entry.getKey(), Sum.of(entry.getValue(), currency)))
                        .toList(),
                    Sum.of(ofClass, currency),
                    Optional.ofNullable(budgets.ofClasses().get(unitClass.id())))));
    return new YearOfCosts(
        year,
        classes,
        Sum.of(jobs.stream().filter(job -> job.unitId().isEmpty()).toList(), currency),
        Sum.of(jobs, currency),
        budgets.ofStore());
  }

  private static Unit unit(Map<UnitId, Unit> units, JobCost job) {
    UnitId id = job.unitId().orElseThrow();
    return Optional.ofNullable(units.get(id))
        .orElseThrow(() -> new IllegalArgumentException("units has no " + id));
  }
}
