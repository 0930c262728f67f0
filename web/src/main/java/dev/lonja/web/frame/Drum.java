package dev.lonja.web.frame;

import dev.lonja.core.item.Product;

/** A fluid's band: kind, grade and classes, always in this order. */
public record Drum(String kind, String grade, String classes) {

  public static Drum of(Product product) {
    return new Drum(product.kind().words(), product.grade(), product.classes());
  }
}
