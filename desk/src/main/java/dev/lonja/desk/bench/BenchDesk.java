package dev.lonja.desk.bench;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.order.OrderId;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.Tank;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.dip.GaugeKeeper;
import dev.lonja.desk.dip.PourKeeper;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import java.math.BigDecimal;
import java.time.Duration;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Service;

/** Makes the simulated devices do something. */
@Service
@Profile("bench")
public class BenchDesk {

  private static final long SEED = 20_270_315;
  private static final double SPREAD = 0.4;

  private final LonjaStore store;
  private final StoreClock clock;
  private final ReportingMachines machines;
  private final PrintedLabels labels;
  private final AnsweringSuppliers suppliers;
  private final GaugedTanks gauges;
  private final GaugeKeeper keeper;
  private final PouringTanks taps;
  private final PourKeeper pours;
  private final Random random = new Random(SEED);

  /**
   * The page: classes whose machines can report, and how many reports wait.
   *
   * @param printed what came out of the label printer, the last first
   * @param noLabels true if it has run out of labels
   * @param gauged the names of tanks that have a gauge
   * @param tanks the names of all tanks
   */
  public record View(
      List<Choice> classes,
      int waiting,
      List<PrintedLabels.Printed> printed,
      boolean noLabels,
      Suppliers suppliers,
      List<String> gauged,
      List<String> tanks) {}

  /**
   * The suppliers' systems.
   *
   * @param orders that were handed over, the latest first
   * @param cut true if nothing reaches them
   */
  public record Suppliers(List<OrderId> orders, boolean cut) {}

  public record Choice(String code, String words) {}

  public BenchDesk(
      LonjaStore store,
      StoreClock clock,
      ReportingMachines machines,
      PrintedLabels labels,
      AnsweringSuppliers suppliers,
      GaugedTanks gauges,
      GaugeKeeper keeper,
      PouringTanks taps,
      PourKeeper pours) {
    this.taps = taps;
    this.pours = pours;
    this.suppliers = suppliers;
    this.gauges = gauges;
    this.keeper = keeper;
    this.store = store;
    this.clock = clock;
    this.machines = machines;
    this.labels = labels;
  }

  @Allowed.ToKeepStore
  public View view() {
    return store.read(
        session ->
            new View(
                session.fleet().serving(clock.today()).stream()
                    .map(Unit::unitClass)
                    .distinct()
                    .sorted(Comparator.comparing(Unit.UnitClass::code))
                    .map(c -> new Choice(c.code(), c.name()))
                    .toList(),
                machines.waitingCount(),
                labels.latest(),
                labels.isEmpty(),
                new Suppliers(suppliers.taken(), suppliers.isCut()),
                session.tanks().all().stream().filter(Tank::gauged).map(Tank::name).toList(),
                session.tanks().all().stream().map(Tank::name).toList()));
  }

  /** Lets the gauge of a tank read, some hours ago, and takes it in at once. */
  @Allowed.ToKeepStore
  public void gauge(String tank, Length height, Optional<Temperature> temperature, int hoursAgo) {
    gauges.read(tank, height, temperature, clock.now().minus(Duration.ofHours(hoursAgo)));
    keeper.takeIn();
  }

  /** Lets something run through the meter of a tank, some hours ago, and takes it in at once. */
  @Allowed.ToKeepStore
  public void pour(String tank, Volume volume, int hoursAgo) {
    taps.pour(tank, volume, clock.now().minus(Duration.ofHours(hoursAgo)));
    pours.takeIn();
  }

  /**
   * Lets every meter of a class report what it should show today, a little more or less.
   *
   * @param fault whether the first one reports 0, as a meter does that lost its memory
   */
  @Allowed.ToKeepStore
  public void report(String classCode, boolean fault) {
    FleetPicture fleet = store.read(session -> FleetPicture.load(session, clock.today()));
    boolean faulty = fault;
    for (MeterStanding meter : fleet.meters().values()) {
      Unit unit = meter.file().unit();
      if (unit.unitClass().code().equals(classCode)) {
        BigDecimal value = faulty ? BigDecimal.ZERO : shown(meter);
        machines.report(unit.code(), meter.file().meter().name(), value, clock.now());
        faulty = false;
      }
    }
  }

  /** The page of a label that came out, while the printer keeps it. */
  @Allowed.ToKeepStore
  public Optional<byte[]> printed(long number) {
    return labels.page(number);
  }

  /** Lets a supplier answer an order that was handed over. */
  @Allowed.ToKeepStore
  public void answer(OrderId order, AnsweringSuppliers.Mood mood) {
    suppliers.answer(order, mood);
  }

  /** Cuts the line to the suppliers, or mends it. */
  @Allowed.ToKeepStore
  public void setCut(boolean cut) {
    suppliers.setCut(cut);
  }

  /** Takes the labels out of the printer, or puts some in. */
  @Allowed.ToKeepStore
  public void setNoLabels(boolean none) {
    labels.setEmpty(none);
  }

  /** Between the last accepted reading and what a little more than the mean would give. */
  private BigDecimal shown(MeterStanding meter) {
    long expected = meter.expectedToShow(clock.today()).tenths();
    long last = meter.lastAccepted().map(reading -> reading.shown().tenths()).orElse(expected);
    long run = Math.max(0, expected - last);
    long drawn = Math.round(run * (1 + SPREAD * (random.nextDouble() - 0.5)));
    return BigDecimal.valueOf(last + drawn, 1);
  }
}
