package dev.lonja.desk.wanted;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.wanted.Finding;
import dev.lonja.core.wanted.FindingId;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.core.wanted.WantedPartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.find.ScannedItems;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.tray.ByHand;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.tray.Tray;
import dev.lonja.store.wanted.WantedRepository;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * What was found wrong with machines and what is wanted by itself. The workshop notes findings and
 * asks for parts; the store says what becomes of them.
 */
@Service
@Allowed.ToSeeMachines
public class WantedDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final OnceOnly once;

  public WantedDesk(LonjaStore store, StoreClock clock, OnceOnly once) {
    this.store = store;
    this.clock = clock;
    this.once = once;
  }

  /**
   * What is open.
   *
   * @param findings that are not closed, the latest first
   * @param parts on no tray, what is needed first in front
   * @param trays that are open, so that a part may be put on the one for its machine
   */
  public record Board(List<Finding> findings, List<Open> parts, List<Tray> trays) {}

  /**
   * A wanted part that is on no tray.
   *
   * @param free what is usable and on no tray
   */
  public record Open(WantedPart part, Item item, Quantity free) {}

  /** Of all machines and of the workshop itself. */
  public Board board() {
    return store.read(
        session -> board(session, session.findings().standing(), session.wanted().open()));
  }

  /** Of one machine, with what is closed; empty for a unit that is not in service. */
  public Optional<Board> boardOf(String unitCode) {
    return store.read(
        session ->
            unit(session, unitCode)
                .map(
                    unit ->
                        board(
                            session,
                            session.findings().ofUnit(unit.id()),
                            session.wanted().openOf(unit.id()))));
  }

  private Board board(Session session, List<Finding> findings, List<WantedPart> parts) {
    Map<ItemId, Item> items =
        session.items().byIds(parts.stream().map(WantedPart::itemId).collect(Collectors.toSet()));
    Map<Place, Map<StockKey, Quantity>> free = session.placeStock().free(clock.today());
    Map<UnitId, Place> homes =
        FleetPicture.load(session, clock.today()).units().stream()
            .collect(Collectors.toMap(Unit::id, Unit::home));
    return new Board(
        findings,
        parts.stream()
            .map(
                part ->
                    new Open(
                        part,
                        items.get(part.itemId()),
                        free.getOrDefault(
                                part.unit()
                                    .map(WantedPart.ForUnit::id)
                                    .map(homes::get)
                                    .orElse(Place.MAIN),
                                Map.of())
                            .getOrDefault(
                                StockKey.ofNew(part.itemId()),
                                Quantity.zero(part.quantity().measure()))))
            .toList(),
        session.trays().open());
  }

  private Optional<Unit> unit(Session session, String code) {
    return FleetPicture.load(session, clock.today()).units().stream()
        .filter(unit -> unit.code().equalsIgnoreCase(code))
        .findFirst();
  }

  /** Lets those in who may note findings and ask for parts. */
  @Allowed.ToAskForParts
  public void admit() {
    // the grant is the work
  }

  /** Notes what was found wrong with a machine. */
  @Allowed.ToAskForParts
  public Outcome note(Sent sent, String unitCode, String words, LocalDate foundOn) {
    return once.run(
        sent,
        session -> {
          Optional<Unit> unit = unit(session, unitCode);
          if (unit.isEmpty()) {
            return Outcome.refused(new WantedRefusal.UnknownUnit(unitCode));
          }
          LocalDate first = unit.get().inServiceOn();
          if (foundOn.isBefore(first) || foundOn.isAfter(clock.today())) {
            return Outcome.refused(new WantedRefusal.OutsideService(foundOn, first, clock.today()));
          }
          session
              .findings()
              .add(unit.get().id(), words, foundOn, Optional.empty(), sent.actor(), clock.now());
          return Outcome.done();
        });
  }

  /**
   * Says what becomes of a finding.
   *
   * @param state other than {@code WANTED}, which {@link #want} makes it
   * @param why what is watched, or why it is closed; empty where it is opened again
   */
  @Allowed.ToKeepStore
  public Outcome settle(Sent sent, FindingId id, Finding.State state, String why) {
    return once.run(
        sent,
        session -> {
          Optional<Finding> finding = session.findings().byId(id);
          if (finding.isEmpty()
              || !finding.get().state().mayBecome(state)
              || !session.findings().set(finding.get(), state, why)) {
            return Outcome.refused(new WantedRefusal.NotNow(state));
          }
          audit(session, sent, finding.get(), state, why);
          return Outcome.done();
        });
  }

  private void audit(Session session, Sent sent, Finding finding, Finding.State state, String why) {
    session
        .audit()
        .add(
            sent.line(
                clock.now(),
                Matter.FINDING,
                finding.unitCode() + ": " + finding.words(),
                Deed.EDITED,
                Facts.of("state", finding.state()).with("why", finding.why()),
                Facts.of("state", state).with("why", why)));
  }

  /**
   * A part that somebody wants.
   *
   * @param code its number or barcode
   * @param amount in the item's measure
   * @param neededOn none is as soon as can be
   * @param why what it is for; empty for a finding, which says so itself
   */
  public record Wish(String code, BigDecimal amount, Optional<LocalDate> neededOn, String why) {}

  /** Wants a part for a finding. */
  @Allowed.ToKeepStore
  public Outcome want(Sent sent, FindingId id, Wish wish) {
    return once.run(
        sent,
        session -> {
          Optional<Finding> finding = session.findings().byId(id);
          Finding.State next = Finding.State.WANTED;
          if (finding.isEmpty()
              || !finding.get().state().mayBecome(next)
              || !session.findings().set(finding.get(), next, "")) {
            return Outcome.refused(new WantedRefusal.NotNow(next));
          }
          audit(session, sent, finding.get(), next, "");
          return add(
              session,
              sent,
              unit(session, finding.get().unitCode()),
              wish,
              new WantedRepository.Why.OfFinding(id));
        });
  }

  /** What the item of a number is counted in; pieces where that leads to no one item. */
  @Allowed.ToAskForParts
  public Measure measure(String code) {
    List<Item> items = store.read(session -> ScannedItems.of(session, code));
    return items.size() == 1 ? items.get(0).measure() : Measure.PIECES;
  }

  /**
   * Asks for a part.
   *
   * @param unitCode of the machine it is for; none for what the workshop itself uses
   */
  @Allowed.ToAskForParts
  public Outcome ask(Sent sent, Optional<String> unitCode, Wish wish) {
    return once.run(
        sent,
        session -> {
          Optional<Unit> unit = unitCode.flatMap(code -> unit(session, code));
          return unit.isPresent() == unitCode.isPresent()
              ? add(session, sent, unit, wish, new WantedRepository.Why.Asked(wish.why()))
              : Outcome.refused(new WantedRefusal.UnknownUnit(unitCode.orElseThrow()));
        });
  }

  private Outcome add(
      Session session, Sent sent, Optional<Unit> unit, Wish wish, WantedRepository.Why why) {
    List<Item> items = ScannedItems.of(session, wish.code());
    if (items.isEmpty()) {
      return Outcome.refused(new WantedRefusal.UnknownNumber(wish.code()));
    }
    if (items.size() > 1) {
      return Outcome.refused(new WantedRefusal.SeveralMakes(wish.code(), items));
    }
    Item item = items.get(0);
    Quantity quantity = Quantity.of(item.measure(), wish.amount());
    List<Refusal> refusals = new ArrayList<>();
    if (!quantity.isPositive() || !quantity.isCountable()) {
      refusals.add(new WantedRefusal.BadQuantity(quantity));
    }
    LocalDate last = FleetPicture.load(session, clock.today()).horizon();
    wish.neededOn()
        .filter(day -> day.isBefore(clock.today()) || day.isAfter(last))
        .map(day -> new WantedRefusal.NeededOutside(day, clock.today(), last))
        .ifPresent(refusals::add);
    unit.flatMap(u -> judge(session, u, item, wish.why())).ifPresent(refusals::add);
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    session
        .wanted()
        .add(
            new WantedRepository.NewWanted(
                unit.map(Unit::id),
                item.id(),
                quantity,
                ByHand.place(item),
                Destination.NONE,
                wish.neededOn(),
                why),
            sent.actor(),
            clock.now());
    return Outcome.done();
  }

  private Optional<? extends Refusal> judge(Session session, Unit unit, Item item, String why) {
    return new ByHand(
            session,
            clock.today(),
            unit.code(),
            FleetPicture.load(session, clock.today()).needs(unit.id()))
        .objection(item, ByHand.Said.why(why));
  }

  /** Nobody wants a part any more. */
  @Allowed.ToKeepStore
  public Outcome drop(Sent sent, WantedPartId id, String why) {
    return once.run(
        sent,
        session -> {
          Optional<WantedPart> part = session.wanted().open(id);
          if (part.isEmpty() || !session.wanted().drop(id, why)) {
            return Outcome.refused(new WantedRefusal.NotOpen());
          }
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.WANTED_PART,
                      session.items().byId(part.get().itemId()).orElseThrow().number(),
                      Deed.EDITED,
                      Facts.of("wanted", part.get().quantity().exactText()),
                      Facts.of("dropped", why)));
          return Outcome.done();
        });
  }
}
