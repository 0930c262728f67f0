package dev.lonja.desk.tray;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.BroughtByHand;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.ledger.PackedIssue;
import dev.lonja.desk.ledger.Postings;
import dev.lonja.desk.meter.ReadingRefusal;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ReadingRepository;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.tray.Tray;
import dev.lonja.store.wanted.WantedRepository;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** One hand-over within its transaction: everything is judged before anything is written. */
final class HandOver {

  private final Session session;
  private final StoreClock clock;
  private final Tray tray;
  private final Sent sent;
  private final LocalDate today;
  private final FleetPicture fleet;
  private final TrayMachine machine;

  HandOver(Session session, StoreClock clock, Sent sent, Tray tray) {
    this.clock = clock;
    this.today = clock.today();
    this.session = session;
    this.tray = tray;
    this.sent = sent;
    this.fleet = FleetPicture.load(session, today);
    this.machine = TrayMachine.of(fleet, tray);
  }

  Outcome run(long version, String mechanic, Map<MeterId, MeterValue> shown) {
    List<Refusal> refusals = new ArrayList<>();
    if (tray.lines().stream().anyMatch(line -> !line.isSettled())
        || tray.lines().stream().noneMatch(line -> line.laid().isPositive())) {
      refusals.add(new TrayRefusal.NotAllLaid());
    }
    List<MeterStanding> meters = machine.meters();
    meters.forEach(meter -> judge(meter, shown).ifPresent(refusals::add));
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    if (!session.trays().handOver(tray.id(), version, mechanic, today)) {
      return Outcome.refused(new TrayRefusal.Changed());
    }
    Outcome issued = issueLines(mechanic);
    if (issued instanceof Outcome.Done) {
      meters.stream()
          .map(meter -> meter.file().meter().id())
          .filter(shown::containsKey)
          .forEach(id -> addReading(id, shown));
      wantWhatIsLeftOut();
    }
    return issued;
  }

  /** What goes out without a part has it wanted, unless something laid by hand brings it. */
  private void wantWhatIsLeftOut() {
    Map<ItemId, Quantity> brought =
        BroughtByHand.isOn(tray.lines())
            ? BroughtByHand.of(tray.lines(), session.boxes().ofStockedItems())
            : Map.of();
    Map<ItemId, Quantity> left = new HashMap<>(brought);
    for (TrayLine line : tray.lines()) {
      Quantity missing = line.wanted().minus(line.laid());
      if (line.leftOut().isPresent() && missing.isPositive()) {
        Quantity there = left.getOrDefault(line.askedItemId(), Quantity.zero(missing.measure()));
        Quantity rest = missing.minus(there).atLeastZero();
        left.put(line.askedItemId(), there.minus(missing).atLeastZero());
        if (rest.isPositive()) {
          want(line, rest);
        }
      }
    }
  }

  private void want(TrayLine line, Quantity rest) {
    session
        .wanted()
        .add(
            new WantedRepository.NewWanted(
                tray.unitId(),
                line.askedItemId(),
                rest,
                line.place(),
                line.destination(),
                Optional.empty(),
                new WantedRepository.Why.LeftOut(line)),
            sent.actor(),
            clock.now());
  }

  private Optional<ReadingRefusal> judge(MeterStanding meter, Map<MeterId, MeterValue> shown) {
    MeterId id = meter.file().meter().id();
    if (!shown.containsKey(id)) {
      return machine.countsByMeters()
          ? Optional.of(new ReadingRefusal.UnknownMeter(id))
          : Optional.empty();
    }
    JudgedReading judged =
        FleetPicture.judged(session, meter).trying(reading(shown.get(id))).judged();
    return judged.accepted()
        ? Optional.empty()
        : Optional.of(new ReadingRefusal.SetAside(id, judged));
  }

  private NewReading reading(MeterValue value) {
    return new NewReading(today, Optional.of(clock.now()), value);
  }

  private Outcome issueLines(String mechanic) {
    Posting posting = new Posting("", tray.number(), sent.key(), sent.actor(), clock.now());
    Map<StockKey, Quantity> heldElsewhere =
        session.placeStock().heldBesides(tray.id(), tray.place());
    Map<StockKey, Quantity> amounts = new TreeMap<>();
    for (TrayLine line : tray.lines()) {
      if (line.laid().isPositive()) {
        amounts.merge(line.stock(), line.laid(), Quantity::plus);
      }
    }
    int lineNo = 1;
    for (Map.Entry<StockKey, Quantity> amount : amounts.entrySet()) {
      Quantity none = Quantity.zero(amount.getValue().measure());
      Quantity held = heldElsewhere.getOrDefault(amount.getKey(), none);
      ItemStock stock = session.placeStock().of(amount.getKey(), tray.place());
      Booking booking = PackedIssue.of(session, stock, amount.getValue(), held, today);
      Outcome written = Postings.write(session, amount.getKey().itemId(), booking, posting, lineNo);
      if (written instanceof Outcome.Refused) {
        return written;
      }
      lineNo += ((Booking.Booked) booking).lines().size();
    }
    return Outcome.done();
  }

  private void addReading(MeterId meterId, Map<MeterId, MeterValue> shown) {
    session
        .readings()
        .add(
            meterId,
            reading(shown.get(meterId)),
            ReadingRepository.Source.HAND_OVER,
            sent.actor(),
            clock.now());
  }
}
