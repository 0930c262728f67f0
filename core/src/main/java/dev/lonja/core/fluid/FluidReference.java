package dev.lonja.core.fluid;

import dev.lonja.core.grade.GradeTable;

/**
 * The public reference data that verdicts rest on, as this store has them.
 *
 * @param grades that exist, with their cold limits
 * @param classes that are known
 * @param coverage which class covers which
 */
public record FluidReference(GradeTable grades, ClassList classes, Coverage coverage) {

  /** Reads what a product's label and data claim. */
  public ProductClaims read(Product product) {
    return ProductClaims.of(product, this);
  }
}
