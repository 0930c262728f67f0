package dev.lonja.desk.fluid;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.fluid.Standing;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Which product may go where: the matrix of products and specs in use. */
@Service
@Allowed.ToSeeStore
public class MatrixDesk {

  private static final int MOST_ROWS = 120;

  private final LonjaStore store;
  private final StoreClock clock;

  public MatrixDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * What is asked for.
   *
   * @param kind the first in use if it is none
   * @param unitClass the code of a class of units; all if it is empty
   * @param shelf true for products that lie on the shelf
   * @param spec the compartment whose cell is open, with {@code product}
   */
  public record Query(
      Optional<FluidKind> kind,
      String unitClass,
      boolean shelf,
      Optional<CompartmentId> spec,
      Optional<ProductId> product) {}

  /**
   * The matrix.
   *
   * @param kinds that something is known of
   * @param classes of the units that have a spec
   * @param hidden specs that are left out for want of room
   */
  public record Matrix(
      FluidKind kind,
      List<FluidKind> kinds,
      List<Unit.UnitClass> classes,
      List<Column> columns,
      List<Row> rows,
      int hidden,
      Optional<Opened> opened) {}

  /** A product, and what is free of it. */
  public record Column(Product product, Quantity free) {}

  /** Compartments that demand the same, and where each product stands, in order of the columns. */
  public record Row(List<SpecUse> alike, List<Standing> standings) {

    /** The products that go in today. */
    public Set<ProductId> preferred() {
      return alike.stream()
          .flatMap(use -> use.preferred().stream())
          .flatMap(item -> item.product().stream())
          .map(Product::id)
          .collect(Collectors.toSet());
    }
  }

  /** One cell with its reasons, and what may go in instead. */
  public record Opened(SpecUse use, ShelfFluid fluid, List<ShelfFluid> instead) {}

  public Matrix matrix(Query query) {
    return store.read(session -> new Page(session, query).matrix());
  }

  private final class Page {
    private final Query query;
    private final FluidBook book;
    private final List<SpecUse> uses;
    private final FluidKind kind;
    private final List<ProductClaims> products;

    Page(Session session, Query query) {
      this.query = query;
      this.book = FluidBook.load(session, clock.today());
      this.uses = SpecUse.all(session, FleetPicture.load(session, clock.today()));
      this.kind =
          query
              .kind()
              .or(() -> uses.stream().map(use -> use.spec().kind()).sorted().findFirst())
              .orElse(FluidKind.ENGINE_OIL);
      this.products =
          book.ofKind(kind).stream()
              .filter(read -> !query.shelf() || book.isOnShelf(read.product()))
              .toList();
    }

    Matrix matrix() {
      Map<Spec, List<SpecUse>> bySpec = new LinkedHashMap<>();
      uses.stream()
          .filter(use -> use.spec().kind() == kind)
          .filter(use -> query.unitClass().isEmpty() || use.isOfClass(query.unitClass()))
          .forEach(use -> bySpec.computeIfAbsent(use.spec(), s -> new ArrayList<>()).add(use));
      return new Matrix(
          kind,
          Arrays.stream(FluidKind.values()).filter(this::isWorthAsking).toList(),
          classes(),
          products.stream()
              .map(read -> new Column(read.product(), book.free(read.product().id())))
              .toList(),
          bySpec.values().stream().limit(MOST_ROWS).map(this::row).toList(),
          Math.max(0, bySpec.size() - MOST_ROWS),
          opened());
    }

    private boolean isWorthAsking(FluidKind k) {
      return !book.ofKind(k).isEmpty() || uses.stream().anyMatch(use -> use.spec().kind() == k);
    }

    private List<Unit.UnitClass> classes() {
      return uses.stream()
          .flatMap(use -> use.units().stream())
          .map(Unit::unitClass)
          .distinct()
          .sorted(Comparator.comparing(Unit.UnitClass::code))
          .toList();
    }

    private Row row(List<SpecUse> alike) {
      SpecJudge judge = book.judge(alike.get(0).spec());
      return new Row(alike, products.stream().map(judge::stand).toList());
    }

    private Optional<Opened> opened() {
      Optional<ProductClaims> read = query.product().flatMap(book::byId);
      return uses.stream()
          .filter(use -> query.spec().equals(Optional.of(use.compartment().id())))
          .findFirst()
          .flatMap(
              use ->
                  read.map(
                      r ->
                          new Opened(
                              use,
                              ShelfFluid.of(book, book.judge(use.spec()), r.product()),
                              ShelfFluid.free(book, use.spec(), r.product().id()))));
    }
  }
}
