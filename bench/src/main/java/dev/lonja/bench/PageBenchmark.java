package dev.lonja.bench;

import dev.lonja.app.LonjaApplication;
import dev.lonja.app.demo.DemoStore;
import dev.lonja.store.LonjaStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Threads;
import org.openjdk.jmh.annotations.Warmup;

/** Pages of the demo store over HTTP on a warm server, with 1 GB. */
@Fork(
    value = 1,
    jvmArgsAppend = {"-Xmx1g", "-Dhttp.maxConnections=50"})
@Warmup(iterations = 3, time = 10)
@Measurement(iterations = 3, time = 10)
public class PageBenchmark {

  private static final int CONNECTIONS = 50;
  private static final String ITEM = "/items/1";

  /** The demo store, served. */
  @State(Scope.Benchmark)
  public static class Demo {
    private Optional<RunningServer> server = Optional.empty();

    @Setup
    public void start() throws IOException {
      Path folder = Files.createTempDirectory("lonja-bench");
      try (LonjaStore store = LonjaStore.open(folder.resolve(LonjaApplication.DATABASE))) {
        DemoStore.create(store, LargeFleet.TODAY);
      }
      server = Optional.of(new RunningServer(folder));
    }

    @TearDown
    public void stop() {
      server.ifPresent(RunningServer::close);
    }

    private String get(String path) {
      return server.orElseThrow().get(path);
    }
  }

  /** The same in a store of two thousand bins, something in each second one. */
  @State(Scope.Benchmark)
  public static class ManyBins {
    private static final int BINS = 2_000;
    private static final int IN_A_RACK = 40;

    private Optional<RunningServer> server = Optional.empty();

    @Setup
    public void start() throws IOException, SQLException {
      Path folder = Files.createTempDirectory("lonja-bench");
      Path database = folder.resolve(LonjaApplication.DATABASE);
      try (LonjaStore store = LonjaStore.open(database)) {
        DemoStore.create(store, LargeFleet.TODAY);
        store.<Boolean>write(
            session -> {
              for (int bin = session.items().bins().size(); bin < BINS; bin++) {
                session.items().addBin("R" + bin / IN_A_RACK + "-" + bin % IN_A_RACK);
              }
              return true;
            });
      }
      try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + database);
          Statement statement = connection.createStatement()) {
        statement.executeUpdate(
            "INSERT INTO stock (item_id, lot_id, bin_id, quantity_micro)"
                + " SELECT lot.item_id, lot.id, bin.id, 5000000 FROM bin"
                + " JOIN lot ON lot.id = 1 + bin.id % 100"
                + " WHERE bin.address LIKE 'R%' AND bin.id % 2 = 0");
      }
      server = Optional.of(new RunningServer(folder));
    }

    @TearDown
    public void stop() {
      server.ifPresent(RunningServer::close);
    }
  }

  /** The shelf map. */
  @Benchmark
  @BenchmarkMode(Mode.SampleTime)
  @OutputTimeUnit(TimeUnit.MILLISECONDS)
  public String shelfMap(ManyBins bins) {
    return bins.server.orElseThrow().get("/stores");
  }

  /** Which page is asked for. */
  @State(Scope.Benchmark)
  public static class Page {
    @Param({"/", "/fleet", "/fleet/due", "/fleet/RT-04", ITEM, "/trays/8", "/ahead", "/setup"})
    private String path = "/";
  }

  /** One page after the other. */
  @Benchmark
  @BenchmarkMode(Mode.SampleTime)
  @OutputTimeUnit(TimeUnit.MILLISECONDS)
  public String page(Demo demo, Page page) {
    return demo.get(page.path);
  }

  /** Pages of an item a second, over fifty connections that never pause. */
  @Benchmark
  @BenchmarkMode(Mode.Throughput)
  @OutputTimeUnit(TimeUnit.SECONDS)
  @Threads(CONNECTIONS)
  // so many at once leave the compiler little of the processor, so it takes longer to be done
  @Warmup(iterations = 12, time = 10)
  public String itemPages(Demo demo) {
    return demo.get(ITEM);
  }
}
