package dev.lonja.desk.fluid;

import dev.lonja.core.fluid.FluidReference;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.store.Session;
import java.util.List;

/**
 * The labels of all products, read against the reference data in force.
 *
 * @param products in order of make and name
 */
public record Labels(FluidReference reference, List<ProductClaims> products) {

  /** Read once, and again when a product or the reference data have changed. */
  public static Labels load(Session session) {
    return session.kept(
        Labels.class,
        () -> read(session),
        (known, touched) -> touched.common() ? read(session) : known);
  }

  private static Labels read(Session session) {
    FluidReference reference = session.fluidReference();
    return new Labels(reference, session.products().all().stream().map(reference::read).toList());
  }
}
