package dev.lonja.desk.fluid;

import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.pour.TopUp;
import dev.lonja.core.quantity.Volume;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.List;

/** What the rules say of adding something to a compartment, and of the product alone. */
public record TopUpJudgement(TopUp.Verdict verdict, Suitability suitability) {

  /**
   * What is added at one time.
   *
   * @param item a fluid
   */
  public record Added(Item item, Volume litres) {
    private TopUp.Pour pour(FluidBook book) {
      return new TopUp.Pour(book.claims(item.product().orElseThrow().id()), litres);
    }
  }

  /** Judges by what is in the compartment now. */
  public static TopUpJudgement of(
      Session session, LocalDate today, UnitId unit, Compartment compartment, Added added) {
    return of(session, today, unit, compartment, List.of(), added);
  }

  /**
   * Judges by what is in the compartment now.
   *
   * @param before what goes into it as well, and is not on record yet
   */
  public static TopUpJudgement of(
      Session session,
      LocalDate today,
      UnitId unit,
      Compartment compartment,
      List<Added> before,
      Added added) {
    FluidBook book = FluidBook.load(session, today);
    TopUp.Contents contents = SumpLoader.load(session, book, unit, compartment).contents();
    return of(book, contents, compartment, before, added);
  }

  /**
   * Judges by what the same job filled the compartment with.
   *
   * @param before what goes into it as well, after the fill
   */
  public static TopUpJudgement afterFill(
      Session session,
      LocalDate today,
      ItemId filledWith,
      Compartment compartment,
      List<Added> before,
      Added added) {
    FluidBook book = FluidBook.load(session, today);
    TopUp.Contents contents = SumpLoader.filledWith(book, compartment, filledWith);
    return of(book, contents, compartment, before, added);
  }

  private static TopUpJudgement of(
      FluidBook book,
      TopUp.Contents contents,
      Compartment compartment,
      List<Added> before,
      Added added) {
    TopUp.Contents then = contents.after(before.stream().map(one -> one.pour(book)).toList());
    TopUp.Pour pour = added.pour(book);
    Suitability suitability = book.judge(compartment.spec()).judge(pour.product());
    return new TopUpJudgement(
        TopUp.judge(then, pour.product(), pour.volume(), suitability), suitability);
  }
}
