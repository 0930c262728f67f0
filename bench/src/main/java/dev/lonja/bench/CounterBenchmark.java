package dev.lonja.bench;

import dev.lonja.app.LonjaApplication;
import dev.lonja.app.demo.DemoStore;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.LotInBin;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.request.RequestLog;
import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.TearDown;
import org.openjdk.jmh.annotations.Threads;
import org.openjdk.jmh.annotations.Warmup;

/**
 * Fifty counters issue the same item over HTTP, without a pause; at the end the sum of the issues
 * is what the stock fell by. Beside it, what the disk takes by itself to make a page last.
 */
@Fork(
    value = 1,
    jvmArgsAppend = {"-Xmx1g", "-Dhttp.maxConnections=50"})
@Warmup(iterations = 6, time = 10)
@Measurement(iterations = 3, time = 10)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
public class CounterBenchmark {

  private static final int COUNTERS = 50;
  private static final long PIECES = 900_000;
  private static final int PAGE = 4_096;

  /** The demo store, served, with enough of one item for all. */
  @State(Scope.Benchmark)
  public static class Counters {
    private final AtomicLong issued = new AtomicLong();
    private Optional<RunningServer> server = Optional.empty();
    private ItemId item = new ItemId(1);
    private Quantity before = Quantity.pieces(0);
    private String token = "";

    @Setup
    public void start() throws IOException {
      Path folder = Files.createTempDirectory("lonja-bench");
      try (LonjaStore store = LonjaStore.open(folder.resolve(LonjaApplication.DATABASE))) {
        DemoStore.create(store, LargeFleet.TODAY);
        item = store.write(Counters::receive);
        before = onHand(store);
      }
      server = Optional.of(new RunningServer(folder));
      token = server.get().token("/items/" + item);
    }

    private static ItemId receive(Session session) {
      Item clip =
          session.items().all().stream()
              .filter(item -> item.number().equals("HC 16-25"))
              .findFirst()
              .orElseThrow();
      ItemStock stock = session.ledger().stockOf(clip.id());
      LotInBin place = stock.lots().get(0).place();
      Booking.Booked booked =
          (Booking.Booked)
              Ledger.receive(
                  stock,
                  new LotInBin(clip.id(), place.lotId(), place.binId()),
                  Quantity.pieces(PIECES),
                  Money.zero(stock.value().currency()));
      Instant now = Instant.now();
      session
          .requests()
          .add(
              "bench-clips",
              new RequestLog.Entry("0".repeat(64), ""),
              "bench",
              RequestLog.Times.at(now));
      session
          .ledger()
          .append(booked.lines(), new Posting("bench", "", "bench-clips", "bench", now), 1);
      return clip.id();
    }

    private Quantity onHand(LonjaStore store) {
      return store.read(session -> session.ledger().stockOf(item).onHand());
    }

    private void issue() {
      long number = issued.incrementAndGet();
      server
          .orElseThrow()
          .post(
              "/items/" + item + "/issue",
              "quantity=1&reason=bench&requestKey=bench-issue-" + number + "&_csrf=" + token);
    }

    /** What was issued is gone, no more and no less, and the store agrees with itself. */
    @TearDown
    public void stop() {
      try (RunningServer running = server.orElseThrow()) {
        Quantity after = onHand(running.store());
        Quantity gone = before.minus(after);
        boolean sound = running.store().<Boolean>read(s -> s.verification().findings().isEmpty());
        if (!gone.equals(Quantity.pieces(issued.get())) || !sound) {
          throw new IllegalStateException(
              issued.get() + " were issued, " + gone.display() + " are gone, sound: " + sound);
        }
      }
    }
  }

  /** A file on the same disk. */
  @State(Scope.Benchmark)
  public static class Disk {
    private final ByteBuffer page = ByteBuffer.allocateDirect(PAGE);
    private Optional<FileChannel> file = Optional.empty();

    @Setup
    public void open() throws IOException {
      Path path = Files.createTempFile("lonja-bench", ".bin");
      file = Optional.of(FileChannel.open(path, StandardOpenOption.WRITE));
    }

    @TearDown
    public void close() throws IOException {
      file.orElseThrow().close();
    }
  }

  /** One issue, as one counter waits for it. */
  @Benchmark
  @Threads(COUNTERS)
  public void issue(Counters counters) {
    counters.issue();
  }

  /** A page written so that it lasts. */
  @Benchmark
  public void durablePage(Disk disk) throws IOException {
    disk.page.clear();
    FileChannel file = disk.file.orElseThrow();
    file.write(disk.page);
    file.force(true);
  }
}
