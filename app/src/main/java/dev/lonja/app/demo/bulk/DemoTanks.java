package dev.lonja.app.demo.bulk;

import dev.lonja.app.demo.master.DemoMaster;
import dev.lonja.app.demo.shelf.DemoBookings;
import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.MeteredPour;
import dev.lonja.core.tank.StandardVolume;
import dev.lonja.core.tank.Tank;
import dev.lonja.desk.ledger.PackedIssue;
import dev.lonja.store.Session;
import dev.lonja.store.tank.TankRepository;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import java.util.Random;

/**
 * Eight weeks at the tanks: a tanker, machines topped up in the yard, and a dip every Monday. The
 * pour meter of one tank shows too little, one dip was read wrongly, and two litres ran that nobody
 * wrote down.
 */
public final class DemoTanks {

  private static final long SEED = 1_250;
  private static final int WEEKS = 8;
  private static final int WEEK = 7;

  /** What is poured in each of the weeks, in litres. */
  private static final List<Integer> YARD = List.of(18, 31, 12, 26, 9, 34, 22, 15);

  private static final List<Integer> HOIST = List.of(6, 38, 9, 44, 4, 31, 12, 46);

  /** In so many of the last weeks the meters report what they count. */
  private static final int METERED = 3;

  /** As much more flows than the meter shows. */
  private static final double WORN_METER = 0.1;

  private final Session session;
  private final LocalDate today;
  private final DemoBookings bookings;
  private final Random random = new Random(SEED);

  public DemoTanks(Session session, LocalDate today, DemoBookings bookings) {
    this.session = session;
    this.today = today;
    this.bookings = bookings;
  }

  /** Everything, tank by tank. */
  public void fill() {
    List<Tank> tanks = session.tanks().all();
    for (Tank tank : tanks) {
      switch (tank.name()) {
        case "Tank 1" -> {
          run(tank, 1_600, YARD, 0);
          // somebody was in a hurry
          meter(tank, 2, at(monday(0).minusDays(3), 9));
        }
        case "Tank 2" -> run(tank, 330, HOIST, WORN_METER);
        case "Drum 3" -> misread(tank);
        default -> run(tank, 150, List.of(), 0);
      }
    }
  }

  /**
   * A delivery, then a dip and some pours every week.
   *
   * @param worn the share by which more flows than is booked
   */
  private void run(Tank tank, int delivered, List<Integer> pours, double worn) {
    LocalDate first = monday(WEEKS);
    Item item = session.items().byId(tank.itemId()).orElseThrow();
    receive(tank, item, delivered, at(first.minusDays(WEEK / 2), 10));
    StandardVolume standard = item.product().map(StandardVolume::of).orElseThrow();
    Temperature warmth = warmth();
    double real = standard.litres(book(tank), Optional.of(warmth));
    dip(tank, standard, real, warmth, first);
    for (int week = 0; week < pours.size(); week++) {
      LocalDate day = first.plusDays((long) WEEK * week + 2);
      int litres = pours.get(week);
      pour(item, litres, at(day, 14));
      if (week >= pours.size() - METERED) {
        meter(tank, litres, at(day, 14));
      }
      real -= standard.litres(litres * (1 + worn), Optional.of(warmth));
      LocalDate next = first.plusDays((long) WEEK * (week + 1));
      if (next.isAfter(today)) {
        return;
      }
      warmth = warmth();
      dip(tank, standard, real, warmth, next);
    }
  }

  /** Dipped twice, the second time 58 mm too low. */
  private void misread(Tank tank) {
    Item item = session.items().byId(tank.itemId()).orElseThrow();
    StandardVolume standard = item.product().map(StandardVolume::of).orElseThrow();
    Temperature warmth = warmth();
    double real = standard.litres(book(tank), Optional.of(warmth));
    dip(tank, standard, real, warmth, monday(1));
    Length height = height(tank, standard, real, warmth);
    add(tank, monday(0), new Length(height.micrometres() - 58_000), warmth);
  }

  private LocalDate monday(int weeksBack) {
    return today.minusDays(today.getDayOfWeek().getValue() - 1L).minusDays((long) WEEK * weeksBack);
  }

  private static Instant at(LocalDate day, int hour) {
    return DemoMaster.morning(day).plus(Duration.ofHours(hour - 8L));
  }

  private Temperature warmth() {
    return new Temperature(130 + random.nextInt(40));
  }

  private Volume book(Tank tank) {
    return session.tanks().books().getOrDefault(tank.id(), Volume.ZERO);
  }

  private void dip(
      Tank tank, StandardVolume standard, double real, Temperature warmth, LocalDate day) {
    long off = random.nextInt(3) - 1L;
    Length exact = height(tank, standard, real, warmth);
    add(tank, day, new Length((exact.micrometres() + 500) / 1_000 * 1_000 + off * 1_000), warmth);
  }

  /** How high so much at 15 °C stands when it is as warm. */
  private static Length height(
      Tank tank, StandardVolume standard, double real, Temperature warmth) {
    double factor = standard.litres(1.0, Optional.of(warmth));
    return tank.shape().dipOf(Volume.ofLitres(BigDecimal.valueOf(real / factor)));
  }

  private void add(Tank tank, LocalDate day, Length height, Temperature warmth) {
    Instant at = at(day, 8).minusSeconds(1_800);
    session
        .tanks()
        .addDip(
            tank.id(),
            at,
            height,
            Optional.of(warmth),
            tank.gauged(),
            new TankRepository.Noted(tank.gauged() ? "gauge" : "storekeeper", at));
  }

  private void receive(Tank tank, Item item, int litres, Instant at) {
    LocalDate day = at.atZone(ZoneOffset.UTC).toLocalDate();
    LotId lot = session.lots().addLot(item.id(), "T " + day, day, Optional.of(day.plusDays(730)));
    Quantity quantity = Quantity.litres(String.valueOf(litres));
    ItemStock stock = session.ledger().stockOf(item.id());
    bookings.write(
        item.id(),
        Ledger.receive(
            stock,
            new LotInBin(item.id(), lot, tank.binId()),
            quantity,
            session.supplies().of(item.id()).get(0).costOf(quantity)),
        "tanker",
        "",
        at);
  }

  private void meter(Tank tank, int litres, Instant at) {
    session
        .tanks()
        .addMetered(
            tank.id(), new MeteredPour(at, Volume.ofLitres(BigDecimal.valueOf(litres))), at);
  }

  private void pour(Item item, int litres, Instant at) {
    Quantity quantity = Quantity.litres(String.valueOf(litres));
    bookings.write(
        item.id(),
        PackedIssue.of(
            session,
            session.placeStock().of(StockKey.ofNew(item.id()), Place.MAIN),
            quantity,
            Quantity.zero(quantity.measure()),
            at.atZone(ZoneOffset.UTC).toLocalDate()),
        "topped up in the yard",
        "",
        at);
  }
}
