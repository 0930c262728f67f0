package dev.lonja.store.ledger;

import static dev.lonja.store.schema.Tables.BUDGET;
import static dev.lonja.store.schema.Tables.SERVICE;

import dev.lonja.core.cost.Budget;
import dev.lonja.core.cost.Quote;
import dev.lonja.core.cost.YearOfCosts;
import dev.lonja.core.quantity.Money;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;

/** What services cost elsewhere, and what they may cost here. */
public final class QuoteRepository {

  private final DSLContext context;
  private final Currency currency;

  public QuoteRepository(DSLContext context, Currency currency) {
    this.context = context;
    this.currency = currency;
  }

  /** A service of a variant, with its quote if there is one. */
  public record QuotedService(long id, String name, Optional<Quote> quote) {}

  /** The services of a variant, in order of entry. */
  public List<QuotedService> of(long variantId) {
    return context
        .selectFrom(SERVICE)
        .where(SERVICE.VARIANT_ID.eq(variantId))
        .orderBy(SERVICE.ID)
        .fetch(row -> new QuotedService(row.get(SERVICE.ID), row.get(SERVICE.NAME), quote(row)));
  }

  private Optional<Quote> quote(Record row) {
    return Optional.ofNullable(row.get(SERVICE.QUOTED_MINOR))
        .map(
            minor ->
                new Quote(
                    new Money(minor, currency),
                    row.get(SERVICE.QUOTED_BY),
                    row.get(SERVICE.QUOTED_ON)));
  }

  /** Keeps what a service costs elsewhere, or that nobody says. */
  public void quote(long serviceId, Optional<Quote> quote) {
    context
        .update(SERVICE)
        .set(SERVICE.QUOTED_MINOR, quote.map(q -> q.price().minor()).orElse(null))
        .set(SERVICE.QUOTED_BY, quote.map(Quote::by).orElse(null))
        .set(SERVICE.QUOTED_ON, quote.map(Quote::on).orElse(null))
        .where(SERVICE.ID.eq(serviceId))
        .execute();
  }

  /** What is set for a year. */
  public YearOfCosts.Budgets budgets(int year) {
    Map<Long, Budget> ofClasses = new HashMap<>();
    Optional<Budget> ofStore = Optional.empty();
    for (Record row : context.selectFrom(BUDGET).where(BUDGET.YEAR.eq((long) year))) {
      Budget budget = new Budget(year, new Money(row.get(BUDGET.AMOUNT_MINOR), currency));
      if (row.get(BUDGET.CLASS_ID) == null) {
        ofStore = Optional.of(budget);
      } else {
        ofClasses.put(row.get(BUDGET.CLASS_ID), budget);
      }
    }
    return new YearOfCosts.Budgets(ofStore, ofClasses);
  }

  /** Sets what a year may cost for a class, or for the store; an earlier amount gives way. */
  public void setBudget(int year, Optional<Long> classId, Optional<Money> amount) {
    Condition its =
        BUDGET
            .YEAR
            .eq((long) year)
            .and(classId.map(BUDGET.CLASS_ID::eq).orElse(BUDGET.CLASS_ID.isNull()));
    context.deleteFrom(BUDGET).where(its).execute();
    amount.ifPresent(
        money ->
            context
                .insertInto(BUDGET)
                .set(BUDGET.YEAR, (long) year)
                .set(BUDGET.CLASS_ID, classId.orElse(null))
                .set(BUDGET.AMOUNT_MINOR, money.minor())
                .execute());
  }
}
