package dev.lonja.desk.supplier;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.supplier.Deliveries;
import dev.lonja.core.supplier.Freight;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.SupplierId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.BuyersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.supplier.SupplierRepository;
import java.math.BigDecimal;
import java.util.Currency;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Keeps on which terms a supplier delivers. */
@Service
@Allowed.ToSeeStore
public class SupplierDesk extends BuyersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  SupplierDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** Why nothing was changed. */
  public sealed interface Refused extends Refusal {}

  /** There is no such supplier. */
  public record NoSuchSupplier() implements Refused {}

  /** Another supplier has this name. */
  public record NameTaken(String name) implements Refused {}

  /** Somebody changed the supplier meanwhile. */
  public record ChangedMeanwhile() implements Refused {}

  /**
   * The terms of a supplier as somebody wrote them.
   *
   * @param freight of every order, in the store's currency; empty if none is asked
   * @param freeFrom for how much one has to be ordered for that to be free
   */
  public record Terms(
      String name,
      int leadDays,
      Deliveries deliveries,
      Optional<BigDecimal> freight,
      Optional<BigDecimal> freeFrom) {}

  public Optional<SupplierRepository.Kept> supplier(SupplierId id) {
    return store.read(session -> session.suppliers().byId(id));
  }

  /**
   * Changes the terms of a supplier.
   *
   * @param readVersion the version that was looked at
   */
  @Allowed.ToBuy
  public Outcome edit(Sent sent, SupplierId id, long readVersion, Terms terms) {
    return once.run(
        sent,
        session -> {
          Optional<SupplierRepository.Kept> before = session.suppliers().byId(id);
          if (before.isEmpty()) {
            return Outcome.refused(new NoSuchSupplier());
          }
          boolean taken =
              session.suppliers().all().stream()
                  .anyMatch(s -> !s.id().equals(id) && s.name().equalsIgnoreCase(terms.name()));
          if (taken) {
            return Outcome.refused(new NameTaken(terms.name()));
          }
          Supplier after = supplier(session, id, terms);
          if (!session.suppliers().update(after, readVersion)) {
            return Outcome.refused(new ChangedMeanwhile());
          }
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.SUPPLIER,
                      terms.name(),
                      Deed.EDITED,
                      facts(before.get().supplier()),
                      facts(after)));
          return Outcome.done();
        });
  }

  private static Supplier supplier(Session session, SupplierId id, Terms terms) {
    Currency currency = session.settings().currency();
    return new Supplier(
        id,
        terms.name(),
        terms.leadDays(),
        terms.deliveries(),
        terms
            .freight()
            .map(
                each ->
                    new Freight(
                        Money.of(each, currency),
                        terms.freeFrom().map(from -> Money.of(from, currency)))));
  }

  private static Facts facts(Supplier supplier) {
    return Facts.of("name", supplier.name())
        .with("lead_days", supplier.leadDays())
        .with("arrival_days", supplier.deliveries().arrivals().stream().sorted().toList())
        .with("cut_off", supplier.deliveries().cutOff().map(Enum::name).orElse(""))
        .with("closed", supplier.deliveries().closed())
        .with("freight", supplier.freight().map(f -> f.each().exactText()).orElse(""))
        .with(
            "free_from",
            supplier.freight().flatMap(Freight::freeFrom).map(Money::exactText).orElse(""));
  }
}
