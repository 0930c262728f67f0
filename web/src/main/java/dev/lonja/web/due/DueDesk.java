package dev.lonja.web.due;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueSpread;
import dev.lonja.core.service.Occurrence;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Answers what falls due on all units in the coming weeks, and how sure each day is. */
@Service
@Allowed.ToSeeMachines
public class DueDesk {

  /** More in one page would take a browser longer than a storekeeper waits. */
  private static final int PAGE = 200;

  private final LonjaStore store;
  private final StoreClock clock;

  /**
   * What to show.
   *
   * @param unitClass the code of a class, or empty for all
   * @param sort day or unit
   * @param show all, overdue or no-record
   * @param page which stretch of the list, 1 for the first
   */
  public record Choice(String unitClass, String sort, String show, int page) {

    String query(String aClass, String aSort, String aShow) {
      return "?unitClass=" + aClass + "&sort=" + aSort + "&show=" + aShow;
    }

    String page(int number) {
      return query(unitClass, sort, show) + "&page=" + number;
    }
  }

  /** An occurrence with its unit. */
  private record Planned(Unit unit, Occurrence occurrence, boolean isNext) {

    Due due() {
      return UnitRuler.leading(occurrence);
    }

    boolean noRecord() {
      return occurrence.tasks().stream()
          .anyMatch(task -> task.due().flags().contains(Due.Flag.NO_RECORD));
    }
  }

  public DueDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** All occurrences of the coming 13 weeks that the choice lets through. */
  public DueView view(Choice choice) {
    LocalDate today = clock.today();
    FleetPicture fleet = store.read(session -> FleetPicture.load(session, today));
    List<Planned> planned = new ArrayList<>();
    List<UnitPlan> plans = fleet.plans(today.plusWeeks(UnitRuler.WEEKS));
    for (int i = 0; i < plans.size(); i++) {
      boolean next = true;
      for (Occurrence occurrence : plans.get(i).occurrences()) {
        planned.add(new Planned(fleet.units().get(i), occurrence, next));
        next = false;
      }
    }
    List<Planned> shown =
        planned.stream().filter(p -> isShown(p, choice)).sorted(order(choice)).toList();
    int pages = Math.max(1, (shown.size() + PAGE - 1) / PAGE);
    int page = Math.min(Math.max(choice.page(), 1), pages);
    List<Planned> listed = shown.stream().skip((page - 1L) * PAGE).limit(PAGE).toList();
    return new DueView(
        Words.count(shown.size(), "occurrence", "occurrences")
            + " in "
            + UnitRuler.WEEKS
            + " weeks"
            + (pages == 1 ? "" : ", part " + page + " of " + pages),
        page == 1 ? "" : choice.page(page - 1),
        page == pages ? "" : choice.page(page + 1),
        DueRuler.scale(today, UnitRuler.WEEKS),
        classes(fleet, choice),
        List.of(sort(choice, "day", "by day"), sort(choice, "unit", "by unit")),
        List.of(
            show(choice, "all", "all"),
            show(choice, "overdue", "overdue"),
            show(choice, "no-record", "no record")),
        listed.stream().map(p -> row(p, today)).toList(),
        weeks(listed, today));
  }

  private static boolean isShown(Planned planned, Choice choice) {
    boolean ofClass =
        choice.unitClass().isEmpty()
            || planned.unit().unitClass().code().equals(choice.unitClass());
    return ofClass
        && switch (choice.show()) {
          case "overdue" -> planned.due().isOverdue();
          case "no-record" -> planned.noRecord();
          default -> true;
        };
  }

  private static Comparator<Planned> order(Choice choice) {
    Comparator<Planned> byDay = Comparator.comparing(planned -> planned.occurrence().date());
    Comparator<Planned> byUnit = Comparator.comparing(planned -> planned.unit().code());
    return choice.sort().equals("unit") ? byUnit.thenComparing(byDay) : byDay.thenComparing(byUnit);
  }

  private static DueView.Row row(Planned planned, LocalDate today) {
    Occurrence occurrence = planned.occurrence();
    Due due = planned.due();
    Optional<DueSpread> spread =
        planned.isNext() ? Optional.of(UnitRuler.spread(occurrence, today)) : Optional.empty();
    DueRuler.Post post = new DueRuler.Post(occurrence.date(), due.isOverdue(), spread);
    String code = planned.unit().code();
    return new DueView.Row(
        Words.day(occurrence.date(), today),
        occurrence.date().toString(),
        code,
        occurrence.title(),
        occurrence.tasks().stream()
            .map(task -> task.task().name())
            .collect(Collectors.joining(", ")),
        due.task().id(),
        DueWording.why(due, today),
        DueRuler.draw(
            today,
            UnitRuler.WEEKS,
            List.of(post),
            code + ": planned " + Words.day(occurrence.date(), today)),
        spread.map(s -> span(s, today)).orElse(""),
        DueWording.state(due, today),
        planned.noRecord());
  }

  private static String span(DueSpread spread, LocalDate today) {
    return spread
        .p10()
        .filter(from -> !spread.p90().equals(Optional.of(from)))
        .map(
            from ->
                Words.day(from, today)
                    + " – "
                    + spread.p90().map(to -> Words.day(to, today)).orElse("beyond two years"))
        .orElse("");
  }

  private static List<DueView.Week> weeks(List<Planned> shown, LocalDate today) {
    Map<IsoWeek, List<DueView.Entry>> weeks = new TreeMap<>();
    for (Planned planned : shown) {
      LocalDate day = planned.occurrence().date();
      weeks
          .computeIfAbsent(IsoWeek.of(day), week -> new ArrayList<>())
          .add(
              new DueView.Entry(
                  Words.weekdayAndDay(day), planned.unit().code(), planned.occurrence().title()));
    }
    return weeks.entrySet().stream()
        .map(
            week ->
                new DueView.Week(
                    "Week " + week.getKey().number(),
                    Words.day(week.getKey().monday(), today),
                    week.getValue()))
        .toList();
  }

  private static List<DueView.Choice> classes(FleetPicture fleet, Choice choice) {
    List<DueView.Choice> classes = new ArrayList<>();
    classes.add(
        new DueView.Choice(
            "all classes",
            choice.query("", choice.sort(), choice.show()),
            choice.unitClass().isEmpty()));
    fleet.units().stream()
        .map(Unit::unitClass)
        .distinct()
        .sorted(Comparator.comparing(Unit.UnitClass::code))
        .forEach(
            unitClass ->
                classes.add(
                    new DueView.Choice(
                        unitClass.name(),
                        choice.query(unitClass.code(), choice.sort(), choice.show()),
                        unitClass.code().equals(choice.unitClass()))));
    return classes;
  }

  private static DueView.Choice sort(Choice choice, String sort, String words) {
    return new DueView.Choice(
        words, choice.query(choice.unitClass(), sort, choice.show()), sort.equals(choice.sort()));
  }

  private static DueView.Choice show(Choice choice, String show, String words) {
    return new DueView.Choice(
        words, choice.query(choice.unitClass(), choice.sort(), show), show.equals(choice.show()));
  }
}
