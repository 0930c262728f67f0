package dev.lonja.core.choice;

import dev.lonja.core.fluid.ProductId;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import org.ojalgo.optimisation.Expression;
import org.ojalgo.optimisation.ExpressionsBasedModel;
import org.ojalgo.optimisation.Optimisation;
import org.ojalgo.optimisation.Variable;
import org.ojalgo.optimisation.integer.IntegerStrategy;
import org.ojalgo.type.context.NumberContext;

/**
 * The mixed integer programme behind the least set: a binary variable for each product kept, a
 * share of each group of specs for each product that may serve it, and no share without the
 * product. Costs are whole minor units; a product kept costs a fraction of one more, less than a
 * unit over all, so that of two sets of equal cost the one with fewer products wins. Equal optima
 * are listed by forbidding each that was found, and the first by name is taken.
 */
final class SetCoverModel {

  /** Of so many sets of equal cost and size the first by name is taken. */
  private static final int MOST_TIES = 200;

  private static final NumberContext GAP = NumberContext.of(14, 10);

  /**
   * Specs that the same products cover.
   *
   * @param costs in minor units a year, by product
   */
  record Group(Map<ProductId, Long> costs) {}

  private record Found(List<LeastSet.Offer> offers, long cost) {}

  private final List<Group> groups;
  private final List<LeastSet.Offer> offers;
  private final Set<ProductId> kept;

  SetCoverModel(List<Group> groups, List<LeastSet.Offer> offers, Set<ProductId> kept) {
    this.groups = groups;
    this.offers = offers;
    this.kept = kept;
  }

  List<LeastSet.Offer> optimum() {
    List<Found> ties = new ArrayList<>();
    Optional<Found> next = solve(ties);
    while (next.isPresent() && ties.size() < MOST_TIES && isTie(ties, next.get())) {
      ties.add(next.get());
      next = solve(ties);
    }
    return ties.stream()
        .min(Comparator.comparing(found -> names(found.offers())))
        .map(Found::offers)
        .orElse(List.of());
  }

  private static boolean isTie(List<Found> ties, Found next) {
    return ties.isEmpty()
        || (ties.get(0).cost() == next.cost()
            && ties.get(0).offers().size() == next.offers().size());
  }

  private static String names(List<LeastSet.Offer> offers) {
    return String.join("\n", offers.stream().map(LeastSet.Offer::name).toList());
  }

  private Optional<Found> solve(List<Found> besides) {
    ExpressionsBasedModel model = new ExpressionsBasedModel();
    model.options.integer(IntegerStrategy.newConfigurable().withGapTolerance(GAP));
    Map<ProductId, Variable> keeps = new HashMap<>();
    BigDecimal tieBreak = BigDecimal.ONE.movePointLeft(String.valueOf(offers.size()).length());
    for (LeastSet.Offer offer : offers) {
      Variable keep =
          model
              .newVariable("keep " + offer.productId())
              .binary()
              .weight(BigDecimal.valueOf(offer.holding().minor()).add(tieBreak));
      if (kept.contains(offer.productId())) {
        keep.lower(1);
      }
      keeps.put(offer.productId(), keep);
    }
    for (int g = 0; g < groups.size(); g++) {
      addGroup(model, g, keeps);
    }
    besides.forEach(found -> forbid(model, found, keeps));
    Optimisation.Result result = model.minimise();
    return result.getState().isFeasible() ? Optional.of(found(keeps)) : Optional.empty();
  }

  private void addGroup(ExpressionsBasedModel model, int g, Map<ProductId, Variable> keeps) {
    Expression whole = model.newExpression("group " + g).level(1);
    groups
        .get(g)
        .costs()
        .forEach(
            (product, cost) -> {
              String name = "share " + g + " of " + product;
              Variable share = model.newVariable(name).lower(0).upper(1).weight(cost);
              whole.set(share, 1);
              Variable keep = keeps.get(product);
              model.newExpression("only " + name).upper(0).set(share, 1).set(keep, -1);
            });
  }

  private void forbid(ExpressionsBasedModel model, Found found, Map<ProductId, Variable> keeps) {
    Expression cut =
        model.newExpression("not " + found.hashCode()).upper(found.offers().size() - 1);
    offers.forEach(
        offer -> cut.set(keeps.get(offer.productId()), found.offers().contains(offer) ? 1 : -1));
  }

  private Found found(Map<ProductId, Variable> keeps) {
    List<LeastSet.Offer> chosen =
        offers.stream()
            .filter(offer -> keeps.get(offer.productId()).getValue().doubleValue() > 0.5)
            .toList();
    long cost = 0;
    for (LeastSet.Offer offer : chosen) {
      cost = Math.addExact(cost, offer.holding().minor());
    }
    for (Group group : groups) {
      long cheapest =
          chosen.stream()
              .map(offer -> group.costs().get(offer.productId()))
              .filter(Objects::nonNull)
              .mapToLong(Long::longValue)
              .min()
              .orElseThrow();
      cost = Math.addExact(cost, cheapest);
    }
    return new Found(chosen, cost);
  }
}
