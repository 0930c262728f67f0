package dev.lonja.desk.reorder;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.Supply;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.reorder.LeadTime;
import dev.lonja.core.reorder.OrderTerms;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.desk.forecast.Bands;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Works out what is proposed of each thing: of all who supply it, in any of its packs, the one that
 * costs least among those whose order of today is soon enough; where none is, the one with whom
 * least will be lacking.
 */
final class Proposals {

  private static final Comparator<Proposal> SOONEST_THEN_CHEAPEST =
      Comparator.comparing((Proposal proposal) -> proposal.reordering().isLate())
          .thenComparing(
              proposal ->
                  proposal.reordering().isLate()
                      ? proposal.reordering().shortfall().millionths()
                      : 0L)
          // what the bins have no room for costs little or nothing, and is no bargain
          .thenComparing(proposal -> proposal.reordering().limit().isPresent())
          .thenComparing(proposal -> proposal.reordering().amount().isZero())
          .thenComparing(proposal -> proposal.cost().minor())
          .thenComparing(proposal -> proposal.supply().supplier().name())
          .thenComparing(proposal -> proposal.item().id());

  private final Bands bands;
  private final Map<Item, List<Supply>> supplies;
  private final Map<Item, List<ItemBin>> bins;

  /**
   * @param supplies by item, who sells it
   * @param bins by item, what they hold
   */
  Proposals(Bands bands, Map<Item, List<Supply>> supplies, Map<Item, List<ItemBin>> bins) {
    this.bands = bands;
    this.supplies = supplies;
    this.bins = bins;
  }

  /** Empty if nobody supplies it, or it is not bought any more. */
  Optional<Proposal> of(Subject subject) {
    List<Proposal> all = new ArrayList<>();
    for (Item item : subject.items()) {
      boolean isBought = item.keeping().retiredOn().isEmpty() && !item.keeping().runningOut();
      if (isBought) {
        supplies
            .getOrDefault(item, List.of())
            .forEach(supply -> all.add(proposal(subject, item, supply)));
      }
    }
    return all.stream().min(SOONEST_THEN_CHEAPEST);
  }

  private Proposal proposal(Subject subject, Item item, Supply supply) {
    OrderTerms terms =
        new OrderTerms(
            LeadTime.quoted(supply.supplier().leadDays()),
            item.keeping().criticality(),
            supply.pack(),
            supply.least(),
            least(subject),
            most(subject));
    Reordering reordering = bands.reordering(subject, terms, item.id());
    return new Proposal(
        subject, item, supply, terms, reordering, supply.price().valueOf(reordering.amount()));
  }

  private Quantity least(Subject subject) {
    return subject.items().stream()
        .flatMap(item -> bins.getOrDefault(item, List.of()).stream())
        .map(ItemBin::least)
        .reduce(Quantity.zero(subject.free().measure()), Quantity::plus);
  }

  /** Several bins add up; a thing of which one pack has no bin may lie anywhere. */
  private Optional<Quantity> most(Subject subject) {
    boolean everyPackHasOne =
        subject.items().stream().noneMatch(item -> bins.getOrDefault(item, List.of()).isEmpty());
    return everyPackHasOne
        ? subject.items().stream()
            .flatMap(item -> bins.get(item).stream())
            .map(ItemBin::most)
            .reduce(Quantity::plus)
        : Optional.empty();
  }
}
