package dev.lonja.desk.fluid;

import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * Why a fluid may not go in somewhere, and what on the shelf would do instead.
 *
 * @param verdict it has there
 * @param instead what may go in without a word and lies on the shelf, best first
 */
public record FluidObjection(Item item, Suitability verdict, List<ShelfFluid> instead) {

  public static FluidObjection of(FluidBook book, Spec spec, Item item) {
    ProductId product = item.product().orElseThrow().id();
    return new FluidObjection(
        item, book.verdict(spec, product), ShelfFluid.free(book, spec, product));
  }

  /** Empty if an item may be chosen for a spec, be it with a signature. */
  public static Optional<FluidObjection> to(
      Session session, LocalDate today, Spec spec, ItemId itemId) {
    FluidBook book = FluidBook.load(session, today);
    return session
        .items()
        .byId(itemId)
        .filter(item -> item.product().isPresent())
        .map(item -> of(book, spec, item))
        .filter(objection -> objection.verdict().overall() == Level.NO);
  }
}
