package dev.lonja.desk.cost;

import dev.lonja.core.cost.JobCost;
import dev.lonja.core.cost.Spent;
import dev.lonja.core.cost.YearOfCosts;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.query.UnitScope;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Answers what was used for machines, in money. */
@Service
@Allowed.ToSeeStore
public class CostDesk {

  private final LonjaStore store;
  private final StoreClock clock;

  public CostDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** A year of the store; this one if none is said. */
  public YearOfCosts year(Optional<Integer> asked) {
    int year = asked.orElse(clock.today().getYear());
    return store.read(
        session -> {
          Map<UnitId, Unit> units =
              session.fleet().units(UnitScope.ALL).stream()
                  .collect(Collectors.toMap(Unit::id, Function.identity()));
          return YearOfCosts.of(year, units, jobs(session, year), session.settings().currency());
        });
  }

  private static List<JobCost> jobs(Session session, int year) {
    return session.jobCosts().between(LocalDate.of(year, 1, 1), LocalDate.of(year, 12, 31));
  }

  /**
   * A machine and the jobs that were done for it, the last one first.
   *
   * @param sum of all of them
   */
  public record Jobs(Unit unit, List<JobCost> jobs, Spent sum) {}

  /** The jobs of one machine; empty for an unknown one. */
  public Optional<Jobs> jobs(String code) {
    return store.read(session -> session.fleet().unitByCode(code).map(unit -> jobs(session, unit)));
  }

  private Jobs jobs(Session session, Unit unit) {
    List<JobCost> jobs =
        session.jobCosts().of(unit.id()).stream()
            .sorted(Comparator.comparing(JobCost::day).reversed())
            .toList();
    return new Jobs(
        unit,
        jobs,
        jobs.stream()
            .map(JobCost::spent)
            .reduce(Spent.nothing(session.settings().currency()), Spent::plus));
  }
}
