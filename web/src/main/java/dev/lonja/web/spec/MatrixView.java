package dev.lonja.web.spec;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.State;
import java.util.List;
import java.util.Optional;

/**
 * Products against specs.
 *
 * @param hidden specs that are not shown for want of room
 * @param opened the cell whose reasons are open
 */
record MatrixView(
    List<Choice> kinds,
    String kind,
    List<Choice> classes,
    String unitClass,
    boolean shelf,
    List<Column> columns,
    List<Row> rows,
    int hidden,
    Optional<Opened> opened) {

  record Choice(String value, String words) {}

  /** A product; {@code free} is empty if none lies on the shelf. */
  record Column(ProductId productId, String make, String name, String grade, String free) {}

  /**
   * A spec.
   *
   * @param others how many more compartments demand the same
   */
  record Row(
      CompartmentId specId,
      String compartment,
      String machine,
      String others,
      String grades,
      String demands,
      List<Cell> cells) {}

  /** A verdict; {@code preferred} if the product is what goes in today. */
  record Cell(
      ProductId productId,
      String mark,
      State state,
      boolean preferred,
      boolean open,
      String label) {}

  /**
   * The reasons of one cell.
   *
   * @param instead what may go in without a word and lies on the shelf
   */
  record Opened(
      CompartmentId specId,
      String spec,
      List<String> units,
      ProductId productId,
      String product,
      Drum drum,
      State state,
      List<String> lines,
      boolean allowed,
      List<String> instead) {}
}
