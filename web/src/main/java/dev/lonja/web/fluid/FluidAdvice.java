package dev.lonja.web.fluid;

import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** Says why a fluid may not go in somewhere, and what on the shelf would do instead. */
public final class FluidAdvice {

  private FluidAdvice() {}

  /** Why an item may not be chosen for a spec; empty if it may, be it with a signature. */
  public static Optional<String> refusal(
      Session session, LocalDate today, Spec spec, ItemId itemId) {
    FluidBook book = FluidBook.load(session, today);
    return session
        .items()
        .byId(itemId)
        .filter(item -> item.product().isPresent())
        .filter(item -> verdict(book, spec, item).overall() == Level.NO)
        .map(item -> refusal(book, spec, item));
  }

  /** "FA 15-5 may not go in here: lacks API GL-5. From the shelf instead: …". */
  public static String refusal(FluidBook book, Spec spec, Item item) {
    List<String> instead = VerdictView.fromTheShelf(book, spec, item.product().orElseThrow().id());
    return item.number()
        + " may not go in here: "
        + String.join("; ", ReasonWording.against(verdict(book, spec, item)))
        + ". "
        + (instead.isEmpty()
            ? "Nothing on the shelf may without a signature."
            : "From the shelf instead: " + String.join("; ", instead) + ".");
  }

  private static Suitability verdict(FluidBook book, Spec spec, Item item) {
    return book.verdict(spec, item.product().orElseThrow().id());
  }
}
