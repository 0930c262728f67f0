package dev.lonja.web.due;

import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueSpread;
import dev.lonja.core.service.Occurrence;
import dev.lonja.desk.service.DueDesk;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;

/** Says in words what falls due, as it was asked for. */
final class DuePage {

  /** More in one page would take a browser longer than a storekeeper waits. */
  private static final int PAGE = 200;

  private final DueDesk.Coming coming;
  private final Choice choice;
  private final LocalDate today;

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

  private DuePage(DueDesk.Coming coming, Choice choice, LocalDate today) {
    this.coming = coming;
    this.choice = choice;
    this.today = today;
  }

  static DueView view(DueDesk.Coming coming, Choice choice, LocalDate today) {
    return new DuePage(coming, choice, today).view();
  }

  private DueView view() {
    List<DueDesk.Planned> shown =
        coming.planned().stream().filter(this::isShown).sorted(order()).toList();
    int pages = Math.max(1, (shown.size() + PAGE - 1) / PAGE);
    int page = Math.min(Math.max(choice.page(), 1), pages);
    List<DueDesk.Planned> listed = shown.stream().skip((page - 1L) * PAGE).limit(PAGE).toList();
    return new DueView(
        Words.count(shown.size(), "occurrence", "occurrences")
            + " in "
            + DueDesk.WEEKS
            + " weeks"
            + (pages == 1 ? "" : ", part " + page + " of " + pages),
        page == 1 ? "" : choice.page(page - 1),
        page == pages ? "" : choice.page(page + 1),
        DueRuler.scale(today, DueDesk.WEEKS),
        classes(),
        List.of(sort("day", "by day"), sort("unit", "by unit")),
        List.of(show("all", "all"), show("overdue", "overdue"), show("no-record", "no record")),
        listed.stream().map(this::row).toList(),
        weeks(listed));
  }

  private boolean isShown(DueDesk.Planned planned) {
    boolean ofClass =
        choice.unitClass().isEmpty()
            || planned.unit().unitClass().code().equals(choice.unitClass());
    return ofClass
        && switch (choice.show()) {
          case "overdue" -> planned.occurrence().leading().isOverdue();
          case "no-record" -> planned.lacksRecord();
          default -> true;
        };
  }

  private Comparator<DueDesk.Planned> order() {
    Comparator<DueDesk.Planned> byDay =
        Comparator.comparing(planned -> planned.occurrence().date());
    Comparator<DueDesk.Planned> byUnit = Comparator.comparing(planned -> planned.unit().code());
    return choice.sort().equals("unit") ? byUnit.thenComparing(byDay) : byDay.thenComparing(byUnit);
  }

  private DueView.Row row(DueDesk.Planned planned) {
    Occurrence occurrence = planned.occurrence();
    Due due = occurrence.leading();
    Optional<DueSpread> spread =
        planned.isNext() ? Optional.of(UnitRuler.spread(occurrence, today)) : Optional.empty();
    DueRuler.Post post = new DueRuler.Post(occurrence.date(), due.isOverdue(), spread);
    String code = planned.unit().code();
    String day = Words.day(occurrence.date(), today);
    return new DueView.Row(
        new DueView.Day(day, occurrence.date().toString(), spread.map(this::span).orElse("")),
        code,
        occurrence.title(),
        occurrence.tasks().stream()
            .map(task -> task.task().name())
            .collect(Collectors.joining(", ")),
        due.task().id(),
        DueWording.why(due, today),
        DueRuler.draw(today, DueDesk.WEEKS, List.of(post), code + ": planned " + day),
        DueWording.state(due, today),
        planned.lacksRecord());
  }

  private String span(DueSpread spread) {
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

  private List<DueView.Week> weeks(List<DueDesk.Planned> shown) {
    Map<IsoWeek, List<DueView.Entry>> weeks = new TreeMap<>();
    for (DueDesk.Planned planned : shown) {
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

  private List<DueView.Choice> classes() {
    List<DueView.Choice> classes = new ArrayList<>();
    classes.add(unitClass("", "all classes"));
    coming.classes().forEach(c -> classes.add(unitClass(c.code(), c.name())));
    return classes;
  }

  private DueView.Choice unitClass(String code, String words) {
    return new DueView.Choice(
        words, choice.query(code, choice.sort(), choice.show()), code.equals(choice.unitClass()));
  }

  private DueView.Choice sort(String sort, String words) {
    return new DueView.Choice(
        words, choice.query(choice.unitClass(), sort, choice.show()), sort.equals(choice.sort()));
  }

  private DueView.Choice show(String show, String words) {
    return new DueView.Choice(
        words, choice.query(choice.unitClass(), choice.sort(), show), show.equals(choice.show()));
  }
}
