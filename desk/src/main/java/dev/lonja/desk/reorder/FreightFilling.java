package dev.lonja.desk.reorder;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.reorder.EarlySteps;
import dev.lonja.core.reorder.FreeFreight;
import dev.lonja.core.reorder.Position;
import dev.lonja.core.supplier.Freight;
import dev.lonja.core.supplier.Supplier;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * Fills an order up to free freight with what would be ordered soon anyway, if that is worth it.
 */
public final class FreightFilling {

  private final LocalDate today;

  /**
   * @param today the day on which is ordered
   */
  public FreightFilling(LocalDate today) {
    this.today = today;
  }

  /** A line that may come along, and by which steps. */
  private record Candidate(Proposal proposal, List<EarlySteps> steps) {}

  /**
   * What is taken along, by proposal.
   *
   * @param due what is ordered of the supplier anyway
   * @param later what could be brought forward, of any supplier
   */
  public Map<Proposal, BroughtForward> of(
      Supplier supplier, List<Proposal> due, List<Proposal> later) {
    Optional<Freight> freight = supplier.freight().filter(f -> f.freeFrom().isPresent());
    Money sum = due.stream().map(Proposal::cost).reduce(Money::plus).orElseThrow();
    Money none = Money.zero(sum.currency());
    Money gap = freight.flatMap(Freight::freeFrom).map(from -> from.minus(sum)).orElse(none);
    // of nothing that is due no order is sent
    if (gap.minor() <= 0 || sum.minor() == 0) {
      return Map.of();
    }
    List<Candidate> candidates =
        Stream.concat(
                due.stream(), later.stream().filter(p -> p.supply().supplier().equals(supplier)))
            .map(this::candidate)
            .filter(candidate -> !candidate.steps().isEmpty())
            .toList();
    List<FreeFreight.Option> options = candidates.stream().map(FreightFilling::option).toList();
    Money each = freight.orElseThrow().each();
    return FreeFreight.choose(options, gap, each)
        .map(choice -> brought(candidates, choice, each))
        .orElse(Map.of());
  }

  private Candidate candidate(Proposal proposal) {
    Subject subject = proposal.subject();
    Quantity amount = proposal.isDue() ? proposal.reordering().amount() : none(proposal);
    boolean limited = proposal.isDue() && proposal.reordering().limit().isPresent();
    return new Candidate(
        proposal,
        limited
            ? List.of()
            : EarlySteps.of(
                new Position(subject.free(), subject.coming()).by(LocalDate.MAX).plus(amount),
                amount.isPositive(),
                proposal.terms(),
                proposal.reordering().level(),
                today,
                proposal.reordering().timing().arrival(),
                subject.demands()));
  }

  private static Quantity none(Proposal proposal) {
    return Quantity.zero(proposal.subject().free().measure());
  }

  private static FreeFreight.Option option(Candidate candidate) {
    Proposal proposal = candidate.proposal();
    UnitPrice price = proposal.supply().prices().at(proposal.reordering().amount());
    return new FreeFreight.Option(
        proposal.item().number(),
        candidate.steps().stream()
            .map(step -> new FreeFreight.Step(price.valueOf(step.quantity()).minor(), step.days()))
            .filter(step -> step.minor() > 0)
            .toList());
  }

  private static Map<Proposal, BroughtForward> brought(
      List<Candidate> candidates, FreeFreight.Choice choice, Money saved) {
    Map<Proposal, BroughtForward> brought = new LinkedHashMap<>();
    for (int i = 0; i < candidates.size(); i++) {
      List<EarlySteps> taken =
          new ArrayList<>(candidates.get(i).steps().subList(0, choice.counts().get(i)));
      if (!taken.isEmpty()) {
        Quantity more =
            taken.stream().map(EarlySteps::quantity).reduce(Quantity::plus).orElseThrow();
        brought.put(
            candidates.get(i).proposal(),
            new BroughtForward(more, taken.get(0).days(), saved, choice.keeping()));
      }
    }
    return brought;
  }
}
