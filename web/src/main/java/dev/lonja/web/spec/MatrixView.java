package dev.lonja.web.spec;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Standing;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.desk.fluid.MatrixDesk;
import dev.lonja.desk.fluid.SpecUse;
import dev.lonja.web.fluid.FluidAdvice;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Products against specs.
 *
 * @param hidden specs that are not shown for want of room
 * @param opened the cell whose reasons are open
 */
public record MatrixView(
    List<Choice> kinds,
    String kind,
    List<Choice> classes,
    String unitClass,
    boolean shelf,
    List<Column> columns,
    List<Row> rows,
    int hidden,
    Optional<Opened> opened) {

  public record Choice(String value, String words) {}

  /** A product; {@code free} is empty if none lies on the shelf. */
  public record Column(ProductId productId, String make, String name, String grade, String free) {}

  /**
   * A spec.
   *
   * @param others how many more compartments demand the same
   * @param cells in order of the columns
   * @param bestFirst the same, what may go in first
   */
  public record Row(
      CompartmentId specId,
      String compartment,
      String machine,
      String others,
      String grades,
      String demands,
      List<Cell> cells,
      List<Cell> bestFirst) {}

  /**
   * A verdict; {@code preferred} if the product is what goes in today, {@code free} is empty if
   * none lies on the shelf.
   */
  public record Cell(
      ProductId productId,
      String product,
      String free,
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
  public record Opened(
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

  static MatrixView of(MatrixDesk.Matrix matrix, MatrixDesk.Query query) {
    return new MatrixView(
        matrix.kinds().stream().map(k -> new Choice(value(k), k.words())).toList(),
        value(matrix.kind()),
        matrix.classes().stream()
            .map(c -> new Choice(c.code(), c.code() + " " + c.name()))
            .toList(),
        query.unitClass(),
        query.shelf(),
        matrix.columns().stream().map(MatrixView::column).toList(),
        matrix.rows().stream().map(row -> row(matrix, row, query)).toList(),
        matrix.hidden(),
        matrix.opened().map(MatrixView::opened));
  }

  private static String value(FluidKind kind) {
    return kind.name().toLowerCase(Locale.ROOT);
  }

  private static Column column(MatrixDesk.Column column) {
    Product product = column.product();
    return new Column(
        product.id(),
        product.make(),
        product.name(),
        Drum.of(product).grade(),
        column.free().isPositive() ? column.free().display() : "");
  }

  private static Row row(MatrixDesk.Matrix matrix, MatrixDesk.Row row, MatrixDesk.Query query) {
    SpecUse first = row.alike().get(0);
    int others = row.alike().size() - 1;
    Set<ProductId> preferred = row.preferred();
    List<Cell> cells = new ArrayList<>();
    Map<Level, List<Cell>> bestFirst = new EnumMap<>(Level.class);
    for (int i = 0; i < matrix.columns().size(); i++) {
      Product product = matrix.columns().get(i).product();
      Standing verdict = row.standings().get(i);
      Column column = column(matrix.columns().get(i));
      Cell cell =
          new Cell(
              product.id(),
              product.display(),
              column.free(),
              MatrixMark.svg(verdict),
              ReasonWording.state(verdict.overall()),
              preferred.contains(product.id()),
              query.spec().equals(Optional.of(first.compartment().id()))
                  && query.product().equals(Optional.of(product.id())),
              product.name() + " in " + first.display() + ": " + verdict.overall().words());
      cells.add(cell);
      bestFirst.computeIfAbsent(verdict.overall(), level -> new ArrayList<>()).add(cell);
    }
    return new Row(
        first.compartment().id(),
        first.compartment().name(),
        first.variant().display(),
        others == 0 ? "" : "and " + Words.count(others, "other like it", "others like it"),
        String.join(", ", first.spec().chart().rows().stream().map(r -> r.grade().text()).toList()),
        String.join("; ", SpecWording.demands(first.spec())),
        cells,
        bestFirst.values().stream().flatMap(List::stream).toList());
  }

  private static Opened opened(MatrixDesk.Opened opened) {
    Product product = opened.fluid().product();
    Suitability verdict = opened.fluid().verdict();
    return new Opened(
        opened.use().compartment().id(),
        opened.use().display(),
        opened.use().units().stream().map(Unit::code).toList(),
        product.id(),
        product.display(),
        Drum.of(product),
        ReasonWording.state(verdict.overall()),
        ReasonWording.lines(verdict),
        verdict.overall().isFree(),
        opened.instead().stream().map(FluidAdvice::fromTheShelf).toList());
  }
}
