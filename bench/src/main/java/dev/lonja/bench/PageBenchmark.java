package dev.lonja.bench;

import dev.lonja.app.LonjaApplication;
import dev.lonja.app.demo.DemoStore;
import dev.lonja.store.LonjaStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
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
