package dev.lonja.web.spec;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.grade.Climate;
import dev.lonja.desk.fluid.YearDesk;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * The store's temperature year.
 *
 * @param stated false while the store has not set its own
 */
public record YearView(
    boolean stated, String drawing, List<MonthRow> months, List<SeasonRow> seasonal) {

  public record MonthRow(int number, String name, String lowest, String highest) {}

  /** A product that serves a spec in part of the year; {@code change} says when to change over. */
  public record SeasonRow(
      String product,
      ProductId productId,
      String place,
      CompartmentId specId,
      String months,
      String change) {}

  static YearView of(YearDesk.Year year, LocalDate today) {
    return new YearView(
        year.stated(),
        YearDrawing.of(year.climate(), List.of()),
        Arrays.stream(Month.values()).map(month -> month(year.climate(), month)).toList(),
        year.seasonal().stream().map(part -> season(part, today)).toList());
  }

  private static MonthRow month(Climate climate, Month month) {
    Climate.MonthRange range = climate.of(month);
    return new MonthRow(
        month.getValue(),
        month.getDisplayName(TextStyle.SHORT, Locale.ENGLISH),
        range.lowest().exactText(),
        range.highest().exactText());
  }

  private static SeasonRow season(YearDesk.PartOfYear part, LocalDate today) {
    return new SeasonRow(
        part.product().display(),
        part.product().id(),
        part.use().display(),
        part.use().compartment().id(),
        ReasonWording.months(part.season().months()),
        part.season()
            .nextChange(today)
            .map(
                day ->
                    (part.season().serves(today) ? "change over by " : "may be used from ")
                        + Words.day(day, today))
            .orElse(""));
  }
}
