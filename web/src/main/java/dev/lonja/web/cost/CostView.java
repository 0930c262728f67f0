package dev.lonja.web.cost;

import dev.lonja.core.cost.Spent;
import dev.lonja.core.cost.YearOfCosts;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Thousands;
import dev.lonja.desk.cost.CostDesk;
import dev.lonja.web.frame.Words;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.Currency;
import java.util.List;
import java.util.Locale;

/** What services cost, in words. */
public final class CostView {

  private CostView() {}

  /**
   * A year of the store.
   *
   * @param currency in which all of it stands, whole units
   */
  public record Year(
      int year,
      int before,
      int after,
      boolean isOver,
      String currency,
      List<String> months,
      List<ClassRows> classes,
      Row workshop,
      Row store) {}

  /** A class with its machines. */
  public record ClassRows(Row sum, List<Row> units) {}

  /**
   * Jobs added up; a month without any is empty.
   *
   * @param path of the machine's own page; empty for a sum
   */
  public record Row(String name, String path, int jobs, List<String> months, SpentCells spent) {}

  /** What it was spent on. */
  public record SpentCells(String parts, String fluids, String kits, String total) {}

  /** The jobs of one machine. */
  public record Unit(String code, String name, String currency, List<Job> jobs, SpentCells sum) {}

  /** One job, to the cent. */
  public record Job(String day, String tray, String title, SpentCells spent) {}

  static Year of(YearOfCosts costs, LocalDate today) {
    Currency currency = costs.store().spent().parts().currency();
    return new Year(
        costs.year(),
        costs.year() - 1,
        costs.year() + 1,
        costs.year() < today.getYear(),
        currency.getCurrencyCode(),
        Arrays.stream(Month.values())
            .map(month -> month.getDisplayName(TextStyle.SHORT, Locale.ENGLISH))
            .toList(),
        costs.classes().stream()
            .map(
                ofClass ->
                    new ClassRows(
                        row(ofClass.unitClass().name(), "", ofClass.sum()),
                        ofClass.units().stream()
                            .map(
                                of ->
                                    row(
                                        of.unit().code(),
                                        "/fleet/" + of.unit().code() + "/costs",
                                        of.sum()))
                            .toList()))
            .toList(),
        row("Workshop supplies", "", costs.workshop()),
        row("The store", "", costs.store()));
  }

  private static Row row(String name, String path, YearOfCosts.Sum sum) {
    return new Row(
        name,
        path,
        sum.jobs(),
        sum.months().stream().map(CostView::whole).toList(),
        new SpentCells(
            whole(sum.spent().parts()),
            whole(sum.spent().fluids()),
            whole(sum.spent().kits()),
            whole(sum.spent().total())));
  }

  /** In whole units of the currency; nothing where nothing was spent. */
  private static String whole(Money money) {
    return money.minor() == 0
        ? ""
        : Thousands.apart(money.amount().setScale(0, RoundingMode.HALF_UP).longValueExact());
  }

  static Unit of(CostDesk.Jobs jobs, LocalDate today) {
    return new Unit(
        jobs.unit().code(),
        jobs.unit().name(),
        jobs.sum().parts().currency().getCurrencyCode(),
        jobs.jobs().stream()
            .map(
                job ->
                    new Job(
                        Words.day(job.day(), today), job.tray(), job.title(), exact(job.spent())))
            .toList(),
        exact(jobs.sum()));
  }

  private static SpentCells exact(Spent spent) {
    return new SpentCells(
        spent.parts().exactText(),
        spent.fluids().exactText(),
        spent.kits().exactText(),
        spent.total().exactText());
  }
}
