package dev.lonja.web.spec;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.fluid.Standing;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.desk.fluid.SpecUse;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.web.fluid.ReasonWording;
import dev.lonja.web.fluid.VerdictView;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.Words;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Which product may go where: the matrix of products and specs in use. */
@Service
@Allowed.ToSeeStore
class MatrixDesk {

  private static final int MOST_ROWS = 120;

  private final LonjaStore store;
  private final StoreClock clock;

  MatrixDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * What is asked for.
   *
   * @param kind the name of a kind of fluid; the first in use if it is none
   * @param unitClass the code of a class of units; all if it is none
   * @param shelf true for products that lie on the shelf
   * @param spec the compartment whose cell is open, or 0
   */
  record Query(
      String kind,
      String unitClass,
      boolean shelf,
      Optional<CompartmentId> spec,
      Optional<ProductId> product) {}

  MatrixView view(Query query) {
    return store.read(session -> new Page(session, query).view());
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
          Arrays.stream(FluidKind.values())
              .filter(k -> k.name().equalsIgnoreCase(query.kind()))
              .findFirst()
              .or(() -> uses.stream().map(use -> use.spec().kind()).sorted().findFirst())
              .orElse(FluidKind.ENGINE_OIL);
      this.products =
          book.ofKind(kind).stream()
              .filter(read -> !query.shelf() || book.isOnShelf(read.product()))
              .toList();
    }

    MatrixView view() {
      Map<Spec, List<SpecUse>> bySpec = new LinkedHashMap<>();
      uses.stream()
          .filter(use -> use.spec().kind() == kind)
          .filter(use -> query.unitClass().isEmpty() || use.isOfClass(query.unitClass()))
          .forEach(use -> bySpec.computeIfAbsent(use.spec(), s -> new ArrayList<>()).add(use));
      return new MatrixView(
          Arrays.stream(FluidKind.values())
              .filter(this::isWorthAsking)
              .map(k -> new MatrixView.Choice(k.name().toLowerCase(), k.words()))
              .toList(),
          kind.name().toLowerCase(),
          classes(),
          query.unitClass(),
          query.shelf(),
          products.stream().map(this::column).toList(),
          bySpec.values().stream().limit(MOST_ROWS).map(this::row).toList(),
          Math.max(0, bySpec.size() - MOST_ROWS),
          opened());
    }

    private boolean isWorthAsking(FluidKind k) {
      return !book.ofKind(k).isEmpty() || uses.stream().anyMatch(use -> use.spec().kind() == k);
    }

    private List<MatrixView.Choice> classes() {
      return uses.stream()
          .flatMap(use -> use.units().stream())
          .map(Unit::unitClass)
          .distinct()
          .sorted(Comparator.comparing(Unit.UnitClass::code))
          .map(c -> new MatrixView.Choice(c.code(), c.code() + " " + c.name()))
          .toList();
    }

    private MatrixView.Column column(ProductClaims read) {
      return new MatrixView.Column(
          read.product().id(),
          read.product().make(),
          read.product().name(),
          Drum.of(read.product()).grade(),
          book.isOnShelf(read.product()) ? book.free(read.product().id()).display() : "");
    }

    private MatrixView.Row row(List<SpecUse> alike) {
      SpecUse first = alike.get(0);
      SpecJudge judge = book.judge(first.spec());
      List<ProductId> preferred =
          alike.stream()
              .flatMap(use -> use.preferred().stream())
              .flatMap(item -> item.product().stream())
              .map(product -> product.id())
              .toList();
      return new MatrixView.Row(
          first.compartment().id(),
          first.compartment().name(),
          first.variant().display(),
          alike.size() == 1
              ? ""
              : "and " + Words.count(alike.size() - 1, "other like it", "others like it"),
          String.join(
              ", ", first.spec().chart().rows().stream().map(r -> r.grade().text()).toList()),
          String.join("; ", SpecWording.demands(first.spec())),
          products.stream().map(read -> cell(first, judge, read, preferred)).toList());
    }

    private MatrixView.Cell cell(
        SpecUse use, SpecJudge judge, ProductClaims read, List<ProductId> preferred) {
      Standing verdict = judge.stand(read);
      ProductId product = read.product().id();
      return new MatrixView.Cell(
          product,
          MatrixMark.svg(verdict),
          ReasonWording.state(verdict.overall()),
          preferred.contains(product),
          query.spec().equals(Optional.of(use.compartment().id()))
              && query.product().equals(Optional.of(product)),
          read.product().name() + " in " + use.display() + ": " + verdict.overall().words());
    }

    private Optional<MatrixView.Opened> opened() {
      Optional<SpecUse> use =
          uses.stream()
              .filter(u -> query.spec().equals(Optional.of(u.compartment().id())))
              .findFirst();
      Optional<ProductClaims> read = query.product().flatMap(book::byId);
      return use.isEmpty() || read.isEmpty()
          ? Optional.empty()
          : Optional.of(opened(use.get(), read.get()));
    }

    private MatrixView.Opened opened(SpecUse use, ProductClaims read) {
      Suitability verdict = book.judge(use.spec()).judge(read);
      return new MatrixView.Opened(
          use.compartment().id(),
          use.display(),
          use.units().stream().map(Unit::code).toList(),
          read.product().id(),
          read.product().display(),
          Drum.of(read.product()),
          ReasonWording.state(verdict.overall()),
          ReasonWording.lines(verdict),
          verdict.overall().isFree(),
          VerdictView.fromTheShelf(book, use.spec(), read.product().id()));
    }
  }
}
