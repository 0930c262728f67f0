package dev.lonja.app.demo;

import dev.lonja.app.demo.bulk.DemoCounts;
import dev.lonja.app.demo.bulk.DemoDispensers;
import dev.lonja.app.demo.bulk.DemoTanks;
import dev.lonja.app.demo.bulk.DemoWaste;
import dev.lonja.app.demo.buying.DemoBuying;
import dev.lonja.app.demo.counter.DemoCounter;
import dev.lonja.app.demo.fleet.DemoFleet;
import dev.lonja.app.demo.history.DemoHistory;
import dev.lonja.app.demo.master.DemoMaster;
import dev.lonja.app.demo.shelf.DemoBookings;
import dev.lonja.app.demo.shelf.DemoShelves;
import dev.lonja.app.demo.shelf.DemoTransfers;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.person.PersonName;
import dev.lonja.core.person.Role;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.Occurrence;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.desk.fleet.PastFleet;
import dev.lonja.desk.forecast.ForecastKeeper;
import dev.lonja.desk.tray.TrayMaker;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.exchange.ExchangeProblem;
import dev.lonja.store.tray.Tray;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Consumer;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;
import org.springframework.security.crypto.password.PasswordEncoder;

/** Fills an empty store with the demo data, laid out around a day. */
public final class DemoStore {

  /** What everyone in the demo signs in with. */
  public static final String PASSWORD = "lonja-demo";

  private static final long SEED = 20_270_315;
  private static final int DAYS_OF_TRAYS = 4;
  private static final int MONTHS_OF_FORECASTS = 6;
  private static final Set<String> LAID_WHOLE = Set.of("FL-2", "RT-02", "VN-2", "PW-5", "WB-4");

  private DemoStore() {}

  /** Creates everything. If it is broken off, so is the store. */
  public static void create(LonjaStore store, LocalDate today) {
    create(store, today, new BCryptPasswordEncoder());
  }

  /** The same with the passwords kept as {@code encoder} has it. */
  public static void create(LonjaStore store, LocalDate today, PasswordEncoder encoder) {
    DemoMaster master = new DemoMaster(today);
    String hash = encoder.encode(PASSWORD);
    step(store, today, session -> fill(session, today, master, hash));
    step(store, today, session -> new DemoCounter(session, today, master).open());
    step(store, today, session -> layTrays(session, today));
    step(store, today, session -> keepForecasts(session, today));
    step(store, today, session -> new DemoCounts(session, today).fill());
    step(store, today, session -> new DemoDispensers(session, today).fill());
  }

  /**
   * What the fleet comes to is worked out between the steps, once for all that the next one asks.
   */
  private static void step(LonjaStore store, LocalDate today, Consumer<Session> work) {
    store.<FleetPicture>read(session -> FleetPicture.load(session, today));
    store.write(
        session -> {
          work.accept(session);
          return true;
        });
  }

  private static void fill(Session session, LocalDate today, DemoMaster master, String hash) {
    DemoFleet fleet = new DemoFleet(master);
    // all chance comes from one fixed seed
    Random random = new Random(SEED);
    DemoHistory history = new DemoHistory(today, master, random);
    Map<String, String> texts = new TreeMap<>(session.exchange().files());
    texts.putAll(master.texts());
    texts.putAll(history.texts(fleet));
    List<ExchangeProblem> problems = session.exchange().importTexts(texts);
    if (!problems.isEmpty()) {
      throw new IllegalStateException("the demo data are broken: " + problems.get(0).display());
    }
    addPeople(session, hash);
    DemoBookings bookings = new DemoBookings(session);
    DemoBuying buying = new DemoBuying(session, today, master, bookings);
    buying.past(DemoShelves.targets(session, buying.numbers()));
    new DemoShelves(today, master, random, bookings).stock(session, buying.numbers());
    new DemoTanks(session, today, bookings).fill();
    new DemoWaste(session, today).fill();
    buying.open();
    new DemoTransfers(session, today, bookings).fill();
    moveOne(session, today);
  }

  /** As they would have been kept before each of the last months. */
  private static void keepForecasts(Session session, LocalDate today) {
    PastFleet past = PastFleet.load(session, today);
    for (int months = MONTHS_OF_FORECASTS; months >= 1; months--) {
      LocalDate first = today.withDayOfMonth(1).minusMonths(months);
      ForecastKeeper.keepAsOf(session, past, first.minusDays(1));
    }
  }

  private static void addPeople(Session session, String hash) {
    for (Role role : Role.values()) {
      PersonName name = new PersonName(role.name().toLowerCase(Locale.ROOT));
      session.people().setPassword(session.people().add(name, Set.of(role)), hash);
    }
  }

  /** VN-1 is away with the ferry on the day its service falls due. */
  private static void moveOne(Session session, LocalDate today) {
    FleetPicture fleet = FleetPicture.load(session, today);
    for (Unit unit : fleet.units()) {
      if (unit.code().equals("VN-1")) {
        Occurrence next = fleet.planOf(unit, today.plusYears(1)).occurrences().get(0);
        Instant at = today.minusDays(2).atTime(8, 0).toInstant(ZoneOffset.UTC);
        for (Occurrence.OccurrenceTask task : next.tasks()) {
          session
              .records()
              .move(
                  unit.id(),
                  task.task().id(),
                  Optional.of(next.date().plusDays(9)),
                  "away on the ferry that week",
                  "storekeeper",
                  at);
        }
      }
    }
  }

  /**
   * Trays for the coming days; some are laid whole, the others half, as far as the shelves allow.
   */
  private static void layTrays(Session session, LocalDate today) {
    FleetPicture fleet = FleetPicture.load(session, today);
    for (UnitPlan unit : fleet.plans(today.plusDays(DAYS_OF_TRAYS))) {
      Optional<Occurrence> next =
          unit.occurrences().stream().filter(o -> o.inHand().isEmpty()).findFirst();
      if (next.isEmpty()) {
        continue;
      }
      TrayId trayId = TrayMaker.start(session, unit, next.get(), Kits.of(session, fleet));
      int lines = session.trays().byId(trayId).map(Tray::lines).orElseThrow().size();
      lay(session, trayId, LAID_WHOLE.contains(unit.unitCode()) ? lines : lines / 2, today);
    }
  }

  private static void lay(Session session, TrayId trayId, int most, LocalDate today) {
    int laid = 0;
    for (TrayLine line : session.trays().byId(trayId).map(Tray::lines).orElseThrow()) {
      Quantity free =
          session
              .ledger()
              .free(today)
              .getOrDefault(line.itemId(), Quantity.zero(line.wanted().measure()));
      if (laid < most && line.wanted().compareTo(free) <= 0) {
        session.trayLines().setLaid(line.id(), line.wanted());
        laid++;
      }
    }
  }
}
