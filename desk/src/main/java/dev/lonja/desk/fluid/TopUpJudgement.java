package dev.lonja.desk.fluid;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.pour.TopUp;
import dev.lonja.core.quantity.Volume;
import dev.lonja.store.Session;
import java.time.LocalDate;

/** What the rules say of adding something to a compartment, and of the product alone. */
public record TopUpJudgement(TopUp.Verdict verdict, Suitability suitability) {

  /**
   * Judges by what is in the compartment now.
   *
   * @param item a fluid
   */
  public static TopUpJudgement of(
      Session session,
      LocalDate today,
      UnitId unit,
      Compartment compartment,
      Item item,
      Volume litres) {
    FluidBook book = FluidBook.load(session, today);
    return of(
        book,
        SumpLoader.load(session, book, unit, compartment).contents(),
        compartment,
        item,
        litres);
  }

  /**
   * Judges by what the same job filled the compartment with.
   *
   * @param item a fluid
   */
  public static TopUpJudgement afterFill(
      Session session,
      LocalDate today,
      ItemId filledWith,
      Compartment compartment,
      Item item,
      Volume litres) {
    FluidBook book = FluidBook.load(session, today);
    return of(
        book, SumpLoader.filledWith(book, compartment, filledWith), compartment, item, litres);
  }

  private static TopUpJudgement of(
      FluidBook book, TopUp.Contents contents, Compartment compartment, Item item, Volume litres) {
    ProductClaims read = book.claims(item.product().orElseThrow().id());
    Suitability suitability = book.judge(compartment.spec()).judge(read);
    return new TopUpJudgement(TopUp.judge(contents, read, litres, suitability), suitability);
  }
}
