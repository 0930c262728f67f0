package dev.lonja.web.inspection;

import dev.lonja.desk.service.ValuesDesk;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/**
 * The values of an inspection.
 *
 * @param limits "35 mm to 45 mm"
 * @param ahead where it is heading, in words; empty if nothing can be said
 * @param drawing SVG; empty without values
 * @param rows the latest first
 */
public record ValuesView(
    String code, String task, String limits, String ahead, String drawing, List<Row> rows) {

  /** One inspection. */
  public record Row(String day, String at, String value, String after, State state) {}

  static ValuesView of(ValuesDesk.Sheet sheet, LocalDate today) {
    List<Row> rows = new ArrayList<>();
    sheet.checks().forEach(check -> rows.add(row(sheet, check, today)));
    Collections.reverse(rows);
    return new ValuesView(
        sheet.unit().code(),
        sheet.task().name(),
        sheet.limits().display(),
        sheet.reach().map(reach -> ahead(reach, today)).orElse(""),
        sheet.checks().isEmpty() ? "" : ValueDrawing.draw(sheet),
        rows);
  }

  private static String ahead(ValuesDesk.Reach reach, LocalDate today) {
    return reach.ahead().limit().display()
        + " is reached about at "
        + reach.ahead().life().display()
        + reach.about().map(day -> ", about " + Words.day(day, today)).orElse("")
        + ", if it goes on as it did.";
  }

  private static Row row(ValuesDesk.Sheet sheet, ValuesDesk.Check check, LocalDate today) {
    boolean isSound = sheet.limits().hold(check.found().value().orElseThrow());
    String outcome = check.found().outcome().words();
    return new Row(
        Words.day(check.day(), today),
        check.life().map(life -> life.display()).orElse(""),
        check.found().value().orElseThrow().display(),
        check.found().after().map(after -> after.display()).orElse(""),
        isSound ? State.ready(outcome) : State.ofShort(outcome));
  }
}
