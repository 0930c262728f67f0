package dev.lonja.web.due;

import dev.lonja.core.calendar.UsageBurst;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueRule;
import dev.lonja.core.service.OccurrencePlanner;
import dev.lonja.core.service.TaskStanding;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.Problem;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
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
  private static final int YEARS = 2;
  private static final int USUAL_DAYS = 6;

  private final LonjaStore store;
  private final StoreClock clock;

  /** A burst as typed; all fields are empty at first. */
  public record Form(String meterId, String first, String last, String perDay) {}

  /** The page, and what was wrong with the form. */
  public record Answer(BurstView view, List<Problem> problems) {}

  public BurstDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** Empty for a unit that is not in service. */
  public Optional<Answer> answer(String code, Form form) {
    return store.read(
        session -> {
          FleetPicture fleet = FleetPicture.load(session, clock.today());
          return fleet.units().stream()
              .filter(unit -> unit.code().equalsIgnoreCase(code))
              .findFirst()
              .filter(unit -> !fleet.metersOf(unit).isEmpty())
              .map(unit -> new WhatIf(session, fleet, unit, form).answer());
        });
  }

  /** One question. */
  private static final class WhatIf {
    private final Session session;
    private final FleetPicture fleet;
    private final LocalDate today;
    private final Unit unit;
    private final Form form;
    private final MeterStanding meter;
    private final Typed typed = new Typed();

    WhatIf(Session session, FleetPicture fleet, Unit unit, Form form) {
      this.session = session;
      this.fleet = fleet;
      this.today = fleet.today();
      this.unit = unit;
      List<MeterStanding> meters = fleet.metersOf(unit);
      this.meter =
          meters.stream()
              .filter(m -> String.valueOf(m.file().meter().id()).equals(form.meterId()))
              .findFirst()
              .orElse(meters.get(0));
      this.form = form.first().isBlank() && form.perDay().isBlank() ? usual() : form;
    }

    /** Day and night from today, six days long. */
    private Form usual() {
      boolean hours = meter.file().meter().measure() == MeterMeasure.HOURS;
      return new Form(
          String.valueOf(meter.file().meter().id()),
          today.toString(),
          today.plusDays(USUAL_DAYS - 1L).toString(),
          hours ? "24" : "800");
    }

    public Answer answer() {
      Optional<UsageBurst> burst = burst();
      return new Answer(
          burst.map(this::view).orElseGet(() -> page("", List.of(), List.of())), typed.problems());
    }

    private Optional<UsageBurst> burst() {
      Optional<LocalDate> first = typed.day("first", form.first());
      Optional<LocalDate> last = typed.day("last", form.last());
      MeterMeasure measure = meter.file().meter().measure();
      BigDecimal most = BigDecimal.valueOf(measure.highestPerDay().tenths(), 1);
      Optional<BigDecimal> perDay =
          typed.decimalUpTo("perDay", "The use a day", form.perDay(), most);
      boolean inOrder = first.flatMap(f -> last.map(l -> !f.isAfter(l))).orElse(true);
      if (!inOrder) {
        typed.refuse(
            "last",
            "The last day, " + last.get() + ", lies before the first, " + first.get() + ".");
      }
      if (last.filter(l -> l.isAfter(today.plusYears(1))).isPresent()) {
        typed.refuse("last", "The last day is " + last.get() + "; allowed is up to a year ahead.");
      }
      return typed.problems().isEmpty()
          ? Optional.of(
              new UsageBurst(
                  first.orElseThrow(),
                  last.orElseThrow(),
                  MeterSpan.of(perDay.orElseThrow(), measure)))
          : Optional.empty();
    }

    private BurstView view(UsageBurst burst) {
      List<TaskStanding> asItIs = fleet.tasks().get(unit.id());
      List<TaskStanding> then = asItIs.stream().map(task -> with(task, burst)).toList();
      LocalDate end = burst.last().isBefore(today) ? today : burst.last();
      LocalDate until = end.plusDays(DAYS_AFTER);
      MeterOutlook outlook = meter.outlook().with(burst);
      String summary =
          "The "
              + meter.file().meter().name()
              + " meter would stand at "
              + outlook.on(end).rounded().display()
              + " on "
              + Words.day(end, today)
              + ", not at "
              + meter.outlook().on(end).rounded().display()
              + ". Parts are counted to "
              + Words.day(until, today)
              + ".";
      return page(summary, sooner(asItIs, then), parts(asItIs, then, until));
    }

    private TaskStanding with(TaskStanding task, UsageBurst burst) {
      boolean counts =
          task.task().meterId().filter(id -> id.equals(meter.file().meter().id())).isPresent();
      return counts ? task.withOutlook(task.outlook().map(outlook -> outlook.with(burst))) : task;
    }

    private List<BurstView.Sooner> sooner(List<TaskStanding> asItIs, List<TaskStanding> then) {
      List<BurstView.Sooner> rows = new ArrayList<>();
      LocalDate until = today.plusYears(YEARS);
      for (int i = 0; i < asItIs.size(); i++) {
        Due before = DueRule.due(asItIs.get(i), today, until);
        Due after = DueRule.due(then.get(i), today, until);
        if (!before.plannedDate().equals(after.plannedDate())) {
          rows.add(sooner(before, after.plannedDate().orElseThrow()));
        }
      }
      return rows;
    }

    private BurstView.Sooner sooner(Due before, LocalDate then) {
      return new BurstView.Sooner(
          before.task().name(),
          before.task().serviceName(),
          before.plannedDate().map(day -> Words.day(day, today)).orElse("beyond two years"),
          Words.day(then, today),
          before
              .plannedDate()
              .map(day -> Words.count(ChronoUnit.DAYS.between(then, day), "day", "days"))
              .orElse(""));
    }

    private List<BurstView.Part> parts(
        List<TaskStanding> asItIs, List<TaskStanding> then, LocalDate until) {
      Map<ItemId, Quantity> before = used(asItIs, until);
      Map<ItemId, Quantity> after = used(then, until);
      Map<ItemId, Quantity> free = session.ledger().free(today);
      List<BurstView.Part> parts = new ArrayList<>();
      after.forEach(
          (itemId, quantity) -> {
            Quantity none = Quantity.zero(quantity.measure());
            Quantity more = quantity.minus(before.getOrDefault(itemId, none));
            if (more.isPositive()) {
              Item item = session.items().byId(itemId).orElseThrow();
              parts.add(part(item, more, quantity, free.getOrDefault(itemId, none)));
            }
          });
      return parts;
    }

    private static BurstView.Part part(Item item, Quantity more, Quantity needed, Quantity free) {
      Quantity lacking = needed.minus(free);
      return new BurstView.Part(
          Plate.of(item),
          more.display(),
          free.display(),
          lacking.isPositive()
              ? State.ofShort(lacking.display() + " short")
              : State.ready("covered"));
    }

    private Map<ItemId, Quantity> used(List<TaskStanding> tasks, LocalDate until) {
      UnitPlan plan =
          new UnitPlan(
              unit.id(),
              unit.code(),
              OccurrencePlanner.plan(tasks, today, until),
              fleet.needs(unit.id()));
      int weeks =
          (int) ChronoUnit.WEEKS.between(IsoWeek.of(today).monday(), IsoWeek.of(until).monday())
              + 1;
      Map<ItemId, Quantity> used = new TreeMap<>();
      for (Demand demand : PlanLine.of(List.of(plan), List.of(), today, weeks).demands()) {
        used.merge(demand.itemId(), demand.quantity(), Quantity::plus);
      }
      return used;
    }

    private BurstView page(
        String summary, List<BurstView.Sooner> sooner, List<BurstView.Part> parts) {
      return new BurstView(
          unit.code(),
          unit.name(),
          fleet.metersOf(unit).stream()
              .map(
                  m ->
                      new BurstView.MeterChoice(
                          m.file().meter().id(),
                          m.file().meter().name() + ", " + m.file().meter().measure().symbol(),
                          m.equals(meter)))
              .toList(),
          form,
          summary,
          sooner,
          parts);
    }
  }
}
