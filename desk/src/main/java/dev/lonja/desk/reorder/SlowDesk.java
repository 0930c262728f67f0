package dev.lonja.desk.reorder;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.Family;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.reorder.SlowStock;
import dev.lonja.core.supplier.Supply;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.forecast.Trials;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/** Answers what lies on the shelves for longer than it should. */
@Service
@Allowed.ToSeeStore
public class SlowDesk {

  private static final Set<Family> NAMED_BY_NONE =
      EnumSet.of(Family.CONSUMABLE, Family.KIT, Family.HOSE_CLIP, Family.BULB, Family.GREASE);

  private final LonjaStore store;
  private final StoreClock clock;

  SlowDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * Something that lies too long.
   *
   * @param worth of the surplus, at what it cost
   * @param sellers who might take it back, by name
   */
  public record Lying(Subject subject, SlowStock slow, Money worth, List<String> sellers) {}

  /** What lies too long, the dearest first. */
  @KeptAnswer
  public List<Lying> lying() {
    return store.read(this::lying);
  }

  private List<Lying> lying(Session session) {
    List<Subject> subjects =
        Forecast.load(session, clock.today(), Trials.WEEKS).subjects().stream()
            .filter(subject -> subject.free().isPositive())
            .toList();
    Map<ItemId, UnitPrice> averages =
        session
            .ledger()
            .averages(subjects.stream().flatMap(s -> s.items().stream()).map(Item::id).toList());
    Map<ItemId, List<Supply>> supplies = session.supplies().all();
    Set<ItemId> named = session.itemUsers().items(clock.today());
    List<Lying> lying = new ArrayList<>();
    for (Subject subject : subjects) {
      // what is expected to be used is taken, whoever takes it
      boolean taken =
          subject.cover().needed().isPositive()
              || subject.items().stream().anyMatch(item -> isTaken(named, item));
      SlowStock.of(subject.free(), subject.cover().needed(), taken)
          .map(slow -> lying(session, subject, slow, averages, supplies))
          .ifPresent(lying::add);
    }
    lying.sort(
        Comparator.comparing((Lying one) -> -one.worth().minor())
            .thenComparing(one -> one.subject().lead().id()));
    return lying;
  }

  /** What goes on no position, as gloves and kits, no machine could name. */
  private static boolean isTaken(Set<ItemId> named, Item item) {
    return NAMED_BY_NONE.contains(item.family()) || named.contains(item.id());
  }

  private static Lying lying(
      Session session,
      Subject subject,
      SlowStock slow,
      Map<ItemId, UnitPrice> averages,
      Map<ItemId, List<Supply>> supplies) {
    Money none = Money.zero(session.settings().currency());
    Money worth =
        Optional.ofNullable(averages.get(subject.lead().id()))
            .map(price -> price.valueOf(slow.surplus()))
            .orElse(none);
    List<String> sellers =
        subject.items().stream()
            .flatMap(item -> supplies.getOrDefault(item.id(), List.of()).stream())
            .map(supply -> supply.supplier().name())
            .distinct()
            .sorted()
            .toList();
    return new Lying(subject, slow, worth, sellers);
  }
}
