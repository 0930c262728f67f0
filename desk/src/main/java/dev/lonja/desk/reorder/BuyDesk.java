package dev.lonja.desk.reorder;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.order.OrderAmount;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.reorder.Lasting;
import dev.lonja.core.reorder.Position;
import dev.lonja.core.reorder.Reordering;
import dev.lonja.core.supplier.Supplier;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.forecast.Bands;
import dev.lonja.desk.forecast.Drawn;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.forecast.Trials;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Answers what is to be ordered, from whom, by when and how much. */
@Service
@Allowed.ToSeeStore
public class BuyDesk {

  private static final Comparator<Proposal> MOST_URGENT_FIRST =
      Comparator.comparing((Proposal proposal) -> !proposal.reordering().isLate())
          .thenComparing(proposal -> proposal.reordering().orderBy().orElse(LocalDate.MAX))
          .thenComparing(proposal -> proposal.item().number());

  private final LonjaStore store;
  private final StoreClock clock;
  private final Trials trials;
  private final LastProposals proposals;

  BuyDesk(LonjaStore store, StoreClock clock, Trials trials, LastProposals proposals) {
    this.store = store;
    this.clock = clock;
    this.trials = trials;
    this.proposals = proposals;
  }

  /**
   * What is proposed.
   *
   * @param drawn the trials on which it rests; without any nothing is proposed
   * @param bySupplier what is due, by supplier in order of their names
   * @param later what is not due yet, of which an order is wanted within the trials
   * @param instead of which something else is used up first, so that nothing is due
   * @param nobodySells what falls short and nobody supplies
   */
  public record Wanted(
      Drawn drawn,
      Map<Supplier, List<Line>> bySupplier,
      List<Proposal> later,
      List<Proposal> instead,
      List<Subject> nobodySells) {}

  /** What is proposed by the newest trials there are. */
  public Wanted wanted() {
    Drawn drawn = trials.drawn();
    LocalDate today = clock.today();
    Optional<Bands> bands = drawn.of(today);
    List<Proposal> due = new ArrayList<>();
    List<Proposal> later = new ArrayList<>();
    List<Proposal> instead = new ArrayList<>();
    List<Subject> nobodySells = new ArrayList<>();
    if (bands.isPresent()) {
      proposals
          .by(bands.get())
          .forEach(
              (subject, proposal) -> {
                if (proposal.filter(Proposal::isDue).isPresent()) {
                  due.add(proposal.get());
                } else if (proposal.filter(p -> !p.usedFirst().isEmpty()).isPresent()) {
                  instead.add(proposal.get());
                } else if (proposal.flatMap(p -> p.reordering().orderBy()).isPresent()) {
                  later.add(proposal.get());
                } else if (proposal.isEmpty() && subject.cover().shortOn().isPresent()) {
                  nobodySells.add(subject);
                }
              });
    }
    later.sort((a, b) -> day(a).compareTo(day(b)));
    Map<Supplier, List<Line>> lines = new LinkedHashMap<>();
    FreightFilling filling = new FreightFilling(today);
    bySupplier(due)
        .forEach(
            (supplier, its) ->
                lines.put(
                    supplier, lines(bands.orElseThrow(), its, filling.of(supplier, its, later))));
    return new Wanted(drawn, lines, later, instead, nobodySells);
  }

  /** What is due, raised where it is brought forward, and behind it what else is. */
  private static List<Line> lines(
      Bands bands, List<Proposal> due, Map<Proposal, BroughtForward> brought) {
    Stream<Proposal> along = brought.keySet().stream().filter(proposal -> !due.contains(proposal));
    return Stream.concat(due.stream(), along)
        .flatMap(
            proposal ->
                brought.containsKey(proposal)
                    ? Stream.of(
                        line(bands, proposal.inOnePack(), Optional.of(brought.get(proposal))))
                    : packs(proposal).map(pack -> line(bands, pack, Optional.empty())))
        .toList();
  }

  /** A line for each kind of pack. */
  private static Stream<Proposal> packs(Proposal proposal) {
    return proposal
        .mix()
        .map(mix -> mix.parts().stream().map(proposal::of))
        .orElse(Stream.of(proposal));
  }

  private static Line line(Bands bands, Proposal proposal, Optional<BroughtForward> brought) {
    Quantity amount =
        proposal.isDue() ? proposal.amount() : Quantity.zero(proposal.subject().free().measure());
    Quantity all = brought.map(BroughtForward::more).map(amount::plus).orElse(amount);
    return line(bands, proposal, all.amount()).bringing(brought);
  }

  /**
   * What is late to order or has its last day within a week, the most urgent first; nothing before
   * any trials are drawn, for which nobody waits.
   */
  public List<Proposal> dueThisWeek() {
    LocalDate last = clock.today().plusDays(Reordering.REVIEW_DAYS - 1L);
    return trials.known().of(clock.today()).map(proposals::by).orElse(Map.of()).values().stream()
        .flatMap(Optional::stream)
        .filter(
            proposal ->
                proposal.reordering().isLate()
                    || proposal
                        .reordering()
                        .orderBy()
                        .filter(day -> !day.isAfter(last))
                        .isPresent())
        .filter(proposal -> proposal.reordering().amount().isPositive())
        .sorted(MOST_URGENT_FIRST)
        .toList();
  }

  private static LocalDate day(Proposal proposal) {
    return proposal.reordering().orderBy().orElseThrow();
  }

  private static Map<Supplier, List<Proposal>> bySupplier(List<Proposal> due) {
    Map<String, List<Proposal>> byName = new TreeMap<>();
    due.forEach(
        proposal ->
            byName
                .computeIfAbsent(proposal.supply().supplier().name(), name -> new ArrayList<>())
                .add(proposal));
    Map<Supplier, List<Proposal>> bySupplier = new LinkedHashMap<>();
    byName
        .values()
        .forEach(
            its -> {
              its.sort(MOST_URGENT_FIRST);
              bySupplier.put(its.get(0).supply().supplier(), its);
            });
    return bySupplier;
  }

  /**
   * So much of one thing, the amount proposed or another, and what that means.
   *
   * @param until the last day on which it lasts in as many cases as the criticality asks for; empty
   *     if that lies beyond the trials
   * @param problem why so much cannot be ordered, if it cannot
   * @param brought what of it is ordered before its time
   */
  public record Line(
      Proposal proposal,
      Quantity amount,
      Optional<LocalDate> until,
      Optional<OrderAmount> problem,
      Money cost,
      Optional<BroughtForward> brought) {

    Line bringing(Optional<BroughtForward> forward) {
      return new Line(proposal, amount, until, problem, cost, forward);
    }
  }

  /**
   * What another amount would mean; empty before any trials are drawn, or if nobody supplies it.
   *
   * @param amount in the item's measure, zero or more
   */
  public Optional<Line> instead(ItemId item, BigDecimal amount) {
    return trials
        .drawn()
        .of(clock.today())
        .flatMap(bands -> of(bands, item).map(proposal -> line(bands, proposal, amount)));
  }

  private static Line line(Bands bands, Proposal proposal, BigDecimal amount) {
    Subject subject = proposal.subject();
    Quantity quantity = Quantity.of(subject.free().measure(), amount);
    return new Line(
        proposal,
        quantity,
        Lasting.until(
            bands.of(subject),
            new Position(subject.free(), subject.coming()),
            quantity.isZero()
                ? quantity
                : proposal
                    .mix()
                    .map(mix -> quantity.plus(mix.beside(proposal.item())))
                    .orElse(quantity),
            proposal.reordering().timing().arrival(),
            proposal.terms().criticality().service()),
        quantity.isZero()
            ? Optional.empty()
            : OrderAmount.problem(quantity, proposal.supply().pack(), proposal.supply().least()),
        proposal.supply().costOf(quantity),
        Optional.empty());
  }

  /**
   * At how much more of some things is to be ordered, in all packs of a fluid; what nobody supplies
   * is absent, and everything before any trials are drawn.
   */
  public Map<ItemId, Quantity> levels(Collection<ItemId> items) {
    return trials
        .drawn()
        .of(clock.today())
        .map(bands -> store.read(session -> levels(session, bands, items)))
        .orElse(Map.of());
  }

  private Map<ItemId, Quantity> levels(Session session, Bands bands, Collection<ItemId> items) {
    Forecast forecast = Forecast.load(session, clock.today(), Trials.WEEKS);
    Proposals proposals = new Proposals(bands, Proposals.Known.load(session));
    Map<ItemId, Quantity> levels = new HashMap<>();
    for (ItemId item : items) {
      forecast
          .subjectOf(item)
          .flatMap(proposals::of)
          .ifPresent(proposal -> levels.put(item, proposal.reordering().level()));
    }
    return levels;
  }

  /** What is proposed of one thing; empty before any trials are drawn, or if nobody supplies it. */
  public Optional<Proposal> of(ItemId item) {
    return trials.drawn().of(clock.today()).flatMap(bands -> of(bands, item));
  }

  private Optional<Proposal> of(Bands bands, ItemId item) {
    return proposals.by(bands).entrySet().stream()
        .filter(one -> one.getKey().items().stream().anyMatch(its -> its.id().equals(item)))
        .findFirst()
        .flatMap(Map.Entry::getValue)
        .map(proposal -> pack(proposal, item));
  }

  /** The pack that is asked about, if the proposal has it. */
  private static Proposal pack(Proposal proposal, ItemId item) {
    return packs(proposal).filter(one -> one.item().id().equals(item)).findFirst().orElse(proposal);
  }
}
