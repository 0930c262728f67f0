package dev.lonja.web.book;

import dev.lonja.core.forecast.Accuracy;
import dev.lonja.core.pour.LearnedCapacity;
import dev.lonja.desk.forecast.AccuracyDesk;
import dev.lonja.web.document.CsvAnswer;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.Words;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.YearMonth;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;

/** How well forecasts agreed with what happened. */
@Controller
class AccuracyController {

  private static final DateTimeFormatter MONTH =
      DateTimeFormatter.ofPattern("MMM yyyy", Locale.ENGLISH);

  private final AccuracyDesk desk;

  AccuracyController(AccuracyDesk desk) {
    this.desk = desk;
  }

  @GetMapping("/book/accuracy")
  String page(Model model) {
    model.addAttribute("view", view(desk.result()));
    return "book/accuracy";
  }

  @GetMapping("/book/accuracy.csv")
  ResponseEntity<byte[]> csv() {
    CsvAnswer csv =
        new CsvAnswer(
            "make",
            "number",
            "unit",
            "months",
            "forecast",
            "used",
            "beside_services",
            "bias_per_cent",
            "error_per_cent");
    for (AccuracyDesk.OfItem of : desk.result().items()) {
      csv.row(
          of.item().make(),
          of.item().number(),
          of.item().measure().symbol(),
          String.valueOf(of.accuracy().months()),
          of.accuracy().forecast().exactText(),
          of.accuracy().used().exactText(),
          of.beside().exactText(),
          of.accuracy().bias().movePointRight(2).toPlainString(),
          of.accuracy().weightedError().movePointRight(2).toPlainString());
    }
    return csv.as("accuracy.csv");
  }

  private static AccuracyView view(AccuracyDesk.Result result) {
    List<YearMonth> months = List.copyOf(result.months().keySet());
    String summary =
        months.isEmpty()
            ? ""
            : Words.count(months.size(), "month", "months")
                + ", "
                + MONTH.format(months.get(0))
                + (months.size() > 1 ? " to " + MONTH.format(months.get(months.size() - 1)) : "");
    return new AccuracyView(
        summary,
        result.families().entrySet().stream()
            .map(
                entry ->
                    new AccuracyView.Family(
                        Words.capital(entry.getKey().words()), figures(entry.getValue())))
            .toList(),
        result.items().stream()
            .map(of -> new AccuracyView.Row(Plate.of(of.item()), figures(of.accuracy()), why(of)))
            .toList());
  }

  private static AccuracyView.Figures figures(Accuracy accuracy) {
    return new AccuracyView.Figures(
        accuracy.forecast().display(),
        accuracy.used().display(),
        (accuracy.bias().signum() > 0 ? "+" : "") + percent(accuracy.bias()),
        percent(accuracy.weightedError()));
  }

  private static String percent(BigDecimal share) {
    return share.movePointRight(2).setScale(0, RoundingMode.HALF_UP).toPlainString() + " %";
  }

  private static List<String> why(AccuracyDesk.OfItem of) {
    List<String> why = new ArrayList<>();
    if (!of.isExplained()) {
      return why;
    }
    if (of.beside().isPositive()) {
      why.add(
          of.beside().display()
              + " of "
              + of.accuracy().used().display()
              + " were used beside services.");
    }
    if (!of.late().isEmpty()) {
      why.add("Read late before a forecast: " + String.join(", ", of.late()) + ".");
    }
    of.capacities().forEach(one -> why.add(capacity(one)));
    if (why.isEmpty()) {
      why.add("Services came sooner or later than expected.");
    }
    return why;
  }

  private static String capacity(AccuracyDesk.OfCapacity one) {
    LearnedCapacity learned = one.learned();
    return one.unitCode()
        + " "
        + learned.compartment().name()
        + ": fills say "
        + learned.proposed().display()
        + ", on file are "
        + learned.book().display()
        + ".";
  }
}
