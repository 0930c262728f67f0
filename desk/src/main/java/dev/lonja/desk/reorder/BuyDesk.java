package dev.lonja.desk.reorder;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemBin;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.item.Supplier;
import dev.lonja.core.item.Supply;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.forecast.AheadDesk;
import dev.lonja.desk.forecast.Bands;
import dev.lonja.desk.forecast.Drawn;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.forecast.Trials;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
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

  BuyDesk(LonjaStore store, StoreClock clock, Trials trials) {
    this.store = store;
    this.clock = clock;
    this.trials = trials;
  }

  /**
   * What is proposed.
   *
   * @param drawn the trials on which it rests; without any nothing is proposed
   * @param bySupplier what is due, by supplier in order of their names
   * @param later what is not due yet, of which an order is wanted within the trials
   * @param nobodySells what falls short and nobody supplies
   */
  public record Wanted(
      Drawn drawn,
      Map<Supplier, List<Proposal>> bySupplier,
      List<Proposal> later,
      List<Subject> nobodySells) {}

  /** What is proposed by the newest trials there are. */
  public Wanted wanted() {
    Drawn drawn = trials.drawn();
    return store.read(session -> wanted(session, drawn));
  }

  private Wanted wanted(Session session, Drawn drawn) {
    LocalDate today = clock.today();
    Optional<Bands> bands = drawn.of(today);
    List<Proposal> due = new ArrayList<>();
    List<Proposal> later = new ArrayList<>();
    List<Subject> nobodySells = new ArrayList<>();
    if (bands.isPresent()) {
      Forecast forecast = Forecast.load(session, today, AheadDesk.WEEKS);
      Proposals proposals = proposals(session, bands.get());
      for (Subject subject : forecast.subjects()) {
        Optional<Proposal> proposal = proposals.of(subject);
        if (proposal.filter(Proposal::isDue).isPresent()) {
          due.add(proposal.get());
        } else if (proposal.flatMap(p -> p.reordering().orderBy()).isPresent()) {
          later.add(proposal.get());
        } else if (proposal.isEmpty() && subject.cover().shortOn().isPresent()) {
          nobodySells.add(subject);
        }
      }
    }
    later.sort((a, b) -> day(a).compareTo(day(b)));
    return new Wanted(drawn, bySupplier(due), later, nobodySells);
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

  /** What is proposed of one thing; empty before any trials are drawn, or if nobody supplies it. */
  public Optional<Proposal> of(Subject subject) {
    return trials
        .drawn()
        .of(clock.today())
        .flatMap(bands -> store.read(session -> proposals(session, bands).of(subject)));
  }

  private static Proposals proposals(Session session, Bands bands) {
    Map<Item, List<Supply>> supplies = new HashMap<>();
    Map<Item, List<ItemBin>> bins = new HashMap<>();
    Map<ItemId, List<Supply>> sold = session.keeping().supplies(session.settings().currency());
    Map<ItemId, List<ItemBin>> held = session.keeping().bins();
    for (Item item : session.items().all()) {
      supplies.put(item, sold.getOrDefault(item.id(), List.of()));
      bins.put(item, held.getOrDefault(item.id(), List.of()));
    }
    return new Proposals(bands, supplies, bins);
  }
}
