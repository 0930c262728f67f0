package dev.lonja.desk.reorder;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Criticality;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.reorder.LeadTime;
import dev.lonja.core.reorder.OrderTerms;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.forecast.Bands;
import dev.lonja.store.Session;
import dev.lonja.store.order.OrderRepository;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Works out what is proposed of each thing: of all who supply it, in any of its packs, the one that
 * costs least among those whose order of today is soon enough; where none is, the one with whom
 * least will be lacking.
 */
public final class Proposals {

  private static final Comparator<Proposal> SOONEST_THEN_CHEAPEST =
      Comparator.comparing((Proposal proposal) -> proposal.reordering().isLate())
          .thenComparing(
              proposal ->
                  proposal.reordering().isLate()
                      ? proposal.reordering().timing().shortfall().millionths()
                      : 0L)
          // what the bins have no room for costs little or nothing, and is no bargain
          .thenComparing(proposal -> proposal.reordering().limit().isPresent())
          .thenComparing(proposal -> proposal.reordering().amount().isZero())
          .thenComparing(proposal -> proposal.cost().minor())
          // of what is not ordered yet, the pack of which a piece or litre costs least
          .thenComparing(proposal -> proposal.supply().price().tenThousandthsOfMinor())
          .thenComparing(proposal -> proposal.supply().supplier().name())
          .thenComparing(proposal -> proposal.item().id());

  private final Bands bands;
  private final Known known;
  private final Manner manner;

  /**
   * What the store knows of buying.
   *
   * @param supplies by item, who sells it
   * @param bins by item, what they hold
   * @param leadDays how long what was ordered took to come
   * @param neverCame of whom the last order of an item was cancelled before any of it came
   * @param manner how the store orders
   */
  public record Known(
      Map<ItemId, List<Supply>> supplies,
      Map<ItemId, List<ItemBin>> bins,
      Map<OrderRepository.Source, List<Integer>> leadDays,
      Set<OrderRepository.Source> neverCame,
      Manner manner) {

    public static Known load(Session session) {
      return new Known(
          session.supplies().all(),
          session.keeping().bins(),
          session.orders().leadDays(),
          session.orders().neverCame(),
          Manner.of(session));
    }

    /** The same with the bins of one place alone. */
    public Known at(Place place, Map<BinId, Place> places) {
      Map<ItemId, List<ItemBin>> there = new HashMap<>();
      bins.forEach(
          (item, its) ->
              there.put(
                  item,
                  its.stream().filter(bin -> place.equals(places.get(bin.binId()))).toList()));
      return new Known(supplies, there, leadDays, neverCame, manner);
    }

    /** The same with other lead times, of orders none of which was cancelled. */
    public Known learning(Map<OrderRepository.Source, List<Integer>> otherLeadDays) {
      return new Known(supplies, bins, otherLeadDays, Set.of(), manner);
    }
  }

  /**
   * How a store orders.
   *
   * @param criticality of everything; empty for each thing's own
   * @param coverDays for how long an order is to last
   */
  public record Manner(Optional<Criticality> criticality, int coverDays) {

    private static final int WEEK = 7;

    /** As the store does. */
    public static Manner of(Session session) {
      return new Manner(Optional.empty(), session.settings().coverWeeks() * WEEK);
    }
  }

  /** As the store orders. */
  public Proposals(Bands bands, Known known) {
    this(bands, known, known.manner());
  }

  public Proposals(Bands bands, Known known, Manner manner) {
    this.bands = bands;
    this.known = known;
    this.manner = manner;
  }

  /** By item, who sells it. */
  Map<ItemId, List<Supply>> supplies() {
    return known.supplies();
  }

  /** Empty if nobody supplies it, or it is not bought any more. */
  public Optional<Proposal> of(Subject subject) {
    List<Proposal> all = new ArrayList<>();
    for (Item item : subject.items()) {
      boolean isBought = item.keeping().retiredOn().isEmpty() && !item.keeping().runningOut();
      if (isBought) {
        known
            .supplies()
            .getOrDefault(item.id(), List.of())
            .forEach(supply -> all.add(proposal(subject, item, supply)));
      }
    }
    return all.stream().min(SOONEST_THEN_CHEAPEST);
  }

  private Proposal proposal(Subject subject, Item item, Supply supply) {
    OrderTerms terms =
        new OrderTerms(
            lead(item, supply.supplier()),
            supply.supplier().deliveries(),
            manner.criticality().orElse(item.keeping().criticality()),
            supply.prices(),
            supply.pack(),
            supply.least(),
            new OrderTerms.Room(least(subject), most(subject), item.keeping().shelfLifeDays()),
            manner.coverDays());
    Reordering reordering = bands.reordering(subject, terms, item.id());
    return new Proposal(
        subject, item, supply, terms, reordering, supply.costOf(reordering.amount()));
  }

  /** Learned from what came, or as quoted. */
  private LeadTime lead(Item item, Supplier supplier) {
    OrderRepository.Source source = new OrderRepository.Source(supplier.id(), item.id());
    LeadTime lead =
        LeadTime.of(known.leadDays().getOrDefault(source, List.of()), supplier.leadDays());
    return known.neverCame().contains(source) ? lead.thatNeverCame() : lead;
  }

  private Quantity least(Subject subject) {
    return subject.items().stream()
        .flatMap(item -> bins(item).stream())
        .map(ItemBin::least)
        .reduce(Quantity.zero(subject.free().measure()), Quantity::plus);
  }

  private List<ItemBin> bins(Item item) {
    return known.bins().getOrDefault(item.id(), List.of());
  }

  /** Several bins add up; a thing of which one pack has no bin may lie anywhere. */
  private Optional<Quantity> most(Subject subject) {
    boolean everyPackHasOne = subject.items().stream().noneMatch(item -> bins(item).isEmpty());
    return everyPackHasOne
        ? subject.items().stream()
            .flatMap(item -> bins(item).stream())
            .map(ItemBin::most)
            .reduce(Quantity::plus)
        : Optional.empty();
  }
}
