package dev.lonja.web.pour;

import dev.lonja.core.choice.PackChoice;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.choice.PackOffers;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** Which of the packs that lie on the shelf cover a need. */
final class ShelfPacks {

  private ShelfPacks() {}

  /** The choice for a day; empty if what is free does not cover the need. */
  static Optional<PackChoice.Choice> choose(
      Session session,
      FluidBook book,
      ProductId product,
      Volume need,
      LocalDate day,
      LocalDate today) {
    PackOffers offers = new PackOffers(session, today);
    List<Item> packs = book.packs(product);
    return PackChoice.of(need, offers.onTheShelf(book, packs), offers.usedAfter(packs, day));
  }

  static PackView.Advice advice(PackChoice.Choice choice, LocalDate day, LocalDate today) {
    return PackWording.advice(choice, day, today);
  }
}
