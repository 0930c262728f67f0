package dev.lonja.desk.cost;

import dev.lonja.core.cost.Budget;
import dev.lonja.core.cost.JobCost;
import dev.lonja.core.cost.Outside;
import dev.lonja.core.cost.Quote;
import dev.lonja.core.cost.Spent;
import dev.lonja.core.cost.YearOfCosts;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.quantity.Money;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fleet.ClassRepository;
import dev.lonja.store.ledger.QuoteRepository;
import dev.lonja.store.query.UnitScope;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Answers what was used for machines, in money. */
@Service
@Allowed.ToSeeStore
public class CostDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public CostDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.once = once;
    this.store = store;
    this.clock = clock;
  }

  /** A year of the store; this one if none is said. */
  public YearOfCosts year(Optional<Integer> asked) {
    int year = asked.orElse(clock.today().getYear());
    return store.read(
        session -> {
          Map<UnitId, Unit> units =
              session.fleet().units(UnitScope.ALL).stream()
                  .collect(Collectors.toMap(Unit::id, Function.identity()));
          return YearOfCosts.of(
              year,
              units,
              jobs(session, year),
              session.quotes().budgets(year),
              session.settings().currency());
        });
  }

  private static List<JobCost> jobs(Session session, int year) {
    return session.jobCosts().between(LocalDate.of(year, 1, 1), LocalDate.of(year, 12, 31));
  }

  /**
   * A machine and the jobs that were done for it, the last one first.
   *
   * @param sum of all of them
   * @param services of its variant, with what each costs elsewhere
   */
  public record Jobs(
      Unit unit,
      List<JobCost> jobs,
      Spent sum,
      Outside outside,
      List<QuoteRepository.QuotedService> services) {}

  /** Why nothing was changed. */
  public sealed interface Refused extends Refusal {}

  /** The machine's variant has no such service. */
  public record NoSuchService() implements Refused {}

  /** No such class of units. */
  public record NoSuchClass(String code) implements Refused {}

  /** No quote is on file that could be taken off. */
  public record NoQuote() implements Refused {}

  /** No budget is set that could be taken off. */
  public record NoBudget(int year) implements Refused {}

  /** Nobody can have quoted tomorrow. */
  public record QuotedLater(LocalDate on, LocalDate today) implements Refused {}

  /** The jobs of one machine; empty for an unknown one. */
  public Optional<Jobs> jobs(String code) {
    return store.read(session -> session.fleet().unitByCode(code).map(unit -> jobs(session, unit)));
  }

  private Jobs jobs(Session session, Unit unit) {
    List<JobCost> jobs =
        session.jobCosts().of(unit.id()).stream()
            .sorted(Comparator.comparing(JobCost::day).reversed())
            .toList();
    return new Jobs(
        unit,
        jobs,
        jobs.stream()
            .map(JobCost::spent)
            .reduce(Spent.nothing(session.settings().currency()), Spent::plus),
        jobs.stream()
            .map(JobCost::outside)
            .reduce(Outside.nothing(session.settings().currency()), Outside::plus),
        session.quotes().of(unit.variant().id()));
  }

  /** The classes of units for which a budget may be set. */
  public List<Unit.UnitClass> classes() {
    return store.read(
        session ->
            session.classes().all().stream().map(ClassRepository.StoredClass::unitClass).toList());
  }

  /** The currency in which the store counts. */
  public Currency currency() {
    return store.read(session -> session.settings().currency());
  }

  /** Keeps what a service of a machine's variant costs elsewhere, or takes that off. */
  @Allowed.ToKeepStore
  public Outcome quote(Sent sent, String code, long serviceId, Optional<Quote> quote) {
    return once.run(
        sent,
        session -> {
          Optional<Unit> unit = session.fleet().unitByCode(code);
          Optional<QuoteRepository.QuotedService> service =
              unit.map(u -> session.quotes().of(u.variant().id())).orElse(List.of()).stream()
                  .filter(s -> s.id() == serviceId)
                  .findFirst();
          if (service.isEmpty()) {
            return Outcome.refused(new NoSuchService());
          }
          if (quote.filter(q -> q.on().isAfter(clock.today())).isPresent()) {
            return Outcome.refused(new QuotedLater(quote.orElseThrow().on(), clock.today()));
          }
          if (quote.isEmpty() && service.get().quote().isEmpty()) {
            return Outcome.refused(new NoQuote());
          }
          session.quotes().quote(serviceId, quote);
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.VARIANT,
                      unit.orElseThrow().variant().display(),
                      Deed.EDITED,
                      facts(service.get().name(), service.get().quote()),
                      facts(service.get().name(), quote)));
          return Outcome.done();
        });
  }

  private static Facts facts(String service, Optional<Quote> quote) {
    return Facts.of("service", service)
        .with("quoted", quote.map(q -> q.price().exactText()).orElse(""))
        .with("by", quote.map(Quote::by).orElse(""))
        .with("on", quote.map(q -> q.on().toString()).orElse(""));
  }

  /**
   * Sets what a year may cost, or takes that off.
   *
   * @param classCode of a class of units; empty for the whole store
   */
  @Allowed.ToKeepStore
  public Outcome budget(Sent sent, int year, Optional<String> classCode, Optional<Money> amount) {
    return once.run(
        sent,
        session -> {
          Optional<Long> classId =
              classCode.flatMap(
                  code ->
                      session.classes().all().stream()
                          .map(ClassRepository.StoredClass::unitClass)
                          .filter(c -> c.code().equals(code))
                          .map(Unit.UnitClass::id)
                          .findFirst());
          if (classCode.isPresent() && classId.isEmpty()) {
            return Outcome.refused(new NoSuchClass(classCode.get()));
          }
          YearOfCosts.Budgets before = session.quotes().budgets(year);
          Optional<Budget> old =
              classId.isEmpty()
                  ? before.ofStore()
                  : Optional.ofNullable(before.ofClasses().get(classId.get()));
          if (amount.isEmpty() && old.isEmpty()) {
            return Outcome.refused(new NoBudget(year));
          }
          session.quotes().setBudget(year, classId, amount);
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      classId.isEmpty() ? Matter.STORE : Matter.UNIT_CLASS,
                      classCode.orElse(""),
                      Deed.EDITED,
                      budget(year, old.map(Budget::amount)),
                      budget(year, amount)));
          return Outcome.done();
        });
  }

  private static Facts budget(int year, Optional<Money> amount) {
    return Facts.of("year", String.valueOf(year))
        .with("budget", amount.map(Money::exactText).orElse(""));
  }
}
