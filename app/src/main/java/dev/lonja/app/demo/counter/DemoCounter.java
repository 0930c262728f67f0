package dev.lonja.app.demo.counter;

import dev.lonja.app.demo.master.DemoMaster;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.core.wanted.Finding;
import dev.lonja.core.wanted.FindingId;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.desk.item.PictureMaker;
import dev.lonja.desk.ledger.PackedIssue;
import dev.lonja.desk.ledger.Salvage;
import dev.lonja.desk.tray.ByHand;
import dev.lonja.desk.tray.TrayMaker;
import dev.lonja.store.Session;
import dev.lonja.store.item.KeepingRepository.Picture;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.request.RequestLog;
import dev.lonja.store.service.ReceiptRepository;
import dev.lonja.store.tray.Tray;
import dev.lonja.store.wanted.WantedRepository;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Optional;

/** Lays, hands over and takes back what the last two weeks brought, in order of the days. */
public final class DemoCounter {

  private static final String KEEPER = "storekeeper";
  private static final String MECHANIC = "workshop";

  private final Session session;
  private final LocalDate today;
  private final DemoMaster master;
  private int requests;

  public DemoCounter(Session session, LocalDate today, DemoMaster master) {
    this.session = session;
    this.today = today;
    this.master = master;
  }

  /** Everything, the oldest first. */
  public void open() {
    Job van = planned("VN-6", 9).layAll();
    van.leaveOut("OR 68×3 NBR", "came too small, sent back");
    van.handOver();
    van.back().found("rear door seal torn");
    Job put = planned("PW-3", 8);
    session.trays().clear(put.tray(), put.version());
    Job pump = unplanned("WB-5", 6, TrayPurpose.BREAKDOWN, "bilge pump hose burst");
    pump.with("HC 16-25", 2).handOver();
    FindingId hose = pump.back().found("hose beside it is hard and cracked");
    settle(hose, Finding.State.WANTED, "");
    want(unit("WB-5").id(), "HC 12-16", 2, new WantedRepository.Why.OfFinding(hose));
    planned("AT-4", 5).layAll().handOver();
    settle(
        planned("FL-4", 3).layAll().handOver().back().found("mast chain slack on the left"),
        Finding.State.WATCHED,
        "measured at every 250 h service");
    Job rags = unplanned("", 2, TrayPurpose.SUPPLIES, "rags for the wash bay");
    rags.with("GLV L", 1).handOver();
    rags.back();
    planned("FL-6", 1).layAll().handOver();
    want(
        unit("RT-10").id(),
        "HC 16-25",
        2,
        new WantedRepository.Why.Asked("clips of the heater hose are rusty"));
    keep("OS Z09", 2, LotCondition.USED_GOOD, "PW-3", 8);
    keep("OS 330", 1, LotCondition.TO_RECONDITION, "AT-2", 12);
    keepReceipt("RT-01", 45, "North yard, brake test, receipt 4711");
  }

  /** A part that came off and is good for something. */
  private void keep(String number, int pieces, LotCondition condition, String unit, int daysBack) {
    Item item = session.items().byId(master.item(number)).orElseThrow();
    LocalDate day = today.minusDays(daysBack);
    Salvage salvage =
        new Salvage(
            item,
            condition,
            Quantity.pieces(pieces),
            item.homeBin().id(),
            unit,
            day,
            Money.zero(session.settings().currency()));
    write(salvage.booking(session), "came off at the service", "", DemoMaster.morning(day));
  }

  private void write(Booking booking, String reason, String reference, Instant at) {
    if (!(booking instanceof Booking.Booked booked)) {
      throw new IllegalStateException("the demo's booking was refused: " + booking);
    }
    String key = String.format("demo-tray-%05d", ++requests);
    session
        .requests()
        .add(key, new RequestLog.Entry(RequestLog.hash(key), ""), KEEPER, RequestLog.Times.at(at));
    session.ledger().append(booked.lines(), new Posting(reason, reference, key, KEEPER, at), 1);
  }

  private void keepReceipt(String code, int daysBack, String note) {
    LocalDate day = today.minusDays(daysBack);
    Picture photo = PictureMaker.anew(DemoReceipt.photo()).orElseThrow();
    session
        .receipts()
        .add(
            unit(code).id(),
            day,
            note,
            new ReceiptRepository.Content(photo.mediaType(), photo.content()),
            KEEPER,
            DemoMaster.morning(day));
  }

  private void settle(FindingId id, Finding.State state, String why) {
    Finding finding = session.findings().byId(id).orElseThrow();
    session.findings().set(finding, state, why);
  }

  private void want(UnitId unit, String number, int pieces, WantedRepository.Why why) {
    Item item = session.items().byId(master.item(number)).orElseThrow();
    session
        .wanted()
        .add(
            new WantedRepository.NewWanted(
                Optional.of(unit),
                item.id(),
                Quantity.pieces(pieces),
                ByHand.place(item),
                Destination.NONE,
                Optional.of(today.plusDays(2)),
                why),
            MECHANIC,
            DemoMaster.morning(today.minusDays(1)));
  }

  private Unit unit(String code) {
    return FleetPicture.load(session, today).units().stream()
        .filter(unit -> unit.code().equals(code))
        .findFirst()
        .orElseThrow();
  }

  /** The tray of what is next for a unit, done before its day. */
  private Job planned(String code, int daysBack) {
    FleetPicture fleet = FleetPicture.load(session, today);
    Unit unit = unit(code);
    Occurrence next = fleet.planOf(unit, fleet.horizon()).occurrences().get(0);
    LocalDate day = today.minusDays(daysBack);
    TrayId tray =
        TrayMaker.start(
            session,
            fleet.planOf(unit, fleet.horizon()),
            new Occurrence(day, next.tasks()),
            Kits.of(session, fleet));
    return new Job(tray, Optional.of(unit), day);
  }

  private Job unplanned(String code, int daysBack, TrayPurpose purpose, String title) {
    LocalDate day = today.minusDays(daysBack);
    Optional<Unit> unit = code.isEmpty() ? Optional.empty() : Optional.of(unit(code));
    return new Job(session.trays().add(unit.map(Unit::id), purpose, title, day), unit, day);
  }

  /** A tray on its day. */
  private final class Job {
    private final TrayId tray;
    private final Optional<Unit> unit;
    private final LocalDate day;

    Job(TrayId tray, Optional<Unit> unit, LocalDate day) {
      this.tray = tray;
      this.unit = unit;
      this.day = day;
    }

    TrayId tray() {
      return tray;
    }

    private Tray now() {
      return session.trays().byId(tray).orElseThrow();
    }

    long version() {
      return now().version();
    }

    private Instant at() {
      return DemoMaster.morning(day);
    }

    Job with(String number, int pieces) {
      Item item = session.items().byId(master.item(number)).orElseThrow();
      long line =
          session
              .trayLines()
              .addLine(
                  tray,
                  item.id(),
                  ByHand.place(item),
                  new LineReason.ByHand(""),
                  Quantity.pieces(pieces),
                  Destination.NONE);
      session.trayLines().setLaid(line, Quantity.pieces(pieces));
      return this;
    }

    /** What the shelf cannot fill is left out. */
    Job layAll() {
      for (TrayLine line : now().lines()) {
        Quantity free =
            session
                .ledger()
                .free(today)
                .getOrDefault(line.itemId(), Quantity.zero(line.wanted().measure()));
        if (line.wanted().compareTo(free) <= 0) {
          session.trayLines().setLaid(line.id(), line.wanted());
        } else {
          session.trayLines().setLeftOut(line.id(), Optional.of("none on the shelf"));
        }
      }
      return this;
    }

    void leaveOut(String number, String why) {
      ItemId item = master.item(number);
      for (TrayLine line : now().lines()) {
        if (line.itemId().equals(item)) {
          session.trayLines().setLaid(line.id(), Quantity.zero(line.wanted().measure()));
          session.trayLines().setLeftOut(line.id(), Optional.of(why));
        }
      }
    }

    Job handOver() {
      new PastJob(session, now(), day).readMeters();
      session.trays().handOver(tray, version(), MECHANIC, day);
      for (TrayLine line : now().lines()) {
        if (line.laid().isPositive()) {
          issue(line.itemId(), line.laid());
        }
        if (line.leftOut().isPresent()) {
          session
              .wanted()
              .add(
                  new WantedRepository.NewWanted(
                      unit.map(Unit::id),
                      line.askedItemId(),
                      line.wanted().minus(line.laid()),
                      line.place(),
                      line.destination(),
                      Optional.empty(),
                      new WantedRepository.Why.LeftOut(line)),
                  KEEPER,
                  at());
        }
      }
      return this;
    }

    private void issue(ItemId item, Quantity amount) {
      Quantity none = Quantity.zero(amount.measure());
      write(
          PackedIssue.of(
              session,
              session.placeStock().of(StockKey.ofNew(item), now().place()),
              amount,
              none,
              today),
          "",
          now().number(),
          at());
    }

    Job back() {
      session.trays().takeBack(tray, version(), day);
      new PastJob(session, now(), day).record();
      return this;
    }

    FindingId found(String words) {
      return session
          .findings()
          .add(unit.orElseThrow().id(), words, day, Optional.of(tray), MECHANIC, at());
    }
  }
}
