package dev.lonja.web.cost;

import dev.lonja.core.cost.Budget;
import dev.lonja.core.cost.Outside;
import dev.lonja.core.cost.Quote;
import dev.lonja.core.cost.Spent;
import dev.lonja.core.cost.YearOfCosts;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Thousands;
import dev.lonja.desk.cost.CostDesk;
import dev.lonja.store.ledger.QuoteRepository;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.Arrays;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Function;

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
      boolean hasNext,
      String currency,
      List<String> months,
      List<ClassRows> classes,
      Row workshop,
      Row store,
      Optional<BudgetCells> budget) {}

  /** A class with its machines. */
  public record ClassRows(Row sum, List<Row> units, Optional<BudgetCells> budget) {}

  /**
   * What a year may cost, in whole units.
   *
   * @param month a twelfth of it
   * @param left what is left of it; below zero if more was spent
   * @param state whether more was spent than the days gone would have
   * @param field the amount to the cent, as a form shows it
   */
  public record BudgetCells(String amount, String month, String left, State state, String field) {}

  /**
   * Jobs added up; a month without any is empty.
   *
   * @param path of the machine's own page; empty for a sum
   */
  public record Row(
      String name,
      String path,
      int jobs,
      List<String> months,
      SpentCells spent,
      Elsewhere elsewhere) {}

  /**
   * What the same would cost elsewhere.
   *
   * @param quoted empty if there is a quote for none of it
   * @param without "2 without a quote", of its services; empty if each has one
   */
  public record Elsewhere(String quoted, String without) {}

  /** What it was spent on. */
  public record SpentCells(String parts, String fluids, String kits, String total) {}

  /** The jobs of one machine. */
  public record Unit(
      String code,
      String name,
      String currency,
      List<Job> jobs,
      SpentCells sum,
      Elsewhere elsewhere,
      List<Service> services,
      String today) {}

  /** One job, to the cent. */
  public record Job(String day, String tray, String title, SpentCells spent, Elsewhere elsewhere) {}

  /** A service, with what it costs elsewhere as a form shows it; empty where nobody said. */
  public record Service(long id, String name, String price, String by, String on) {}

  static Year of(YearOfCosts costs, LocalDate today) {
    Currency currency = costs.store().spent().parts().currency();
    return new Year(
        costs.year(),
        costs.year() - 1,
        costs.year() + 1,
        costs.year() <= today.getYear(),
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
                            .toList(),
                        ofClass.budget().map(b -> budget(b, ofClass.sum(), today))))
            .toList(),
        row("Workshop supplies", "", costs.workshop()),
        row("The store", "", costs.store()),
        costs.budget().map(b -> budget(b, costs.store(), today)));
  }

  private static BudgetCells budget(Budget budget, YearOfCosts.Sum sum, LocalDate today) {
    Money spent = sum.spent().total();
    Money left = budget.left(spent);
    State state =
        left.minor() < 0
            ? State.ofShort("over it")
            : budget.upTo(today).minor() < spent.minor()
                ? State.note("ahead of it")
                : State.ready("within it");
    return new BudgetCells(
        whole(budget.amount()),
        Thousands.apart(
            budget
                .amount()
                .amount()
                .divide(BigDecimal.valueOf(12), 0, RoundingMode.HALF_UP)
                .longValueExact()),
        left.minor() == 0 ? "0" : whole(left),
        state,
        budget.amount().exactText());
  }

  private static Elsewhere elsewhere(Outside outside, Function<Money, String> words) {
    return new Elsewhere(
        outside.quoted().minor() == 0 ? "" : words.apply(outside.quoted()),
        outside.unquoted() == 0 ? "" : outside.unquoted() + " without a quote");
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
            whole(sum.spent().total())),
        elsewhere(sum.outside(), CostView::whole));
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
                        Words.day(job.day(), today),
                        job.tray(),
                        job.title(),
                        exact(job.spent()),
                        elsewhere(job.outside(), Money::exactText)))
            .toList(),
        exact(jobs.sum()),
        elsewhere(jobs.outside(), Money::exactText),
        jobs.services().stream().map(CostView::service).toList(),
        today.toString());
  }

  private static Service service(QuoteRepository.QuotedService service) {
    return new Service(
        service.id(),
        service.name(),
        service.quote().map(q -> q.price().exactText()).orElse(""),
        service.quote().map(Quote::by).orElse(""),
        service.quote().map(q -> q.on().toString()).orElse(""));
  }

  private static SpentCells exact(Spent spent) {
    return new SpentCells(
        spent.parts().exactText(),
        spent.fluids().exactText(),
        spent.kits().exactText(),
        spent.total().exactText());
  }
}
