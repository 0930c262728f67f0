package dev.lonja.core.fluid;

import dev.lonja.core.grade.FluidKind;
import java.util.List;

/** A {@link Product} as somebody describes it, before it has a number. */
public record NewProduct(
    String make,
    String name,
    FluidKind kind,
    String grade,
    String classes,
    List<Approval> approvals,
    Product.Data data) {

  public NewProduct {
    approvals = List.copyOf(approvals);
  }

  /** The product under its number; {@code version} is the one that was edited. */
  public Product numbered(ProductId id, long version) {
    return new Product(id, make, name, kind, grade, classes, approvals, data, version);
  }
}
