package dev.lonja.web.product;

import dev.lonja.core.fluid.ProductId;
import java.util.List;

/** The data sheets of a product. */
public record SheetView(ProductId id, String name, List<Choice> kinds, List<Row> sheets) {

  public record Choice(String value, String words) {}

  /**
   * A sheet.
   *
   * @param holds true for the latest of its kind
   */
  public record Row(long id, String kind, String dated, boolean holds, String actor) {}
}
