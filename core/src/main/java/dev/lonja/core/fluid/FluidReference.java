package dev.lonja.core.fluid;

import dev.lonja.core.grade.GradeTable;
import dev.lonja.core.mixture.FreezeTable;
import dev.lonja.core.mixture.Glycol;
import java.util.Map;

/**
 * The public reference data that verdicts rest on, as this store has them.
 *
 * @param grades that exist, with their cold limits
 * @param classes that are known
 * @param coverage which class covers which
 * @param freezing general freeze points of mixtures, by glycol
 */
public record FluidReference(
    GradeTable grades, ClassList classes, Coverage coverage, Map<Glycol, FreezeTable> freezing) {

  public FluidReference {
    freezing = Map.copyOf(freezing);
  }

  /** Reads what a product's label and data claim. */
  public ProductClaims read(Product product) {
    return ProductClaims.of(product, this);
  }
}
