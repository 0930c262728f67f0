package dev.lonja.web.fluid;

import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.desk.fluid.ShelfFluid;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.State;
import java.util.List;

/**
 * One product held against a spec, as shown.
 *
 * @param lines every reason, what stands against it first
 * @param free what is free of it; empty if nothing is
 * @param bins where it lies
 */
public record VerdictView(
    ProductId productId,
    String name,
    Drum drum,
    State state,
    boolean isFreeToUse,
    boolean isOut,
    List<String> lines,
    String free,
    String bins) {

  public static VerdictView of(ShelfFluid fluid) {
    Level level = fluid.verdict().overall();
    return new VerdictView(
        fluid.product().id(),
        fluid.product().display(),
        Drum.of(fluid.product()),
        ReasonWording.state(level),
        level.isFree(),
        level == Level.NO,
        ReasonWording.lines(fluid.verdict()),
        fluid.bins().isEmpty() ? "" : fluid.free().display(),
        String.join(", ", fluid.bins()));
  }
}
