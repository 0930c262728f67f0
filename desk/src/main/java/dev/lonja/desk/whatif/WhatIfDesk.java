package dev.lonja.desk.whatif;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.PlannedCost;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.Coming;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.supplier.Prices;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.Alteration;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.forecast.OtherForecast;
import dev.lonja.desk.forecast.Trials;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.reorder.Proposal;
import dev.lonja.desk.reorder.Proposals;
import dev.lonja.desk.reorder.StoreProposals;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.order.OrderRepository.Source;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.springframework.stereotype.Service;

/** Answers what would be used, run short and be ordered if some things were otherwise. */
@Service
@Allowed.ToSeeStore
public class WhatIfDesk {

  private static final int DAYS = 7;
  private static final int WHOLE = 100;

  private final LonjaStore store;
  private final StoreClock clock;
  private final Trials trials;

  WhatIfDesk(LonjaStore store, StoreClock clock, Trials trials) {
    this.store = store;
    this.clock = clock;
    this.trials = trials;
  }

  /**
   * What was supposed and changes nothing.
   *
   * @param unknown the units and suppliers that there are none of
   * @param withoutMeter the units that have no meter of the measure that is meant
   */
  public record Idle(Set<String> unknown, Set<String> withoutMeter) {}

  /**
   * What would be.
   *
   * @param idle what of the suppositions changes nothing
   * @param shortOn by item that stands for what runs short within a year, the day
   * @param due what would be ordered now
   * @param year what a year would use, as far as prices are known
   */
  public record Outcome(Idle idle, Map<Item, LocalDate> shortOn, List<Proposal> due, Money year) {

    /** What would be ordered now costs. */
    public Money dueCost() {
      return due.stream().map(Proposal::cost).reduce(Money.zero(year.currency()), Money::plus);
    }
  }

  /**
   * What each set of suppositions comes to; empty before the store's trials are drawn, which it
   * asks for.
   */
  public Optional<List<Outcome>> outcomes(List<List<Supposition>> sets) {
    trials.drawn();
    return store.read(
        session -> {
          List<Outcome> all = new ArrayList<>();
          for (List<Supposition> set : sets) {
            outcome(session, set).ifPresent(all::add);
          }
          return all.size() == sets.size() ? Optional.of(all) : Optional.empty();
        });
  }

  private Optional<Outcome> outcome(Session session, List<Supposition> set) {
    FleetPicture own = FleetPicture.load(session, clock.today());
    Set<String> unknown = new TreeSet<>();
    Set<String> withoutMeter = new TreeSet<>();
    List<Alteration> alterations = new ArrayList<>();
    Terms terms = new Terms(session.suppliers().all());
    Policies policies = own.policies();
    for (Supposition one : set) {
      if (one instanceof Supposition.Way way) {
        policies = policies.with(Holder.STORE, way.choice());
      } else if (one instanceof Supposition.Late || one instanceof Supposition.Dearer) {
        if (!terms.takes(one)) {
          unknown.add(one.what());
        }
      } else {
        unit(own, one.what())
            .ifPresentOrElse(
                unit ->
                    alteration(own, unit, one)
                        .ifPresentOrElse(alterations::add, () -> withoutMeter.add(unit.code())),
                () -> unknown.add(one.what()));
      }
    }
    FleetPicture altered = alterations.isEmpty() ? own : own.altered(alterations);
    FleetPicture other =
        policies.equals(own.policies()) ? altered : altered.under(policies, session);
    return OtherForecast.of(session, other, trials)
        .map(forecast -> outcome(session, other, forecast, terms, new Idle(unknown, withoutMeter)));
  }

  private static Optional<Unit> unit(FleetPicture fleet, String code) {
    return fleet.units().stream().filter(one -> one.code().equalsIgnoreCase(code)).findFirst();
  }

  /** What is supposed of a unit; empty if it has no meter of the measure that is meant. */
  private static Optional<Alteration> alteration(FleetPicture fleet, Unit unit, Supposition one) {
    if (one instanceof Supposition.LaidUp laidUp) {
      return Optional.of(new Alteration.LaidUp(unit.id(), laidUp.layUp()));
    }
    if (one instanceof Supposition.Runs runs) {
      return fleet.metersOf(unit).stream()
          .map(standing -> standing.file().meter())
          .filter(meter -> meter.measure() == runs.burst().perDay().measure())
          .findFirst()
          .map(meter -> new Alteration.Runs(unit.id(), meter.id(), runs.burst()));
    }
    return Optional.of(new Alteration.OneMore(unit.id()));
  }

  private static Outcome outcome(
      Session session, FleetPicture fleet, OtherForecast forecast, Terms terms, Idle idle) {
    Proposals.Known known = terms.applied(Proposals.Known.load(session));
    Proposals proposals = new Proposals(forecast.bands(), known);
    Map<Item, LocalDate> shortOn = new HashMap<>();
    List<Proposal> due = new ArrayList<>();
    List<Subject> subjects =
        forecast.subjects().stream()
            .map(one -> one.having(one.free(), one.coming().stream().map(terms::shifted).toList()))
            .toList();
    StoreProposals.of(session, fleet, subjects, proposals)
        .forEach(
            (subject, proposal) -> {
              subject.cover().shortOn().ifPresent(day -> shortOn.put(subject.lead(), day));
              proposal
                  .filter(one -> one.isDue() && one.reordering().amount().isPositive())
                  .ifPresent(due::add);
            });
    Map<ItemId, UnitPrice> prices =
        session.ledger().averages(session.items().all().stream().map(Item::id).toList());
    known.supplies().forEach((item, its) -> lowest(its).ifPresent(p -> prices.put(item, p)));
    Money none = Money.zero(session.settings().currency());
    Money year =
        PlannedCost.of(forecast.plan().demands(), prices, Set.of()).uses().stream()
            .flatMap(use -> use.cost().stream())
            .reduce(none, Money::plus);
    return new Outcome(idle, shortOn, due, year);
  }

  private static Optional<UnitPrice> lowest(List<Supply> supplies) {
    return supplies.stream()
        .map(Supply::price)
        .min(Comparator.comparing(UnitPrice::tenThousandthsOfMinor));
  }

  /** How suppliers are supposed to be otherwise. */
  private static final class Terms {

    private final List<Supplier> suppliers;
    private final Map<String, Integer> weeks = new HashMap<>();
    private final Map<String, Integer> percent = new HashMap<>();

    Terms(List<Supplier> suppliers) {
      this.suppliers = suppliers;
    }

    /** False if there is no such supplier. */
    boolean takes(Supposition one) {
      Optional<Supplier> known =
          suppliers.stream().filter(s -> s.name().equalsIgnoreCase(one.what())).findFirst();
      known.ifPresent(
          supplier -> {
            if (one instanceof Supposition.Late late) {
              weeks.merge(supplier.name(), late.weeks(), Integer::sum);
            } else if (one instanceof Supposition.Dearer dearer) {
              percent.merge(supplier.name(), dearer.percent(), Integer::sum);
            }
          });
      return known.isPresent();
    }

    private int days(String supplier) {
      return DAYS * weeks.getOrDefault(supplier, 0);
    }

    Coming shifted(Coming coming) {
      return new Coming(
          coming.on().plusDays(days(coming.supplier())),
          coming.quantity(),
          coming.order(),
          coming.supplier());
    }

    Proposals.Known applied(Proposals.Known known) {
      Map<ItemId, List<Supply>> supplies = new HashMap<>();
      known
          .supplies()
          .forEach((item, its) -> supplies.put(item, its.stream().map(this::applied).toList()));
      Map<Source, List<Integer>> leadDays = new HashMap<>();
      known
          .leadDays()
          .forEach(
              (source, its) -> {
                int more = days(name(source));
                leadDays.put(source, its.stream().map(days -> days + more).toList());
              });
      return new Proposals.Known(
          supplies, known.bins(), leadDays, known.neverCame(), known.manner());
    }

    private String name(Source source) {
      return suppliers.stream()
          .filter(supplier -> supplier.id().equals(source.supplierId()))
          .map(Supplier::name)
          .findFirst()
          .orElse("");
    }

    private Supply applied(Supply supply) {
      Supplier own = supply.supplier();
      return new Supply(
          new Supplier(
              own.id(),
              own.name(),
              own.leadDays() + days(own.name()),
              own.deliveries(),
              own.freight()),
          supply.orderNumber(),
          new Prices(
              dearer(own, supply.prices().base()),
              supply.prices().breaks().stream()
                  .map(b -> new Prices.Break(b.from(), dearer(own, b.price())))
                  .toList()),
          supply.pack(),
          supply.least());
    }

    private UnitPrice dearer(Supplier supplier, UnitPrice price) {
      int factor = WHOLE + percent.getOrDefault(supplier.name(), 0);
      return new UnitPrice(
          BigDecimal.valueOf(price.tenThousandthsOfMinor())
              .multiply(BigDecimal.valueOf(Math.max(0, factor)))
              .divide(BigDecimal.valueOf(WHOLE), 0, RoundingMode.HALF_UP)
              .longValueExact(),
          price.currency());
    }
  }
}
