package dev.lonja.desk.service;

import dev.lonja.core.calendar.UsageBurst;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.ExpectedLife;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueRule;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.springframework.stereotype.Service;

/** Answers what it would bring forward if a machine ran day and night for a while. */
@Service
@Allowed.ToSeeMachines
public class BurstDesk {

  private static final int DAYS_AFTER = 14;

  private final LonjaStore store;
  private final StoreClock clock;

  public BurstDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** A unit with its meters; there is one at least. */
  public record Subject(Unit unit, List<MeterStanding> meters) {}

  /**
   * What a burst would do.
   *
   * @param end the later of today and the burst's last day
   * @param until the day up to which parts are counted
   */
  public record Effect(
      LocalDate end,
      LocalDate until,
      ExpectedLife asItIs,
      ExpectedLife then,
      List<Sooner> sooner,
      List<More> parts) {}

  /** A task that would be due on another day. */
  public record Sooner(Due before, LocalDate then) {}

  /** What more would be used of an item, of all that is needed then, against what is free. */
  public record More(Item item, Quantity more, Quantity needed, Quantity free) {}

  /** Empty for a unit that is not in service or has no meter. */
  public Optional<Subject> subject(String code) {
    FleetPicture fleet = store.read(session -> FleetPicture.load(session, clock.today()));
    return fleet.units().stream()
        .filter(unit -> unit.code().equalsIgnoreCase(code))
        .findFirst()
        .map(unit -> new Subject(unit, fleet.metersOf(unit)))
        .filter(subject -> !subject.meters().isEmpty());
  }

  /** What a burst on one meter would do to its unit. */
  public Effect effect(MeterStanding meter, UsageBurst burst) {
    return store.read(
        session ->
            new WhatIf(session, FleetPicture.load(session, clock.today()), meter, burst).effect());
  }

  /** One question. */
  private static final class WhatIf {
    private final Session session;
    private final FleetPicture fleet;
    private final LocalDate today;
    private final Unit unit;
    private final MeterStanding meter;
    private final UsageBurst burst;
    private final List<TaskStanding> asItIs;
    private final List<TaskStanding> then;

    WhatIf(Session session, FleetPicture fleet, MeterStanding meter, UsageBurst burst) {
      this.session = session;
      this.fleet = fleet;
      this.today = fleet.today();
      this.unit = meter.file().unit();
      this.meter = meter;
      this.burst = burst;
      this.asItIs = fleet.tasks(unit.id());
      this.then = asItIs.stream().map(this::withBurst).toList();
    }

    private TaskStanding withBurst(TaskStanding task) {
      boolean counts =
          task.task().meterId().filter(id -> id.equals(meter.file().meter().id())).isPresent();
      return counts ? task.withOutlook(task.outlook().map(outlook -> outlook.with(burst))) : task;
    }

    Effect effect() {
      LocalDate end = burst.last().isBefore(today) ? today : burst.last();
      LocalDate until = end.plusDays(DAYS_AFTER);
      return new Effect(
          end,
          until,
          meter.outlook().on(end),
          meter.outlook().with(burst).on(end),
          sooner(),
          parts(until));
    }

    private List<Sooner> sooner() {
      List<Sooner> sooner = new ArrayList<>();
      for (int i = 0; i < asItIs.size(); i++) {
        Due before = DueRule.due(asItIs.get(i), today, fleet.horizon());
        Due after = DueRule.due(then.get(i), today, fleet.horizon());
        if (!before.plannedDate().equals(after.plannedDate())) {
          after.plannedDate().ifPresent(day -> sooner.add(new Sooner(before, day)));
        }
      }
      return sooner;
    }

    private List<More> parts(LocalDate until) {
      Map<ItemId, Quantity> before = used(asItIs, until);
      Map<ItemId, Quantity> free = session.ledger().free(today);
      List<More> parts = new ArrayList<>();
      Map<ItemId, Quantity> after = used(then, until);
      Map<ItemId, Item> items = session.items().byIds(after.keySet());
      after.forEach(
          (itemId, quantity) -> {
            Quantity none = Quantity.zero(quantity.measure());
            Quantity more = quantity.minus(before.getOrDefault(itemId, none));
            if (more.isPositive()) {
              parts.add(
                  new More(items.get(itemId), more, quantity, free.getOrDefault(itemId, none)));
            }
          });
      return parts;
    }

    private Map<ItemId, Quantity> used(List<TaskStanding> tasks, LocalDate until) {
      UnitPlan plan = fleet.planOf(unit, tasks, until);
      int weeks =
          (int) ChronoUnit.WEEKS.between(IsoWeek.of(today).monday(), IsoWeek.of(until).monday())
              + 1;
      Map<ItemId, Quantity> used = new TreeMap<>();
      for (Demand demand : PlanLine.of(List.of(plan), List.of(), today, weeks).demands()) {
        used.merge(demand.itemId(), demand.quantity(), Quantity::plus);
      }
      return used;
    }
  }
}
