package dev.lonja.web.fluid;

import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.fluid.Suitability;
import dev.lonja.desk.fluid.FluidBook;
import dev.lonja.web.frame.Drum;
import dev.lonja.web.frame.State;
import java.util.Comparator;
import java.util.List;

/**
 * One product held against a spec, as shown.
 *
 * @param lines every reason, what stands against it first
 * @param free what is free of it; empty if nothing is
 * @param bins where it lies
 */
public record VerdictView(
    ProductId productId,
    String name,
    Drum drum,
    State state,
    boolean isFreeToUse,
    boolean isOut,
    List<String> lines,
    String free,
    String bins) {

  public static VerdictView of(FluidBook book, SpecJudge judge, Product product) {
    Suitability verdict = judge.judge(book.claims(product.id()));
    List<String> bins =
        book.packs(product.id()).stream()
            .filter(item -> book.freeOf(item).isPositive())
            .map(item -> item.homeBin().address())
            .distinct()
            .toList();
    return new VerdictView(
        product.id(),
        product.display(),
        Drum.of(product),
        ReasonWording.state(verdict.overall()),
        verdict.overall().isFree(),
        verdict.overall() == Level.NO,
        ReasonWording.lines(verdict),
        bins.isEmpty() ? "" : book.free(product.id()).display(),
        String.join(", ", bins));
  }

  /** The products of the spec's kind, the best verdict first, then what lies on the shelf. */
  public static List<VerdictView> all(FluidBook book, Spec spec) {
    return all(book, spec, book.judge(spec));
  }

  public static List<VerdictView> all(FluidBook book, Spec spec, SpecJudge judge) {
    return book.ofKind(spec.kind()).stream()
        .sorted(
            Comparator.comparing((ProductClaims read) -> judge.stand(read).overall())
                .thenComparing(read -> !book.isOnShelf(read.product())))
        .map(read -> of(book, judge, read.product()))
        .toList();
  }

  /** What may go in without a word and lies on the shelf: "Maretta Faro meets, 196.00 L in T-1". */
  public static List<String> fromTheShelf(FluidBook book, Spec spec, ProductId besides) {
    SpecJudge judge = book.judge(spec);
    return book.ofKind(spec.kind()).stream()
        .filter(read -> !read.product().id().equals(besides))
        .filter(read -> judge.stand(read).overall().isFree())
        .filter(read -> book.isOnShelf(read.product()))
        .sorted(Comparator.comparing(read -> judge.stand(read).overall()))
        .map(read -> of(book, judge, read.product()))
        .map(
            view ->
                view.name()
                    + (view.state().word().equals("listed") ? " is listed, " : " meets it, ")
                    + view.free()
                    + " in "
                    + view.bins())
        .toList();
  }
}
