package dev.lonja.web.unit;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.service.Occurrence;
import dev.lonja.desk.service.DueDesk;
import dev.lonja.desk.unit.FleetDesk;
import dev.lonja.web.due.DueRuler;
import dev.lonja.web.due.DueWording;
import dev.lonja.web.due.UnitRuler;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** All units with what is due next on each. */
public record FleetView(String summary, String scale, Filter filter, List<Row> rows) {

  /** Which machines are wanted, as it was asked for. */
  public record Wish(String text, String unitClass, String state) {

    boolean lets(FleetDesk.Row row) {
      String named =
          row.unit().code() + " " + row.unit().name() + " " + row.unit().variant().display();
      return named.toLowerCase(Locale.ROOT).contains(text.strip().toLowerCase(Locale.ROOT))
          && (unitClass.isEmpty() || unitClass.equals(row.unit().unitClass().code()))
          && switch (state) {
            case OVERDUE -> row.isOverdue();
            case IN_HAND -> row.occurrences().stream().anyMatch(o -> o.inHand().isPresent());
            default -> true;
          };
    }
  }

  private static final String OVERDUE = "overdue";
  private static final String IN_HAND = "in-hand";

  /**
   * The filters as they stand.
   *
   * @param isUseful true if there are machines to choose among
   */
  public record Filter(boolean isUseful, String text, List<Choice> classes, List<Choice> states) {}

  /** A word that may be chosen. */
  public record Choice(String value, String words, boolean chosen) {}

  public record Row(
      String code,
      String name,
      String model,
      List<String> meters,
      String ruler,
      String next,
      State state) {}

  static FleetView of(List<FleetDesk.Row> units, Wish wish, LocalDate today) {
    List<Row> rows = units.stream().filter(wish::lets).map(unit -> row(unit, today)).toList();
    long overdue = units.stream().filter(FleetDesk.Row::isOverdue).count();
    return new FleetView(
        (rows.size() == units.size() ? "" : rows.size() + " of ")
            + Words.count(units.size(), "unit", "units")
            + ", "
            + overdue
            + " overdue",
        DueRuler.scale(today, DueDesk.WEEKS),
        filter(units, wish),
        rows);
  }

  private static Filter filter(List<FleetDesk.Row> units, Wish wish) {
    return new Filter(
        !units.isEmpty(),
        wish.text(),
        units.stream()
            .map(row -> row.unit().unitClass())
            .distinct()
            .sorted(Comparator.comparing(Unit.UnitClass::name))
            .map(c -> new Choice(c.code(), c.name(), c.code().equals(wish.unitClass())))
            .toList(),
        List.of(
            new Choice(OVERDUE, "overdue", OVERDUE.equals(wish.state())),
            new Choice(IN_HAND, "on a tray or out with it", IN_HAND.equals(wish.state()))));
  }

  private static Row row(FleetDesk.Row row, LocalDate today) {
    Optional<Occurrence> next = row.occurrences().stream().findFirst();
    return new Row(
        row.unit().code(),
        row.unit().name(),
        row.unit().variant().display(),
        row.meters().stream().map(meter -> meter.expectedToShow(today).display()).toList(),
        UnitRuler.draw(row.unit().code(), row.occurrences(), today),
        next.map(Occurrence::title).orElse("nothing planned"),
        next.map(occurrence -> DueWording.state(occurrence, today))
            .orElse(State.open("nothing planned")));
  }
}
