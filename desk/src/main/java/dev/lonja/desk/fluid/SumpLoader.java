package dev.lonja.desk.fluid;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.pour.TopUp;
import dev.lonja.core.quantity.Volume;
import dev.lonja.store.Session;
import dev.lonja.store.fluid.PourRepository.LastFill;
import dev.lonja.store.fluid.PourRepository.StoredTopUp;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * What is in a compartment now: the last fill on file, and what was added since.
 *
 * @param fill empty if none is on file
 */
public record SumpLoader(
    Optional<LastFill> fill, List<StoredTopUp> topUps, TopUp.Contents contents) {

  public static SumpLoader load(
      Session session, FluidBook book, UnitId unitId, Compartment compartment) {
    Optional<LastFill> fill = session.pours().lastFill(unitId, compartment.id());
    Optional<LocalDate> since = fill.map(LastFill::on);
    List<StoredTopUp> topUps = session.pours().topUps(unitId, compartment.id(), since);
    TopUp.Contents contents =
        new TopUp.Contents(
            capacity(compartment),
            fill.flatMap(f -> claims(book, f.itemId())),
            topUps.stream()
                .flatMap(
                    topUp ->
                        claims(book, topUp.itemId()).stream()
                            .map(read -> new TopUp.Pour(read, topUp.volume())))
                .toList());
    return new SumpLoader(fill, topUps, contents);
  }

  /** What is in a compartment that was filled with an item just now. */
  static TopUp.Contents filledWith(FluidBook book, Compartment compartment, ItemId itemId) {
    return new TopUp.Contents(capacity(compartment), claims(book, itemId), List.of());
  }

  private static Volume capacity(Compartment compartment) {
    return compartment
        .capacity(FillCondition.WITHOUT_FILTER)
        .or(() -> compartment.capacity(FillCondition.WITH_FILTER))
        .or(() -> compartment.capacity(FillCondition.DRY))
        .orElse(Volume.ZERO);
  }

  private static Optional<ProductClaims> claims(FluidBook book, ItemId itemId) {
    return book.productOf(itemId).map(p -> book.claims(p.id()));
  }
}
