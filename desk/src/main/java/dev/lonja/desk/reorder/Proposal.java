package dev.lonja.desk.reorder;

import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.reorder.OrderTerms;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.fluid.ShelfFluid;
import java.util.List;
import java.util.Optional;

/**
 * What is proposed to be ordered of one thing.
 *
 * @param item in which it comes; of a fluid one of its packs
 * @param supply from whom, on which terms
 * @param cost of the amount
 * @param others what else may go in its place: what fits everywhere counts as free
 * @param mix in which packs a fluid comes, if not in those that cost least at once
 * @param fluids of one that comes too late, what else of the shelf may go in everywhere it goes
 */
public record Proposal(
    Subject subject,
    Item item,
    Supply supply,
    OrderTerms terms,
    Reordering reordering,
    Money cost,
    List<Other> others,
    Optional<Mix> mix,
    List<ShelfFluid> fluids) {

  /** So much of a fluid in one kind of pack. */
  public record Part(Item item, Supply supply, Quantity quantity) {

    Money cost() {
      return supply.costOf(quantity);
    }
  }

  /**
   * In which packs of one supplier a fluid comes.
   *
   * @param parts the largest packs first; one at least
   * @param perLitre what a litre costs that is used in time
   * @param alone what it would cost in the packs that cost least at once
   */
  public record Mix(List<Part> parts, UnitPrice perLitre, Money alone) {
    public Mix {
      parts = List.copyOf(parts);
    }

    /** What it costs in all. */
    public Money cost() {
      return parts.stream().map(Part::cost).reduce(Money::plus).orElseThrow();
    }

    /** How much it is besides one of the packs. */
    Quantity beside(Item item) {
      return parts.stream()
          .filter(part -> !part.item().id().equals(item.id()))
          .map(Part::quantity)
          .reduce(Quantity.zero(item.measure()), Quantity::plus);
    }
  }

  /**
   * Something that the store has in place of another.
   *
   * @param verdict {@link Verdict#FITS} for what is used up first, {@link Verdict#CHECK} for what
   *     has to be looked at and counts for nothing
   * @param quantity that is used up first, or that is free
   */
  public record Other(Item item, Verdict verdict, Quantity quantity) {}

  public Proposal {
    others = List.copyOf(others);
    fluids = List.copyOf(fluids);
  }

  /** One for which nothing else is used. */
  public Proposal(
      Subject subject,
      Item item,
      Supply supply,
      OrderTerms terms,
      Reordering reordering,
      Money cost) {
    this(subject, item, supply, terms, reordering, cost, List.of(), Optional.empty(), List.of());
  }

  Proposal with(List<Other> its) {
    return new Proposal(subject, item, supply, terms, reordering, cost, its, mix, fluids);
  }

  Proposal withFluids(List<ShelfFluid> its) {
    return new Proposal(subject, item, supply, terms, reordering, cost, others, mix, its);
  }

  /** The same in other packs. */
  Proposal inPacks(Mix its) {
    return new Proposal(
        subject, item, supply, terms, reordering, its.cost(), others, Optional.of(its), fluids);
  }

  /** The same in the packs that cost least at once. */
  Proposal inOnePack() {
    return mix.map(
            its ->
                new Proposal(
                    subject,
                    item,
                    supply,
                    terms,
                    reordering,
                    its.alone(),
                    others,
                    Optional.empty(),
                    fluids))
        .orElse(this);
  }

  /** One of its packs, as a line of its own. */
  Proposal of(Part part) {
    return new Proposal(
        subject, part.item(), part.supply(), terms, reordering, part.cost(), others, mix, fluids);
  }

  /** The amount of its own item. */
  Quantity amount() {
    return mix.flatMap(
            its ->
                its.parts().stream()
                    .filter(part -> part.item().id().equals(item.id()))
                    .findFirst()
                    .map(Part::quantity))
        .orElse(reordering.amount());
  }

  /** What is used up before anything is ordered. */
  public List<Other> usedFirst() {
    return others.stream().filter(other -> other.verdict() == Verdict.FITS).toList();
  }

  /** What is free of it, without what is used up first. */
  public Quantity free() {
    return usedFirst().stream().map(Other::quantity).reduce(subject.free(), Quantity::minus);
  }

  /** True if it is to be ordered today or within the days until somebody looks again. */
  public boolean isDue() {
    return reordering.isWanted() || reordering.isLate();
  }
}
