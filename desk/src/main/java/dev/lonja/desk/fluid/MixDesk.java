package dev.lonja.desk.fluid;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.item.Item;
import dev.lonja.core.machine.Mixes;
import dev.lonja.core.mixture.FreezeTable;
import dev.lonja.core.mixture.Mixture;
import dev.lonja.core.mixture.Protection;
import dev.lonja.core.mixture.Strength;
import dev.lonja.core.mixture.WantedShare;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.query.UnitScope;
import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/**
 * Reckons at the counter how coolant or screen wash is mixed for a circuit, or for so many litres:
 * a fresh fill, one after a flush with water, and a fill that is put right.
 */
@Service
@Allowed.ToSeeStore
public class MixDesk {

  private final LonjaStore store;
  private final StoreClock clock;

  public MixDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** What is done to the circuit. */
  public sealed interface Way {

    /** It is empty. */
    record Fresh() implements Way {}

    /** It was flushed with water, of which so much ran out again. */
    record AfterFlush(Volume drained) implements Way {}

    /** It stays in; its freeze point was measured. */
    record PutRight(Temperature measured) implements Way {}
  }

  /**
   * What is asked.
   *
   * @param unit its code; empty for no circuit in particular
   * @param product what is poured; without one what the circuit prefers
   * @param total without one what the circuit takes
   * @param wanted without anything said what the circuit and the store want
   */
  public record Ask(
      String unit,
      Optional<CompartmentId> compartment,
      Optional<ProductId> product,
      Optional<Volume> total,
      Protection wanted,
      Way way) {}

  /**
   * What can be chosen, what is chosen, and what comes of it.
   *
   * @param compartments of the unit that take such a fluid
   * @param products whose strength is known
   * @param inside what was poured last, if that is known
   */
  public record Sheet(
      List<Unit> units,
      List<Compartment> compartments,
      List<Product> products,
      Optional<Compartment> compartment,
      Optional<Product> product,
      Optional<Product> inside,
      Optional<Volume> total,
      Result result) {}

  /** What comes of it. */
  public sealed interface Result {

    /** Something has to be chosen first. */
    record NothingAsked() implements Result {}

    /** It cannot be said, or must not be. */
    record Not(Why why) implements Result {}

    /**
     * How it is mixed.
     *
     * @param isGeneral true if the freeze point is the general one of its glycol
     * @param present the share in the circuit, where it was measured
     * @param familyKnown false if nobody knows whether it mixes with what is in
     */
    record Mixed(
        Mixture mixture,
        WantedShare wanted,
        boolean isGeneral,
        Optional<BigDecimal> present,
        boolean familyKnown)
        implements Result {}
  }

  /** Why there is no mixture. */
  public enum Why {
    /** No mixture is known to protect so far, or nobody has said how far it must. */
    NOT_REACHED,
    /** The product is weaker than wanted. */
    TOO_WEAK,
    /** The measured freeze point lies outside what is known of the fluid. */
    NOT_IN_TABLE,
    /** More ran out than the circuit holds. */
    MORE_THAN_ALL,
    /** Another family is in. */
    OTHER_FAMILY
  }

  /** Answers what is asked, as far as it is. */
  public Sheet sheet(Ask ask) {
    return store.read(session -> sheet(session, ask));
  }

  private Sheet sheet(Session session, Ask ask) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    Optional<Unit> unit = CompartmentDesk.unit(fleet, ask.unit());
    List<Compartment> compartments =
        unit.map(u -> fleet.needs(u.id()).compartments()).orElse(List.of()).stream()
            .filter(c -> c.spec().kind().isMixed())
            .toList();
    Optional<Compartment> compartment =
        compartments.stream()
            .filter(c -> ask.compartment().filter(c.id()::equals).isPresent())
            .findFirst()
            .or(() -> compartments.stream().findFirst());
    List<Product> products =
        session.products().all().stream()
            .filter(p -> p.kind().isMixed() && p.data().strength().isPresent())
            .filter(p -> compartment.map(c -> c.spec().kind() == p.kind()).orElse(true))
            .toList();
    Optional<Product> product =
        ask.product()
            .flatMap(id -> products.stream().filter(p -> p.id().equals(id)).findFirst())
            .or(() -> preferred(session, compartment, products));
    Optional<Product> inside = unit.flatMap(u -> compartment.flatMap(c -> inside(session, u, c)));
    Optional<Volume> total = ask.total().or(() -> compartment.flatMap(MixDesk::capacity));
    Result result =
        product.isEmpty() || total.isEmpty()
            ? new Result.NothingAsked()
            : new Circuit(session.shelf().mixes(), compartment, product.get(), inside, total.get())
                .mixed(ask);
    return new Sheet(
        fleet.units(), compartments, products, compartment, product, inside, total, result);
  }

  private static Optional<Product> preferred(
      Session session, Optional<Compartment> compartment, List<Product> products) {
    return compartment
        .flatMap(Compartment::itemId)
        .flatMap(session.items()::byId)
        .flatMap(Item::product)
        .flatMap(p -> products.stream().filter(p::equals).findFirst());
  }

  private static Optional<Product> inside(Session session, Unit unit, Compartment compartment) {
    return session
        .records()
        .fills(UnitScope.of(unit.id()))
        .getOrDefault(unit.id(), List.of())
        .stream()
        .filter(fill -> fill.compartmentId().equals(compartment.id()))
        .reduce((earlier, later) -> later)
        .flatMap(fill -> session.items().byId(fill.itemId()))
        .flatMap(Item::product);
  }

  private static Optional<Volume> capacity(Compartment compartment) {
    return compartment
        .capacity(FillCondition.WITHOUT_FILTER)
        .or(() -> compartment.capacity(FillCondition.DRY));
  }

  /** What is mixed for, and of what. */
  private record Circuit(
      Mixes mixes,
      Optional<Compartment> compartment,
      Product product,
      Optional<Product> inside,
      Volume total) {

    Result mixed(Ask ask) {
      Strength strength = product.data().strength().orElseThrow();
      Optional<Strength.Freezing> freezing = strength.freezing(mixes.general());
      Optional<WantedShare> wanted =
          WantedShare.of(
              product.kind() == FluidKind.COOLANT
                  ? WantedShare.Kind.COOLANT
                  : WantedShare.Kind.SCREEN_WASH,
              ask.wanted().isSaid() ? ask.wanted() : stated(),
              mixes.policy(),
              freezing.map(Strength.Freezing::table));
      boolean isGeneral = freezing.filter(Strength.Freezing::isGeneral).isPresent();
      return wanted.isEmpty()
          ? new Result.Not(Why.NOT_REACHED)
          : mixed(ask.way(), wanted.get(), strength, isGeneral);
    }

    private Protection stated() {
      return compartment.map(c -> c.spec().limits().protection()).orElse(Protection.UNSAID);
    }

    private Result mixed(Way way, WantedShare wanted, Strength strength, boolean isGeneral) {
      if (way instanceof Way.PutRight right) {
        return putRight(right.measured(), wanted, strength, isGeneral);
      }
      if (way instanceof Way.AfterFlush flush && flush.drained().compareTo(total) > 0) {
        return new Result.Not(Why.MORE_THAN_ALL);
      }
      Optional<Mixture> mixture =
          way instanceof Way.AfterFlush flush
              ? Mixture.afterFlush(total, flush.drained(), wanted.share(), strength.share())
              : Mixture.fresh(total, wanted.share(), strength.share());
      return mixture
          .<Result>map(m -> new Result.Mixed(m, wanted, isGeneral, Optional.empty(), true))
          .orElse(new Result.Not(Why.TOO_WEAK));
    }

    private Result putRight(
        Temperature measured, WantedShare wanted, Strength strength, boolean isGeneral) {
      if (families().distinct().count() > 1) {
        return new Result.Not(Why.OTHER_FAMILY);
      }
      Optional<BigDecimal> present =
          inside
              .flatMap(p -> p.data().strength())
              .or(() -> Optional.of(strength))
              .flatMap(s -> s.freezing(mixes.general()))
              .map(Strength.Freezing::table)
              .flatMap((FreezeTable table) -> table.shareAt(measured));
      if (present.isEmpty()) {
        return new Result.Not(Why.NOT_IN_TABLE);
      }
      boolean familyKnown = product.kind() != FluidKind.COOLANT || families().count() == 2;
      return Mixture.putRight(total, present.get(), wanted.share(), strength.share())
          .<Result>map(m -> new Result.Mixed(m, wanted, isGeneral, present, familyKnown))
          .orElse(new Result.Not(Why.TOO_WEAK));
    }

    /** Those that are known of what is in and what is added. */
    private Stream<Chemistry> families() {
      return Stream.of(inside, Optional.of(product))
          .flatMap(Optional::stream)
          .flatMap(p -> p.data().chemistry().stream());
    }
  }
}
