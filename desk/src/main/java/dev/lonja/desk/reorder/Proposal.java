package dev.lonja.desk.reorder;

import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.reorder.OrderTerms;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.supplier.Supply;
import java.util.List;

/**
 * What is proposed to be ordered of one thing.
 *
 * @param item in which it comes; of a fluid one of its packs
 * @param supply from whom, on which terms
 * @param cost of the amount
 * @param others what else may go in its place: what fits everywhere counts as free
 */
public record Proposal(
    Subject subject,
    Item item,
    Supply supply,
    OrderTerms terms,
    Reordering reordering,
    Money cost,
    List<Other> others) {

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
  }

  /** One for which nothing else is used. */
  Proposal(
      Subject subject,
      Item item,
      Supply supply,
      OrderTerms terms,
      Reordering reordering,
      Money cost) {
    this(subject, item, supply, terms, reordering, cost, List.of());
  }

  Proposal with(List<Other> its) {
    return new Proposal(subject, item, supply, terms, reordering, cost, its);
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
