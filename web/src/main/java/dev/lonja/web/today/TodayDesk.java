package dev.lonja.web.today;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueRule;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.TrayProgress;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.crossref.OnTheShelf;
import dev.lonja.web.due.DueWording;
import dev.lonja.web.frame.LineStates;
import dev.lonja.web.frame.Svg;
import dev.lonja.web.frame.Words;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Answers what must leave the counter this week and what stands in the way. */
@Service
@Allowed.ToSeeStore
public class TodayDesk {

  private static final int WORKING_DAYS = 5;

  private final LonjaStore store;
  private final StoreClock clock;

  TodayDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  @Allowed.ToSeeStore
  public TodayView view() {
    return store.read(session -> new Page(session, clock.today()).view());
  }

  /** One page from one consistent state. */
  private static final class Page {
    private final Session session;
    private final LocalDate today;
    private final FleetPicture fleet;
    private final List<LocalDate> days;
    private final Map<Tray, TrayProgress> trays = new LinkedHashMap<>();
    private final List<UnitPlan> notStarted;

    Page(Session session, LocalDate today) {
      this.session = session;
      this.today = today;
      this.fleet = FleetPicture.load(session, today);
      this.days = workingDays(today);
      LocalDate last = days.get(days.size() - 1);
      Map<ItemId, Quantity> free = session.ledger().free(today);
      List<Tray> open = session.trays().open();
      for (Tray tray : open) {
        if (!tray.plannedOn().isAfter(last)) {
          trays.put(tray, TrayProgress.of(tray.lines(), free));
        }
      }
      this.notStarted = fleet.plans(last).stream().map(plan -> withoutTrays(plan, open)).toList();
    }

    private static UnitPlan withoutTrays(UnitPlan plan, List<Tray> open) {
      Set<TaskId> onTrays =
          open.stream()
              .filter(tray -> tray.unitId().equals(plan.unitId()))
              .flatMap(tray -> tray.taskIds().stream())
              .collect(Collectors.toSet());
      return new UnitPlan(
          plan.unitId(),
          plan.unitCode(),
          plan.occurrences().stream()
              .filter(o -> o.tasks().stream().noneMatch(t -> onTrays.contains(t.task().id())))
              .toList(),
          plan.needs());
    }

    TodayView view() {
      long shortTrays =
          trays.values().stream().filter(p -> p.state() == TrayProgress.State.SHORT).count();
      return new TodayView(
          Words.count(trays.size(), "tray", "trays")
              + " on the rack, "
              + shortTrays
              + " with something short",
          days.stream().map(this::shelf).toList(),
          needs());
    }

    private TodayView.Shelf shelf(LocalDate day) {
      return new TodayView.Shelf(
          Words.weekday(day),
          String.valueOf(day.getDayOfMonth()),
          trays.keySet().stream()
              .filter(tray -> standsOn(tray).equals(day))
              .map(this::block)
              .toList(),
          wishes(day));
    }

    /** A tray whose day is past, or falls on a day off, stands on the next shelf. */
    private LocalDate standsOn(Tray tray) {
      return shelfFor(tray.plannedOn());
    }

    private LocalDate shelfFor(LocalDate day) {
      return days.stream()
          .filter(d -> !d.isBefore(day))
          .findFirst()
          .orElse(days.get(days.size() - 1));
    }

    private TodayView.Block block(Tray tray) {
      TrayProgress progress = trays.get(tray);
      int lines = progress.steps().size();
      return new TodayView.Block(
          tray.id(),
          tray.unitCode(),
          tray.title(),
          progress.laidCount() + "/" + lines,
          LineStates.of(progress),
          fill(progress.laidCount(), lines));
    }

    private static String fill(int laid, int lines) {
      Svg svg = new Svg(100, 6, laid + " of " + lines + " laid");
      svg.rect(0, 0, 100, 6, "fill=\"#d3dedb\"");
      svg.rect(0, 0, lines == 0 ? 0 : 100.0 * laid / lines, 6, "fill=\"#2c6a49\"");
      return svg.done().replace("<svg ", "<svg preserveAspectRatio=\"none\" ");
    }

    private List<TodayView.Wish> wishes(LocalDate day) {
      List<TodayView.Wish> wishes = new ArrayList<>();
      for (UnitPlan unit : notStarted) {
        for (Occurrence occurrence : unit.occurrences()) {
          if (shelfFor(occurrence.date()).equals(day)) {
            wishes.add(
                new TodayView.Wish(
                    unit.unitCode(), occurrence.title(), occurrence.date().toString()));
          }
        }
      }
      return wishes;
    }

    private List<TodayView.Need> needs() {
      List<TodayView.Need> needs = new ArrayList<>();
      trays.forEach((tray, progress) -> needs.addAll(shortLines(tray, progress)));
      fleet.units().forEach(unit -> overdue(unit).ifPresent(needs::add));
      for (MeterStanding meter : fleet.meters().values()) {
        if (meter.isStale(today)) {
          needs.add(silent(meter));
        }
      }
      return needs;
    }

    private List<TodayView.Need> shortLines(Tray tray, TrayProgress progress) {
      List<TodayView.Need> needs = new ArrayList<>();
      for (TrayProgress.Step step : progress.steps()) {
        if (step.state() == TrayProgress.LineState.SHORT) {
          Item item = session.items().byId(step.line().itemId()).orElseThrow();
          needs.add(
              new TodayView.Need(
                  true,
                  item.number() + " short for " + tray.unitCode(),
                  step.line().place()
                      + ": "
                      + step.lacking().display()
                      + " short, wanted "
                      + Words.weekdayAndDay(standsOn(tray))
                      + "."
                      + OnTheShelf.instead(
                              session,
                              today,
                              fleet.needs(tray.unitId()),
                              step.line(),
                              step.lacking())
                          .map(words -> " " + words)
                          .orElse(""),
                  "/trays/" + tray.id()));
        }
      }
      return needs;
    }

    private Optional<TodayView.Need> overdue(Unit unit) {
      List<Due> dues =
          fleet.tasks().get(unit.id()).stream()
              .map(standing -> DueRule.due(standing, today, today))
              .filter(Due::isOverdue)
              .toList();
      if (dues.isEmpty()) {
        return Optional.empty();
      }
      String detail =
          dues.get(0).task().name()
              + " "
              + DueWording.state(dues.get(0), today).word()
              + (dues.size() == 1 ? "." : ", and " + (dues.size() - 1) + " more.");
      return Optional.of(
          new TodayView.Need(true, unit.code() + " is overdue", detail, "/fleet/" + unit.code()));
    }

    private TodayView.Need silent(MeterStanding meter) {
      String code = meter.file().unit().code();
      return new TodayView.Need(
          false,
          "Silent meter: " + code + ", " + meter.silentDays(today) + " days",
          "Its due dates rest on an old reading. Read the "
              + meter.file().meter().name()
              + " meter.",
          "/fleet/" + code);
    }

    private static List<LocalDate> workingDays(LocalDate from) {
      List<LocalDate> days = new ArrayList<>();
      for (LocalDate day = from; days.size() < WORKING_DAYS; day = day.plusDays(1)) {
        if (day.getDayOfWeek() != DayOfWeek.SATURDAY && day.getDayOfWeek() != DayOfWeek.SUNDAY) {
          days.add(day);
        }
      }
      return days;
    }
  }
}
