package dev.lonja.desk.fluid;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.FluidReference;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.grade.Climate;
import dev.lonja.core.grade.Window;
import dev.lonja.core.item.Item;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.fleet.VariantRepository.StoredVariant;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.springframework.stereotype.Service;

/** What one compartment demands: shown with what meets it, and edited. */
@Service
@Allowed.ToSeeStore
public class SpecDesk extends KeepersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public SpecDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /** A compartment with the variant it belongs to. */
  public record Place(StoredVariant stored, Compartment compartment) {}

  /**
   * What meets a spec.
   *
   * @param free how many products meet it without a signature over the year
   * @param onShelf how many of these lie on the shelf
   * @param products of its kind with their verdicts, best first
   */
  public record Met(int free, int onShelf, List<ShelfFluid> products) {}

  /**
   * A spec with what meets it.
   *
   * @param units that have it, by code
   * @param preferred the item that goes in today
   * @param met over the window that was asked for; how many are free counts for the year
   */
  public record SpecFile(
      Place place, List<String> units, Optional<Item> preferred, Climate climate, Met met) {}

  /** Empty if there is no such compartment. */
  public Optional<Place> place(CompartmentId compartmentId) {
    return store.read(session -> place(session, compartmentId));
  }

  private Optional<Place> place(Session session, CompartmentId compartmentId) {
    return FleetPicture.load(session, clock.today()).variants().entrySet().stream()
        .flatMap(
            needs ->
                needs.getValue().compartments().stream()
                    .filter(c -> c.id().equals(compartmentId))
                    .flatMap(
                        c ->
                            session.variants().byId(needs.getKey()).stream()
                                .map(stored -> new Place(stored, c))))
        .findFirst();
  }

  /**
   * Empty if there is no such compartment.
   *
   * @param window over which the verdicts are asked for, given the store's year
   */
  public Optional<SpecFile> file(CompartmentId id, Function<Climate, Window> window) {
    return store.read(session -> place(session, id).map(place -> file(session, place, window)));
  }

  private SpecFile file(Session session, Place place, Function<Climate, Window> window) {
    FluidBook book = FluidBook.load(session, clock.today());
    Spec spec = place.compartment().spec();
    return new SpecFile(
        place,
        session.fleet().serving(clock.today()).stream()
            .filter(unit -> unit.variant().id() == place.stored().variant().id())
            .map(Unit::code)
            .toList(),
        place.compartment().on(clock.today()).itemId().flatMap(id -> session.items().byId(id)),
        book.climate(),
        met(book, spec, book.judge(spec, window.apply(book.climate()))));
  }

  private static Met met(FluidBook book, Spec spec, SpecJudge inWindow) {
    SpecJudge overTheYear = book.judge(spec);
    List<ProductClaims> free =
        book.ofKind(spec.kind()).stream()
            .filter(read -> overTheYear.judge(read).overall().isFree())
            .toList();
    return new Met(
        free.size(),
        (int) free.stream().filter(read -> book.isOnShelf(read.product())).count(),
        ShelfFluid.all(book, spec, inWindow));
  }

  /** What would meet a spec, without saving it. */
  @Allowed.ToKeepStore
  public Met met(Spec spec) {
    return store.read(
        session -> {
          FluidBook book = FluidBook.load(session, clock.today());
          return met(book, spec, book.judge(spec));
        });
  }

  /** The classes, grades and rows that labels and specs are read against. */
  public FluidReference reference() {
    return store.read(session -> session.fluidReference());
  }

  /** Writes a spec in place of what was there, unless the variant was changed meanwhile. */
  @Allowed.ToKeepStore
  public Outcome save(Sent sent, CompartmentId compartmentId, long version, Spec spec) {
    return once.run(
        sent,
        session -> {
          Optional<Place> place = place(session, compartmentId);
          if (place.isEmpty()
              || !session.variants().touch(place.get().stored().variant().id(), version)) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          session.specs().save(compartmentId, spec);
          Compartment before = place.get().compartment();
          Facts was = new Facts(SpecSheet.of(before.spec()));
          Facts is = new Facts(SpecSheet.of(spec));
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.VARIANT,
                      place.get().stored().variant().id(),
                      Deed.EDITED,
                      was.unlike(is),
                      is.unlike(was).with("compartment", before.name())));
          return Outcome.done();
        });
  }
}
