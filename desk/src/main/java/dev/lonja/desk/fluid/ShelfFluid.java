package dev.lonja.desk.fluid;

import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.core.quantity.Quantity;
import java.util.Comparator;
import java.util.List;

/**
 * A product held against a spec, with what is free of it.
 *
 * @param bins where it is kept, each once; empty if nothing is free
 */
public record ShelfFluid(Product product, Suitability verdict, Quantity free, List<String> bins) {

  public static ShelfFluid of(FluidBook book, SpecJudge judge, Product product) {
    return new ShelfFluid(
        product,
        judge.judge(book.claims(product.id())),
        book.free(product.id()),
        book.packs(product.id()).stream()
            .filter(item -> book.freeOf(item).isPositive())
            .flatMap(item -> book.binOf(item).stream())
            .distinct()
            .toList());
  }

  /** The products of the spec's kind, the best verdict first, then what lies on the shelf. */
  public static List<ShelfFluid> all(FluidBook book, Spec spec, SpecJudge judge) {
    return book.ofKind(spec.kind()).stream()
        .sorted(
            Comparator.comparing((ProductClaims read) -> judge.stand(read).overall())
                .thenComparing(read -> !book.isOnShelf(read.product())))
        .map(read -> of(book, judge, read.product()))
        .toList();
  }

  /** What may go in without a word and lies on the shelf, best first. */
  public static List<ShelfFluid> free(FluidBook book, Spec spec, ProductId besides) {
    SpecJudge judge = book.judge(spec);
    return book.ofKind(spec.kind()).stream()
        .filter(read -> !read.product().id().equals(besides))
        .filter(read -> judge.stand(read).overall().isFree())
        .filter(read -> book.isOnShelf(read.product()))
        .sorted(Comparator.comparing(read -> judge.stand(read).overall()))
        .map(read -> of(book, judge, read.product()))
        .toList();
  }
}
