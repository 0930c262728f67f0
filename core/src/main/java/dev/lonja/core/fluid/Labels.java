package dev.lonja.core.fluid;

import java.util.List;

/**
 * The labels of all products, read against the reference data in force.
 *
 * @param products in the order in which they were given
 */
public record Labels(FluidReference reference, List<ProductClaims> products) {

  public Labels {
    products = List.copyOf(products);
  }

  /** Reads the label of each product. */
  public static Labels of(FluidReference reference, List<Product> products) {
    return new Labels(reference, products.stream().map(reference::read).toList());
  }
}
