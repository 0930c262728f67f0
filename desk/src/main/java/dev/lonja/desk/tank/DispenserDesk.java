package dev.lonja.desk.tank;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.tank.Dispenser;
import dev.lonja.core.tank.DispenserId;
import dev.lonja.core.tank.DispenserStand;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import org.springframework.stereotype.Service;

/** Jugs, funnels and pumps: what was in them last, and whether they are clean. */
@Service
@Allowed.ToSeeStore
public class DispenserDesk extends KeepersDesk {

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;

  DispenserDesk(LonjaStore store, OnceOnly once, StoreClock clock) {
    this.store = store;
    this.once = once;
    this.clock = clock;
  }

  /**
   * All of them.
   *
   * @param products by id, those that were in one and those that the store keeps
   * @param kept what the store keeps and is poured, by name
   */
  public record Overview(
      List<DispenserStand> stands, Map<ProductId, Product> products, List<Product> kept) {}

  public Overview overview() {
    return store.read(
        session -> {
          List<DispenserStand> stands = session.dispensers().stands();
          List<Product> kept =
              session.items().all().stream()
                  .filter(item -> item.keeping().retiredOn().isEmpty())
                  .flatMap(item -> item.product().stream())
                  .distinct()
                  .sorted(Comparator.comparing(Product::display))
                  .toList();
          Map<ProductId, Product> products = new LinkedHashMap<>();
          kept.forEach(product -> products.put(product.id(), product));
          stands.stream()
              .flatMap(stand -> stand.rest().stream())
              .filter(rest -> !products.containsKey(rest))
              .forEach(rest -> products.put(rest, session.products().byId(rest).orElseThrow()));
          return new Overview(stands, products, kept);
        });
  }

  /** Takes a new one into use. */
  @Allowed.ToKeepStore
  public Outcome add(Sent sent, String name, Dispenser.Kind kind) {
    return once.run(
        sent,
        session -> {
          if (PartKey.of(name).isEmpty() || session.dispensers().named(name).isPresent()) {
            return Outcome.refused(new DispenserRefusal.NameTaken(name));
          }
          session.dispensers().add(name, kind);
          return Outcome.done();
        });
  }

  /** Notes that a fluid was poured with it, for no tray. */
  @Allowed.ToKeepStore
  public Outcome use(Sent sent, DispenserId id, ProductId product) {
    return on(
        sent,
        id,
        (session, stand) ->
            session.products().byId(product).isEmpty()
                ? Outcome.refused(new DispenserRefusal.UnknownFluid())
                : new Dispensing(session, clock, sent.actor())
                    .use(stand, product, Optional.empty()));
  }

  /** It is clean from now on. */
  @Allowed.ToKeepStore
  public Outcome clean(Sent sent, DispenserId id) {
    return on(
        sent,
        id,
        (session, stand) -> {
          session
              .dispensers()
              .use(id, Optional.empty(), Optional.empty(), sent.actor(), clock.now());
          return Outcome.done();
        });
  }

  /** It is broken, or lost. */
  @Allowed.ToKeepStore
  public Outcome retire(Sent sent, DispenserId id) {
    return on(
        sent,
        id,
        (session, stand) -> {
          session.dispensers().retire(stand.dispenser());
          return Outcome.done();
        });
  }

  private Outcome on(Sent sent, DispenserId id, BiFunction<Session, DispenserStand, Outcome> work) {
    return once.run(
        sent,
        session ->
            session
                .dispensers()
                .byId(id)
                .map(stand -> work.apply(session, stand))
                .orElseGet(() -> Outcome.refused(new DispenserRefusal.NoSuchDispenser())));
  }
}
