package dev.lonja.app.demo;

import de.siegmar.fastcsv.reader.NamedCsvRecord;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.Place;
import dev.lonja.core.ledger.StockedLot;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.ledger.PackedIssue;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LotFacts;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.request.RequestLog;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.TreeMap;

/**
 * What happened before today: eighteen months of readings, the last time each task was done, and
 * two months on the shelves. All chance comes from one fixed seed.
 */
final class DemoHistory {

  private static final long SEED = 20_270_315;
  private static final int DAYS = 548;
  private static final int DAYS_BACK = 60;
  private static final int OPEN_FOR = 365;
  private static final int WEEKS_SINCE_EXCHANGE = 10;

  /** How the forklifts' air filters were found, one after the other. */
  private static final String[] OUTCOMES = {
    "cleaned", "replaced", "sound", "cleaned", "replaced", "cleaned", "sound"
  };

  private final LocalDate today;
  private final DemoMaster master;
  private final Random random = new Random(SEED);
  private final Sheet readings =
      new Sheet("id,meter_id,read_on,read_at,value_h_or_km,source,corrects,actor,recorded_at");
  private final Sheet records =
      new Sheet(
          "id,unit_id,task_id,done_on,life_h_or_km,tray_id,withdraws,reason,actor,recorded_at");
  private final Sheet replacements =
      new Sheet("id,end_reading_id,start_h_or_km,withdraws,reason,actor,recorded_at");
  private final Sheet inspections = new Sheet("id,record_id,outcome,note,actor,recorded_at");
  private final Sheet fills =
      new Sheet(
          "id,unit_id,compartment_id,item_id,condition,volume_l,filled_on,tray_id,withdraws,note,"
              + "actor,recorded_at");
  private final Sheet topUps =
      new Sheet(
          "id,unit_id,compartment_id,item_id,volume_l,added_on,sign_off_id,withdraws,note,actor,"
              + "recorded_at");
  private final Sheet layUps = new Sheet("id,unit_id,first_on,last_on");
  private final Map<MeterId, TreeMap<LocalDate, Double>> lives = new TreeMap<>();
  private int requests;
  private int inspected;

  DemoHistory(LocalDate today, DemoMaster master) {
    this.today = today;
    this.master = master;
  }

  Map<String, String> texts(DemoFleet fleet) {
    fleet
        .laidUp()
        .forEach(
            plan ->
                layUps.add(
                    plan.unitId(),
                    LocalDate.of(today.getYear(), 1, 2),
                    LocalDate.of(today.getYear(), 1, 24)));
    for (DemoFleet.UnitPlan plan : fleet.plans()) {
      plan.meters().values().forEach(meter -> runMeter(plan, meter));
      plan.tasks().stream()
          .filter(task -> plan.passed().containsKey(task.service()))
          .forEach(task -> record(plan, task, plan.passed().get(task.service())));
    }
    recordFills(fleet);
    return Map.of(
        "lay_ups.csv",
        layUps.text(),
        "readings.csv",
        readings.text(),
        "meter_replacements.csv",
        replacements.text(),
        "task_records.csv",
        records.text(),
        "inspections.csv",
        inspections.text(),
        "fills.csv",
        fills.text(),
        "top_ups.csv",
        topUps.text());
  }

  /** Lives backwards from what the meter should show today, then reads it week by week. */
  private void runMeter(DemoFleet.UnitPlan plan, DemoFleet.MeterPlan meter) {
    TreeMap<LocalDate, Double> life = new TreeMap<>();
    double value = meter.lifeToday();
    LocalDate first = today.minusDays(DAYS - 1);
    LocalDate begin = plan.unit().inService().isAfter(first) ? plan.unit().inService() : first;
    for (LocalDate day = today; !day.isBefore(begin); day = day.minusDays(1)) {
      life.put(day, value);
      value = Math.max(0, value - usedOn(day, plan, meter));
    }
    lives.put(meter.meterId(), life);
    int every = meter.oddity() == DemoFleet.Oddity.FEW ? 120 : 7;
    int offset = Math.floorMod(ChronoUnit.DAYS.between(begin, today), every);
    double before = 0;
    boolean replaced = meter.oddity() != DemoFleet.Oddity.REPLACED;
    for (LocalDate day = begin.plusDays(offset); !day.isAfter(today); day = day.plusDays(every)) {
      if (meter.oddity() == DemoFleet.Oddity.SILENT && day.isAfter(today.minusDays(61))) {
        break;
      }
      long reading = read(meter.meterId(), day, life.get(day) - before);
      if (!replaced && !day.isBefore(today.minusDays(WEEKS_SINCE_EXCHANGE * 7))) {
        replacements.add(reading, 0, null, "glass broken by a pallet", "storekeeper", morning(day));
        before = life.get(day);
        replaced = true;
      }
    }
    if (meter.oddity() == DemoFleet.Oddity.BACKWARDS) {
      read(meter.meterId(), today.minusDays(17), life.get(today.minusDays(17)) - 2_700);
    }
  }

  private double usedOn(LocalDate day, DemoFleet.UnitPlan plan, DemoFleet.MeterPlan meter) {
    if (meter.oddity() == DemoFleet.Oddity.BURST && isMainsFailure(day)) {
      return 23.5;
    }
    double share = plan.months()[day.getMonthValue() - 1];
    return meter.perDay() * share * (0.6 + 0.8 * random.nextDouble());
  }

  /** The mains failed for six days in the last November before today. */
  private boolean isMainsFailure(LocalDate day) {
    LocalDate first = LocalDate.of(today.getYear(), 11, 8);
    first = first.isAfter(today.minusDays(7)) ? first.minusYears(1) : first;
    return !day.isBefore(first) && day.isBefore(first.plusDays(6));
  }

  private long read(MeterId meterId, LocalDate day, double value) {
    return readings.add(
        meterId, day, null, tenths(value), "entered", null, "storekeeper", morning(day));
  }

  /** Records a task as done where its meter stood so much of an interval below today's life. */
  private void record(DemoFleet.UnitPlan plan, DemoMaster.TaskPlan task, double passed) {
    boolean metered = !task.meter().isEmpty();
    double life = 0;
    LocalDate day = byCalendar(task, passed);
    if (metered) {
      DemoFleet.MeterPlan meter = plan.meters().get(task.meter());
      life = Math.max(0, meter.lifeToday() - passed * task.interval());
      day = dayAt(meter, life).orElse(day);
    }
    long record =
        records.add(
            plan.unitId(),
            task.taskId(),
            day,
            metered ? tenths(life) : null,
            null,
            null,
            "carried over from the paper book",
            "storekeeper",
            morning(day));
    if (task.inspects() && plan.code().startsWith("FL")) {
      String outcome = OUTCOMES[inspected++ % OUTCOMES.length];
      inspections.add(record, outcome, "", "workshop", morning(day));
    }
  }

  /**
   * What is in some compartments now. RT-03's sump takes more than its book says, four times over;
   * RT-04 was topped up twice, once with another oil.
   */
  private void recordFills(DemoFleet fleet) {
    String[] litres = {"12.3", "12.5", "12.2", "12.3"};
    for (int i = 0; i < litres.length; i++) {
      long days = 90L * (litres.length - i);
      fill(fleet, "RT-03", "Engine sump", "FA 15-205", "with_filter", litres[i], days);
    }
    fill(fleet, "RT-04", "Engine sump", "FA 15-205", "with_filter", "9.6", 120);
    fill(fleet, "RT-04", "Cooling circuit", "RI 40-20", "without_filter", "14.5", 400);
    fill(fleet, "RT-04", "Brake circuit", "TR 4-1", "without_filter", "1.2", 310);
    fill(fleet, "VN-2", "Engine sump", "BR 53-5", "with_filter", "6.4", 150);
    fill(fleet, "FL-3", "Hydraulic tank", "CB 46-205", "with_filter", "36", 210);
    fill(fleet, "BH-1", "Hydraulic tank", "VD 46-200", "without_filter", "180", 500);
    topUp(fleet, "FA 15-205", "0.5", 40);
    topUp(fleet, "SE 15-5", "0.4", 15);
  }

  private void fill(
      DemoFleet fleet,
      String unit,
      String compartment,
      String item,
      String condition,
      String litres,
      long daysAgo) {
    DemoFleet.UnitPlan plan = fleet.plan(unit);
    LocalDate day = today.minusDays(daysAgo);
    fills.add(
        plan.unitId(),
        master.compartment(plan.unit().variantId(), compartment),
        master.item(item),
        condition,
        litres,
        day,
        null,
        null,
        "read at the full mark",
        "workshop",
        morning(day));
  }

  private void topUp(DemoFleet fleet, String item, String litres, long daysAgo) {
    DemoFleet.UnitPlan plan = fleet.plan("RT-04");
    LocalDate day = today.minusDays(daysAgo);
    topUps.add(
        plan.unitId(),
        master.compartment(plan.unit().variantId(), "Engine sump"),
        master.item(item),
        litres,
        day,
        null,
        null,
        "low at the dipstick",
        "storekeeper",
        morning(day));
  }

  /** The day on which a meter came to a life; empty if that was before the readings. */
  private Optional<LocalDate> dayAt(DemoFleet.MeterPlan meter, double life) {
    TreeMap<LocalDate, Double> days = lives.get(meter.meterId());
    return days.entrySet().stream()
        .filter(day -> day.getValue() >= life)
        .map(Map.Entry::getKey)
        .findFirst()
        .filter(day -> !day.equals(days.firstKey()));
  }

  /** Where the meter does not tell, the same share of the months has passed. */
  private LocalDate byCalendar(DemoMaster.TaskPlan task, double passed) {
    long days =
        task.months() == 0 ? DAYS : Math.round(task.months() * 30.4 * Math.min(passed, 0.9));
    return today.minusDays(Math.max(days, 1));
  }

  /**
   * What lies in an item's home bin at the start of the history.
   *
   * @param pack litres in a pack; empty for pieces
   * @param unitCost in cents per piece or litre
   */
  private record Opening(
      ItemId itemId,
      BinId binId,
      String lot,
      String amount,
      Optional<Volume> pack,
      long unitCost,
      int goodForDays) {}

  private static List<Opening> openings(Session session) {
    List<Opening> openings = new ArrayList<>();
    for (NamedCsvRecord row : DemoMaster.extra("opening_stock.csv")) {
      Item item = session.items().byId(ItemId.valueOf(row.getField("item_id"))).orElseThrow();
      openings.add(
          new Opening(
              item.id(),
              item.homeBin().id(),
              row.getField("lot"),
              row.getField("amount_pc_or_l"),
              item.pack(),
              Long.parseLong(row.getField("cents_each")),
              Integer.parseInt(row.getField("good_for_days"))));
    }
    return openings;
  }

  /** Two months on the shelves, oldest first, through the same ledger rules as any booking. */
  void stock(Session session) {
    Instant opened = morning(today.minusDays(DAYS_BACK));
    List<Opening> openings = openings(session);
    for (Opening opening : openings) {
      receive(session, opening, opened);
    }
    List<Opening> often = new ArrayList<>(openings);
    for (int daysBack = DAYS_BACK - 3; daysBack > 0; daysBack -= 2) {
      Opening pick = often.get(random.nextInt(often.size()));
      issueSome(session, pick, morning(today.minusDays(daysBack)));
    }
    scrapOne(session, master.item("GLV L"), morning(today.minusDays(20)));
    countOne(session, master.item("HC 12-16"), morning(today.minusDays(9)));
    quarantineLot(session, morning(today.minusDays(5)));
  }

  /** Whole packs in a lot; what is in a pack that was opened in one of its own. */
  private void receive(Session session, Opening opening, Instant at) {
    BigDecimal amount = new BigDecimal(opening.amount());
    BigDecimal open =
        opening.pack().map(pack -> amount.remainder(pack.litres())).orElse(BigDecimal.ZERO);
    LocalDate day = LocalDate.ofInstant(at, ZoneOffset.UTC);
    Optional<LocalDate> expiry =
        opening.goodForDays() == 0
            ? Optional.empty()
            : Optional.of(day.plusDays(opening.goodForDays()));
    LotId lot = session.ledger().addLot(opening.itemId(), opening.lot(), day, expiry);
    if (amount.compareTo(open) > 0) {
      receive(session, opening, lot, amount.subtract(open), at);
    }
    if (open.signum() > 0) {
      LotFacts sealed =
          new LotFacts(
              new StockedLot(
                  new Place(opening.itemId(), lot, opening.binId()),
                  day,
                  expiry,
                  false,
                  Optional.empty(),
                  Quantity.of(opening.pack().orElseThrow())),
              opening.lot(),
              "");
      LotId container =
          session
              .ledger()
              .addOpenLot(opening.itemId(), sealed, day, Optional.of(day.plusDays(OPEN_FOR)));
      receive(session, opening, container, open, at);
    }
  }

  private void receive(Session session, Opening opening, LotId lot, BigDecimal amount, Instant at) {
    ItemStock stock = session.ledger().stockOf(opening.itemId());
    Quantity quantity = Quantity.of(stock.measure(), amount);
    long cents =
        amount
            .multiply(BigDecimal.valueOf(opening.unitCost()))
            .setScale(0, RoundingMode.HALF_UP)
            .longValueExact();
    Money cost = new Money(cents, stock.value().currency());
    write(
        session,
        opening.itemId(),
        Ledger.receive(stock, new Place(opening.itemId(), lot, opening.binId()), quantity, cost),
        "opening stock",
        at);
  }

  private void issueSome(Session session, Opening pick, Instant at) {
    ItemStock stock = session.ledger().stockOf(pick.itemId());
    Quantity wanted =
        switch (stock.measure()) {
          case PIECES -> Quantity.pieces(1);
          case LITRES -> Quantity.litres("1.5");
        };
    boolean plenty = stock.onHand().compareTo(wanted.plus(wanted).plus(wanted)) > 0;
    if (plenty) {
      LocalDate day = LocalDate.ofInstant(at, ZoneOffset.UTC);
      Quantity none = Quantity.zero(stock.measure());
      Booking issue = PackedIssue.of(session, pick.itemId(), wanted, none, day);
      write(session, pick.itemId(), issue, "over the counter", at);
    }
  }

  private void scrapOne(Session session, ItemId itemId, Instant at) {
    ItemStock stock = session.ledger().stockOf(itemId);
    Place place = session.ledger().lotsOf(itemId).get(0).lot().place();
    write(session, itemId, Ledger.scrap(stock, place, Quantity.pieces(1)), "box got wet", at);
  }

  private void countOne(Session session, ItemId itemId, Instant at) {
    ItemStock stock = session.ledger().stockOf(itemId);
    LotFacts lot = session.ledger().lotsOf(itemId).get(0);
    Quantity counted = lot.lot().quantity().minus(Quantity.pieces(1));
    write(
        session, itemId, Ledger.count(stock, lot.lot().place(), counted), "count, one missing", at);
  }

  /** A second delivery that was set aside: the sealing rings are the wrong size. */
  private void quarantineLot(Session session, Instant at) {
    ItemId itemId = master.item("TM-3308");
    LocalDate day = LocalDate.ofInstant(at, ZoneOffset.UTC);
    LotId lot = session.ledger().addQuarantinedLot(itemId, "Q9-0042", day);
    ItemStock stock = session.ledger().stockOf(itemId);
    Place place = new Place(itemId, lot, stock.lots().get(0).place().binId());
    Money cost = new Money(2_600, stock.value().currency());
    write(
        session,
        itemId,
        Ledger.receive(stock, place, Quantity.pieces(2), cost),
        "gasket too small, set aside",
        at);
  }

  private void write(Session session, ItemId itemId, Booking booking, String reason, Instant at) {
    if (!(booking instanceof Booking.Booked booked)) {
      throw new IllegalStateException("the demo's booking was refused: " + booking);
    }
    String key = String.format("demo-%05d", ++requests);
    session
        .requests()
        .add(key, new RequestLog.Entry(RequestLog.hash(reason), ""), "storekeeper", at);
    Posting posting = new Posting(reason, "", key, "storekeeper", at);
    session.ledger().append(booked.lines(), posting, 1);
  }

  private static String tenths(double value) {
    return BigDecimal.valueOf(value).setScale(1, RoundingMode.HALF_UP).toPlainString();
  }

  private static Instant morning(LocalDate day) {
    return day.atTime(7, 30).toInstant(ZoneOffset.UTC);
  }
}
