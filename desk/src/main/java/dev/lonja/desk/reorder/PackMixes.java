package dev.lonja.desk.reorder;

import dev.lonja.core.choice.Pack;
import dev.lonja.core.choice.PackChoice;
import dev.lonja.core.choice.PackOffers;
import dev.lonja.core.choice.PackSet;
import dev.lonja.core.choice.PlannedUse;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.OrderAmount;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.forecast.Trials;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * In which packs of its supplier a fluid is ordered: those that together cost least of what is used
 * in time, be it a drum and two cans. What is left over counts as far as it is used in time.
 */
final class PackMixes {

  private final Map<ItemId, List<Supply>> supplies;
  private final LocalDate today;

  PackMixes(Map<ItemId, List<Supply>> supplies, LocalDate today) {
    this.supplies = supplies;
    this.today = today;
  }

  /** The same in the best packs; itself if these are its own, or something else set its amount. */
  Proposal of(Proposal proposal) {
    boolean mayMix =
        proposal.subject().free().measure() == Measure.LITRES
            && proposal.subject().items().size() > 1
            && proposal.reordering().needed().isPositive()
            && proposal.reordering().limit().isEmpty()
            && !isRaised(proposal);
    return mayMix ? mix(proposal).map(proposal::inPacks).orElse(proposal) : proposal;
  }

  private Optional<Proposal.Mix> mix(Proposal proposal) {
    Map<ItemId, Item> items = new LinkedHashMap<>();
    List<Pack> offers = new ArrayList<>();
    for (Item item : proposal.subject().items()) {
      boolean isBought = item.keeping().retiredOn().isEmpty() && !item.keeping().runningOut();
      if (isBought && item.litres().isPresent()) {
        items.put(item.id(), item);
        PackOffers.forSale(item, supplyOf(item, proposal).stream().toList(), room(proposal))
            .ifPresent(offers::add);
      }
    }
    if (offers.size() < 2) {
      return Optional.empty();
    }
    Volume need = new Volume(proposal.reordering().needed().millionths());
    return PackChoice.of(need, offers, usedAfter(proposal))
        .filter(choice -> !choice.wasteful())
        .map(PackChoice.Choice::best)
        .filter(set -> fits(set, proposal))
        .map(
            set ->
                new Proposal.Mix(
                    parts(set, items, proposal), set.pricePerLitreUsed(), proposal.cost()))
        .filter(
            mix -> !isItself(mix, proposal) && mix.parts().stream().allMatch(PackMixes::isSold));
  }

  /** A supplier may sell several packs together, or more than one at least. */
  private static boolean isSold(Proposal.Part part) {
    return OrderAmount.problem(part.quantity(), part.supply().pack(), part.supply().least())
        .isEmpty();
  }

  /** A price break has been looked at already, with what keeping more costs. */
  private static boolean isRaised(Proposal proposal) {
    Supply supply = proposal.supply();
    Quantity amount = proposal.reordering().amount();
    return !supply.prices().at(amount).equals(supply.price());
  }

  private static boolean isItself(Proposal.Mix mix, Proposal proposal) {
    return mix.parts().size() == 1
        && mix.parts().get(0).item().id().equals(proposal.item().id())
        && mix.parts().get(0).quantity().equals(proposal.reordering().amount());
  }

  private Optional<Supply> supplyOf(Item item, Proposal proposal) {
    return supplies.getOrDefault(item.id(), List.of()).stream()
        .filter(supply -> supply.supplier().id().equals(proposal.supply().supplier().id()))
        .findFirst();
  }

  /** What the bins have room for in all, in whichever packs. */
  private static Optional<Quantity> room(Proposal proposal) {
    Subject subject = proposal.subject();
    return proposal.terms().room().most().map(most -> most.minus(subject.thereBy(LocalDate.MAX)));
  }

  private static boolean fits(PackSet set, Proposal proposal) {
    return room(proposal).filter(room -> set.total().microlitres() > room.millionths()).isEmpty();
  }

  private PlannedUse usedAfter(Proposal proposal) {
    List<Demand> demands = proposal.subject().demands();
    return new PlannedUse(
        demands, proposal.reordering().timing().arrival(), PlanLine.lastDay(today, Trials.WEEKS));
  }

  private List<Proposal.Part> parts(PackSet set, Map<ItemId, Item> items, Proposal proposal) {
    return set.counts().stream()
        .map(
            count -> {
              Item item = items.get(count.pack().origin().item());
              Supply supply = supplyOf(item, proposal).orElseThrow();
              Quantity quantity =
                  Quantity.of(count.pack().litres()).times(BigDecimal.valueOf(count.packs()));
              return new Proposal.Part(item, supply, quantity);
            })
        .toList();
  }
}
