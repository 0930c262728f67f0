package dev.lonja.desk.tray;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.order.Coming;
import dev.lonja.core.order.Order;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Due;
import dev.lonja.core.service.DueRule;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.tray.TrayProgress;
import dev.lonja.core.wanted.Finding;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.clock.WorkingDays;
import dev.lonja.desk.crossref.Substitute;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.desk.order.NextDelivery;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.FreeStock;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SortedMap;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Answers what must leave the counter this week and what stands in the way. */
@Service
@Allowed.ToSeeStore
public class TodayDesk {

  /** A job that is out for longer is asked after. */
  private static final int MOST_DAYS_OUT = 3;

  private final LonjaStore store;
  private final StoreClock clock;

  public TodayDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * The rack, and the list beside it.
   *
   * @param longOut trays that were handed over more than three days ago and are not back
   * @param findings of which nobody has said what becomes of them
   * @param wanted parts on no tray that are needed by the last day of the rack
   * @param orders that are open, drafts too
   * @param outdated trays that nobody has begun to lay and whose service takes otherwise by now
   */
  public record Week(
      List<Shelf> shelves,
      List<ShortLine> shortLines,
      List<Late> late,
      List<MeterStanding> silent,
      List<Tray> longOut,
      List<Finding> findings,
      List<WantedNow> wanted,
      List<Tray> outdated,
      List<Order> orders) {

    public Stream<TraysDesk.OnRack> trays() {
      return shelves.stream().flatMap(shelf -> shelf.trays().stream());
    }
  }

  /**
   * One working day. What was for a day that is past, or falls on a day off, stands on the next.
   *
   * @param wishes planned occurrences whose tray has not been started
   */
  public record Shelf(LocalDate day, List<TraysDesk.OnRack> trays, List<Wish> wishes) {}

  /** A planned occurrence without a tray. */
  public record Wish(String unit, Occurrence occurrence) {}

  /**
   * A line that is short.
   *
   * @param wanted the day on whose shelf its tray stands
   * @param coming what brings it, if an open order does
   * @param elsewhere another place of the store that has it
   */
  public record ShortLine(
      Tray tray,
      TrayProgress.Step step,
      Item item,
      LocalDate wanted,
      Optional<Substitute> instead,
      Optional<Coming> coming,
      Optional<Elsewhere> elsewhere) {}

  /**
   * A wanted part.
   *
   * @param free what is usable and on no tray
   */
  public record WantedNow(WantedPart part, Item item, Quantity free) {

    /** True if it lies here and only has to be put on a tray. */
    public boolean isHere() {
      return free.compareTo(part.quantity()) >= 0;
    }
  }

  /** A unit with tasks that are overdue. */
  public record Late(Unit unit, List<Due> dues) {}

  @KeptAnswer
  public Week week() {
    return store.read(session -> new Page(session, clock.today()).week());
  }

  /** One page from one consistent state. */
  private static final class Page {
    private final Session session;
    private final LocalDate today;
    private final FleetPicture fleet;
    private final List<LocalDate> days;
    private final Map<Place, Map<StockKey, Quantity>> free;
    private final SortedMap<Place, String> names;
    private final List<TraysDesk.OnRack> trays = new ArrayList<>();
    private final List<UnitPlan> notStarted;
    private final List<Order> orders;
    private final NextDelivery deliveries;

    Page(Session session, LocalDate today) {
      this.session = session;
      this.today = today;
      this.fleet = FleetPicture.load(session, today);
      this.days = WorkingDays.from(today);
      LocalDate last = days.get(days.size() - 1);
      this.free = session.placeStock().free(today);
      this.names = session.places().names();
      this.orders = session.orders().open();
      this.deliveries = NextDelivery.of(orders);
      List<Tray> open = session.trays().open();
      for (Tray tray : open) {
        if (!tray.plannedOn().isAfter(last)) {
          trays.add(TraysDesk.OnRack.of(tray, free));
        }
      }
      this.notStarted = fleet.plans(last).stream().map(Page::withoutTrays).toList();
    }

    private static UnitPlan withoutTrays(UnitPlan plan) {
      return new UnitPlan(
          plan.unitId(),
          plan.unitCode(),
          plan.occurrences().stream().filter(o -> o.inHand().isEmpty()).toList(),
          plan.needs());
    }

    Week week() {
      return new Week(
          days.stream().map(this::shelf).toList(),
          trays.stream().flatMap(onRack -> shortLines(onRack).stream()).toList(),
          fleet.units().stream().flatMap(unit -> late(unit).stream()).toList(),
          fleet.meters().values().stream().filter(meter -> meter.isStale(today)).toList(),
          session.trays().out().stream().filter(this::isLongOut).toList(),
          session.findings().standing().stream()
              .filter(finding -> finding.state() == Finding.State.OPEN)
              .toList(),
          wanted(),
          outdated(),
          orders);
    }

    private List<Tray> outdated() {
      Kits kits = Kits.of(session, fleet);
      return trays.stream()
          .map(TraysDesk.OnRack::tray)
          .filter(
              tray -> TrayMaker.isOutdated(session, TrayMachine.of(fleet, tray), tray, () -> kits))
          .toList();
    }

    private List<WantedNow> wanted() {
      LocalDate last = days.get(days.size() - 1);
      List<WantedPart> now =
          session.wanted().open().stream()
              .filter(part -> !part.demandedOn(today).isAfter(last))
              .toList();
      Map<ItemId, Item> items =
          session.items().byIds(now.stream().map(WantedPart::itemId).toList());
      return now.stream()
          .map(
              part ->
                  new WantedNow(
                      part,
                      items.get(part.itemId()),
                      free.getOrDefault(placeOf(part), Map.of())
                          .getOrDefault(
                              StockKey.ofNew(part.itemId()),
                              Quantity.zero(part.quantity().measure()))))
          .toList();
    }

    /** Where the machine is served from that it is wanted for. */
    private Place placeOf(WantedPart part) {
      return fleet.units().stream()
          .filter(unit -> part.unit().filter(one -> one.id().equals(unit.id())).isPresent())
          .map(Unit::home)
          .findFirst()
          .orElse(Place.MAIN);
    }

    private boolean isLongOut(Tray tray) {
      return tray.handedOverOn().filter(today.minusDays(MOST_DAYS_OUT)::isAfter).isPresent();
    }

    private Shelf shelf(LocalDate day) {
      return new Shelf(
          day,
          trays.stream().filter(onRack -> shelfFor(onRack.tray().plannedOn()).equals(day)).toList(),
          notStarted.stream()
              .flatMap(
                  unit ->
                      unit.occurrences().stream()
                          .filter(occurrence -> shelfFor(occurrence.date()).equals(day))
                          .map(occurrence -> new Wish(unit.unitCode(), occurrence)))
              .toList());
    }

    private LocalDate shelfFor(LocalDate day) {
      return days.stream()
          .filter(d -> !d.isBefore(day))
          .findFirst()
          .orElse(days.get(days.size() - 1));
    }

    private List<ShortLine> shortLines(TraysDesk.OnRack onRack) {
      Tray tray = onRack.tray();
      List<TrayProgress.Step> lacking =
          onRack.progress().steps().stream()
              .filter(step -> step.state() == TrayProgress.LineState.SHORT)
              .toList();
      Map<ItemId, Item> items =
          session.items().byIds(lacking.stream().map(step -> step.line().itemId()).toList());
      return lacking.stream()
          .map(
              step ->
                  new ShortLine(
                      tray,
                      step,
                      items.get(step.line().itemId()),
                      shelfFor(tray.plannedOn()),
                      Substitute.of(
                          session,
                          FreeStock.at(free.getOrDefault(tray.place(), Map.of())),
                          TrayMachine.of(fleet, tray).needs(),
                          step.line(),
                          step.lacking()),
                      deliveries.of(items.get(step.line().itemId())),
                      Elsewhere.of(
                          names, free, tray.place(), step, items.get(step.line().itemId()))))
          .toList();
    }

    private Optional<Late> late(Unit unit) {
      List<Due> dues =
          fleet.tasks(unit.id()).stream()
              .filter(standing -> !fleet.isOut(unit.id(), standing.task().id()))
              .map(standing -> DueRule.due(standing, today, today))
              .filter(Due::isOverdue)
              .toList();
      return dues.isEmpty() ? Optional.empty() : Optional.of(new Late(unit, dues));
    }
  }
}
