package dev.lonja.web.frame;

import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.HydraulicType;
import dev.lonja.core.fluid.Product;

/** A fluid's band: kind, grade and main class, always in this order. */
public record Drum(String kind, String grade, String classes) {

  public static Drum of(Product product) {
    return new Drum(
        product.kind().words(),
        product.grade(),
        product
            .data()
            .type()
            .map(HydraulicType::name)
            .or(() -> product.data().chemistry().map(Chemistry::words))
            .orElse(product.classes()));
  }
}
