package dev.lonja.web.due;

import dev.lonja.core.forecast.IsoWeek;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueSpread;
import dev.lonja.core.service.Occurrence;
import dev.lonja.desk.service.DueDesk;
import dev.lonja.web.frame.Words;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.web.util.UriUtils;

/** Says in words what falls due, as it was asked for. */
final class DuePage {

  private final DueDesk.Coming coming;
  private final DueDesk.Choice choice;
  private final LocalDate today;
  private final DueRuler ruler;

  private DuePage(DueDesk.Coming coming, DueDesk.Choice choice, LocalDate today) {
    this.coming = coming;
    this.choice = choice;
    this.today = today;
    this.ruler = new DueRuler(today, DueDesk.WEEKS);
  }

  static DueView view(DueDesk.Coming coming, DueDesk.Choice choice, LocalDate today) {
    return new DuePage(coming, choice, today).view();
  }

  private DueView view() {
    int part = coming.part();
    return new DueView(
        Words.count(coming.count(), "occurrence", "occurrences")
            + " in "
            + DueDesk.WEEKS
            + " weeks"
            + (coming.parts() == 1 ? "" : ", part " + part + " of " + coming.parts()),
        part == 1 ? "" : part(part - 1),
        part == coming.parts() ? "" : part(part + 1),
        DueRuler.scale(today, DueDesk.WEEKS),
        classes(),
        List.of(order(DueDesk.Order.DAY, "by day"), order(DueDesk.Order.UNIT, "by unit")),
        List.of(
            show(DueDesk.Show.ALL, "all"),
            show(DueDesk.Show.OVERDUE, "overdue"),
            show(DueDesk.Show.NO_RECORD, "no record")),
        choice.order() == DueDesk.Order.DAY ? weeks() : together());
  }

  private DueView.Row row(DueDesk.Listed listed) {
    DueDesk.Planned planned = listed.planned();
    Occurrence occurrence = planned.occurrence();
    Due due = occurrence.leading();
    DueRuler.Post post = new DueRuler.Post(occurrence.date(), due.isOverdue(), listed.spread());
    String code = planned.unit().code();
    String day = Words.day(occurrence.date(), today);
    return new DueView.Row(
        new DueView.Day(
            day, occurrence.date().toString(), listed.spread().map(this::span).orElse("")),
        code,
        occurrence.title(),
        occurrence.tasks().stream()
            .map(task -> task.task().name())
            .collect(Collectors.joining(", ")),
        due.task().id(),
        DueWording.why(due, today),
        ruler.draw(List.of(post), code + ": planned " + day),
        DueWording.state(occurrence, today),
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

  private List<DueView.Week> weeks() {
    Map<IsoWeek, List<DueView.Row>> weeks = new TreeMap<>();
    for (DueDesk.Listed listed : coming.listed()) {
      weeks
          .computeIfAbsent(
              IsoWeek.of(listed.planned().occurrence().date()), week -> new ArrayList<>())
          .add(row(listed));
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

  private List<DueView.Week> together() {
    return coming.listed().isEmpty()
        ? List.of()
        : List.of(new DueView.Week("", "", coming.listed().stream().map(this::row).toList()));
  }

  private List<DueView.Choice> classes() {
    List<DueView.Choice> classes = new ArrayList<>();
    classes.add(unitClass("", "all classes"));
    coming.classes().forEach(c -> classes.add(unitClass(c.code(), c.name())));
    return classes;
  }

  private DueView.Choice unitClass(String code, String words) {
    return new DueView.Choice(
        words, query(code, choice.order(), choice.show()), code.equals(choice.unitClass()));
  }

  private DueView.Choice order(DueDesk.Order order, String words) {
    return new DueView.Choice(
        words, query(choice.unitClass(), order, choice.show()), order == choice.order());
  }

  private DueView.Choice show(DueDesk.Show show, String words) {
    return new DueView.Choice(
        words, query(choice.unitClass(), choice.order(), show), show == choice.show());
  }

  private String part(int number) {
    return query(choice.unitClass(), choice.order(), choice.show()) + "&page=" + number;
  }

  private static String query(String unitClass, DueDesk.Order order, DueDesk.Show show) {
    return "?unitClass="
        + UriUtils.encode(unitClass, StandardCharsets.UTF_8)
        + "&sort="
        + DueQuery.of(order)
        + "&show="
        + DueQuery.of(show);
  }
}
