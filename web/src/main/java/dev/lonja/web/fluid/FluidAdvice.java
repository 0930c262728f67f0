package dev.lonja.web.fluid;

import dev.lonja.core.fluid.Level;
import dev.lonja.desk.fluid.FluidObjection;
import dev.lonja.desk.fluid.ShelfFluid;
import java.util.List;

/** Says why a fluid may not go in somewhere, and what on the shelf would do instead. */
public final class FluidAdvice {

  private FluidAdvice() {}

  /** "FA 15-5 may not go in here: lacks API GL-5. From the shelf instead: …". */
  public static String words(FluidObjection objection) {
    List<String> instead = objection.instead().stream().map(FluidAdvice::fromTheShelf).toList();
    return objection.item().number()
        + " may not go in here: "
        + String.join("; ", ReasonWording.against(objection.verdict()))
        + ". "
        + (instead.isEmpty()
            ? "Nothing on the shelf may without a signature."
            : "From the shelf instead: " + String.join("; ", instead) + ".");
  }

  /** "Maretta Faro meets it, 196.00 L in T-1". */
  public static String fromTheShelf(ShelfFluid fluid) {
    return fluid.product().display()
        + (fluid.verdict().overall() == Level.LISTED ? " is listed, " : " meets it, ")
        + fluid.free().display()
        + " in "
        + String.join(", ", fluid.bins());
  }
}
