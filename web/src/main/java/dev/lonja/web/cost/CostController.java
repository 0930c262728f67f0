package dev.lonja.web.cost;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.cost.Quote;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.cost.CostDesk;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Reply;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.server.ResponseStatusException;

/** The pages of what services cost. */
@Controller
class CostController {

  private static final long MOST_BUDGET_MINOR = 1_000_000_000_000L;

  private static final long MOST_QUOTE_MINOR = 10_000_000_000L;

  private static final RefusalWording REFUSED =
      RefusalWording.of(
          CostDesk.Refused.class,
          Cases.<CostDesk.Refused, Problem>over(CostDesk.Refused.class)
              .when(
                  CostDesk.NoSuchService.class,
                  none -> Problem.ofWhole("The machine has no such service any more."))
              .when(
                  CostDesk.NoSuchClass.class,
                  none -> new Problem("of", "There is no class " + none.code() + "."))
              .when(
                  CostDesk.NoQuote.class,
                  none -> new Problem("price", "There is no quote to take off; write a price."))
              .when(
                  CostDesk.NoBudget.class,
                  none ->
                      new Problem(
                          "amount",
                          "There is no budget of " + none.year() + " to take off; write one."))
              .when(
                  CostDesk.QuotedLater.class,
                  later ->
                      new Problem(
                          "on",
                          "The day is "
                              + later.on()
                              + "; allowed is up to today, "
                              + later.today()
                              + "."))
              .all());

  private final CostDesk desk;
  private final StoreClock clock;

  CostController(CostDesk desk, StoreClock clock) {
    this.desk = desk;
    this.clock = clock;
  }

  /** A year that is none is this one. */
  @GetMapping("/fleet/costs")
  String year(@RequestParam(defaultValue = "") String year, Model model) {
    Optional<Integer> asked =
        Optional.of(year).filter(text -> text.matches("(19|20|21)[0-9]{2}")).map(Integer::valueOf);
    return year(asked.orElse(clock.today().getYear()), Map.of(), List.of(), model);
  }

  /** Sets or takes off what a year may cost; an empty amount takes it off. */
  @PostMapping("/fleet/costs/{year:(?:19|20|21)[0-9]{2}}/budget")
  String budget(
      @PathVariable int year, Sent sent, @RequestParam Map<String, String> fields, Model model) {
    desk.admit();
    Typed typed = new Typed();
    String text = fields.getOrDefault("amount", "").strip();
    Optional<Money> amount =
        text.isEmpty()
            ? Optional.empty()
            : money(typed, "amount", "The budget", text, MOST_BUDGET_MINOR);
    Optional<String> of = Optional.of(fields.getOrDefault("of", "")).filter(c -> !c.isEmpty());
    return typed
        .all(() -> desk.budget(sent, year, of, amount))
        .map(
            done ->
                Reply.to(done)
                    .onto("/fleet/costs?year=" + year)
                    .worded(REFUSED)
                    .or(problems -> year(year, fields, problems, model)))
        .orElseGet(() -> year(year, fields, typed.problems(), model));
  }

  private Optional<Money> money(
      Typed typed, String field, String what, String text, long mostMinor) {
    Currency currency = desk.currency();
    Optional<BigDecimal> amount = typed.money(field, what, text, mostMinor, currency);
    Optional<Money> money = amount.map(units -> Money.of(units, currency));
    if (money.filter(m -> m.minor() <= 0).isPresent()) {
      typed.refuse(field, what + " is " + text + "; allowed is more than 0.");
      return Optional.empty();
    }
    return money;
  }

  private String year(int year, Map<String, String> fields, List<Problem> problems, Model model) {
    model.addAttribute("view", CostView.of(desk.year(Optional.of(year)), clock.today()));
    model.addAttribute("classes", desk.classes());
    model.addAttribute("typed", fields);
    model.addAttribute("problems", problems);
    return "cost/costs";
  }

  @GetMapping("/fleet/{code}/costs")
  String unit(@PathVariable String code, Model model) {
    return unit(code, Map.of(), List.of(), model);
  }

  /** Keeps or takes off what a service costs elsewhere; an empty price takes it off. */
  @PostMapping("/fleet/{code}/costs/{service:[0-9]{1,12}}/quote")
  String quote(
      @PathVariable String code,
      @PathVariable long service,
      Sent sent,
      @RequestParam Map<String, String> fields,
      Model model) {
    desk.admit();
    Typed typed = new Typed();
    String price = fields.getOrDefault("price", "").strip();
    return typed
        .all(() -> price.isEmpty() ? Optional.<Quote>empty() : quote(typed, price, fields))
        .filter(quote -> typed.problems().isEmpty())
        .map(
            quote ->
                Reply.to(desk.quote(sent, code, service, quote))
                    .onto("/fleet/" + code + "/costs")
                    .worded(REFUSED)
                    .or(problems -> unit(code, fields, problems, model)))
        .orElseGet(() -> unit(code, fields, typed.problems(), model));
  }

  private Optional<Quote> quote(Typed typed, String price, Map<String, String> fields) {
    Optional<Money> money = money(typed, "price", "The price", price, MOST_QUOTE_MINOR);
    Optional<String> by =
        typed.text("by", "Who asks it", fields.getOrDefault("by", ""), Lengths.NAME);
    Optional<LocalDate> on = typed.dayUpTo("on", fields.getOrDefault("on", ""), clock.today());
    return money.flatMap(m -> by.flatMap(b -> on.map(day -> new Quote(m, b, day))));
  }

  private String unit(
      String code, Map<String, String> fields, List<Problem> problems, Model model) {
    model.addAttribute(
        "view",
        desk.jobs(code)
            .map(jobs -> CostView.of(jobs, clock.today()))
            .orElseThrow(() -> new ResponseStatusException(HttpStatus.NOT_FOUND)));
    model.addAttribute("typed", fields);
    model.addAttribute("problems", problems);
    return "cost/unit";
  }
}
