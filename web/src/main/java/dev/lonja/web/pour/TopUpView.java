package dev.lonja.web.pour;

import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.ItemId;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.State;
import dev.lonja.web.spec.SpecView;
import java.util.List;

/**
 * Topping up at the counter.
 *
 * @param name of the compartment; empty if none is chosen yet
 * @param now what is in it, in words
 * @param since what was added since the drain
 */
public record TopUpView(
    Chosen chosen,
    String name,
    List<String> now,
    List<PourRow> since,
    String litres,
    List<String> cautions,
    List<Row> rows) {

  /**
   * What may be chosen, and what is.
   *
   * @param compartment the chosen one's id; empty if none is chosen yet
   */
  public record Chosen(
      List<SpecView.Choice> units,
      String unit,
      List<SpecView.Choice> compartments,
      String compartment) {}

  /** Something added; {@code signed} says who signed for it. */
  public record PourRow(long id, String what, String signed) {}

  /**
   * A product that lies on the shelf.
   *
   * @param items its packs that hold enough, to take from
   * @param needsSignature true if it may be added only with one
   * @param never true if it may not be added at all
   */
  public record Row(
      ProductId productId,
      String name,
      Drum drum,
      State state,
      List<String> lines,
      List<ItemChoice> items,
      boolean needsSignature,
      boolean never) {}

  public record ItemChoice(ItemId itemId, String words) {}
}
