package dev.lonja.bench;

import dev.lonja.app.LonjaApplication;
import dev.lonja.core.calendar.UsageCalendar;
import dev.lonja.core.forecast.UnitPlan;
import dev.lonja.core.meter.MeterDigest;
import dev.lonja.core.meter.MeterNotes;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.NewReading;
import dev.lonja.core.meter.Reading;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.fleet.ReadingRepository;
import java.nio.file.Path;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Level;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Warmup;

/** The due list of 5,000 units with 1,000 readings each, computed and as a page, in 1 GB. */
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
@Warmup(iterations = 2, time = 10)
@Measurement(iterations = 3, time = 10)
public class FleetBenchmark {

  private static final int UNITS = 5_000;
  private static final int READINGS = 1_000;
  private static final int WEEKS = 13;

  /** One meter with its readings in memory. */
  @State(Scope.Benchmark)
  public static class OneMeter {
    private MeterNotes notes = MeterNotes.of(List.of());

    @Setup
    public void make() {
      Random random = new Random(READINGS);
      List<Reading> readings = new ArrayList<>();
      long tenths = 0;
      for (int day = READINGS - 1; day >= 0; day--) {
        tenths += random.nextInt(60);
        readings.add(
            new Reading(
                READINGS - day,
                LargeFleet.TODAY.minusDays(day),
                Optional.empty(),
                new MeterValue(tenths, MeterMeasure.HOURS)));
      }
      notes = MeterNotes.of(readings);
    }
  }

  /** Judging 1,000 readings of one meter and finding its rate and dispersion. */
  @Benchmark
  public MeterDigest digestOfOneMeter(OneMeter meter) {
    return MeterDigest.of(meter.notes, UsageCalendar.EVEN);
  }

  /** The store, opened anew for each measurement. */
  @State(Scope.Benchmark)
  public static class ColdStore {
    private Path folder = Path.of("");
    private Optional<LonjaStore> store = Optional.empty();

    @Setup
    public void make() {
      folder = LargeFleet.folder(UNITS, READINGS);
    }

    @Setup(Level.Invocation)
    public void open() {
      store = Optional.of(LonjaStore.open(folder.resolve(LonjaApplication.DATABASE)));
    }

    @TearDown(Level.Invocation)
    public void close() {
      store.ifPresent(LonjaStore::close);
    }
  }

  /** The first look at the fleet after a start, by the digests that were kept, and its plans. */
  @Benchmark
  @BenchmarkMode(Mode.SingleShotTime)
  @Warmup(iterations = 1)
  @Measurement(iterations = 5)
  public List<UnitPlan> firstLook(ColdStore cold) {
    return cold.store.orElseThrow().read(FleetBenchmark::plans);
  }

  private static List<UnitPlan> plans(Session session) {
    FleetPicture fleet = FleetPicture.load(session, LargeFleet.TODAY);
    return fleet.plans(fleet.horizon());
  }

  /** The store, once looked at. */
  @State(Scope.Benchmark)
  public static class WarmStore {
    private Optional<LonjaStore> store = Optional.empty();
    private Optional<FleetPicture> fleet = Optional.empty();
    private int turn;

    private int next() {
      turn += 7;
      return turn;
    }

    @Setup
    public void make() {
      Path folder = LargeFleet.folder(UNITS, READINGS);
      LonjaStore opened = LonjaStore.open(folder.resolve(LonjaApplication.DATABASE));
      store = Optional.of(opened);
      fleet = Optional.of(opened.read(session -> FleetPicture.load(session, LargeFleet.TODAY)));
    }
  }

  /** The first look after a reading was noted, with the plans of the whole fleet. */
  @Benchmark
  public List<UnitPlan> lookAfterAReading(WarmStore warm) {
    LonjaStore store = warm.store.orElseThrow();
    read(store, warm.next());
    return store.read(FleetBenchmark::plans);
  }

  /** One meter after the other shows an hour more than it last did. */
  private static void read(LonjaStore store, int turn) {
    store.write(
        session -> {
          FleetPicture fleet = FleetPicture.load(session, LargeFleet.TODAY);
          List<MeterStanding> meters = List.copyOf(fleet.meters().values());
          MeterStanding meter = meters.get(turn % meters.size());
          MeterValue shown = meter.lastAccepted().orElseThrow().shown();
          NewReading reading =
              new NewReading(
                  LargeFleet.TODAY,
                  Optional.empty(),
                  new MeterValue(shown.tenths() + 10, shown.measure()),
                  Optional.empty());
          return session
              .readings()
              .add(
                  meter.file().meter().id(),
                  reading,
                  ReadingRepository.Source.ENTERED,
                  "bench",
                  Instant.now());
        });
  }

  /** The due list itself: what falls due on every unit within 13 weeks, joined. */
  @Benchmark
  public List<UnitPlan> dueListComputed(WarmStore warm) {
    FleetPicture fleet = warm.fleet.orElseThrow();
    LocalDate until = LargeFleet.TODAY.plusWeeks(WEEKS);
    return fleet.units().parallelStream()
        .map(unit -> fleet.planOf(unit, fleet.tasks(unit.id()), until))
        .toList();
  }

  /** The running server, signed in to. */
  @State(Scope.Benchmark)
  public static class Server {
    private Optional<RunningServer> server = Optional.empty();
    private int turn;

    private int next() {
      turn += 7;
      return turn;
    }

    private RunningServer running() {
      return server.orElseThrow();
    }

    @Setup
    public void start() {
      server = Optional.of(new RunningServer(LargeFleet.folder(UNITS, READINGS)));
      running().get("/fleet/due");
    }

    @TearDown
    public void stop() {
      server.ifPresent(RunningServer::close);
    }
  }

  /** The due page of the whole fleet over HTTP. */
  @Benchmark
  public String duePage(Server server) {
    return server.running().get("/fleet/due");
  }

  /** The due page as the first one after a reading was noted; noting it counts, too. */
  @Benchmark
  public String duePageAfterAReading(Server server) {
    read(server.running().store(), server.next());
    return server.running().get("/fleet/due");
  }

  /** The page of one unit of that fleet over HTTP. */
  @Benchmark
  public String unitPage(Server server) {
    return server.running().get("/fleet/XL-00042");
  }
}
