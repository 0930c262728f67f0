package dev.lonja.bench;

import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.find.NumberSearch;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import dev.lonja.desk.crossref.Alternatives;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
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

/** 500,000 statements over 200,000 parts, half of them stocked, in 1 GB. */
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
@Warmup(iterations = 2, time = 10)
@Measurement(iterations = 3, time = 10)
public class CrossReferenceBenchmark {

  /** The catalogue in a store, and where one looks next. */
  @State(Scope.Benchmark)
  public static class Catalogue {
    private final Random random = new Random(7);
    private Optional<LonjaStore> store = Optional.empty();

    @Setup
    public void fill() {
      LonjaStore open = LargeCatalogue.demo();
      LargeCatalogue.takeIn(open, LargeCatalogue.list());
      LargeCatalogue.stockHalf(open.file());
      store = Optional.of(open);
    }

    @TearDown
    public void close() {
      Runtime runtime = Runtime.getRuntime();
      System.gc();
      long used = (runtime.totalMemory() - runtime.freeMemory()) >> 20;
      System.out.println("heap in use after all searches: " + used + " MB");
      store.ifPresent(LonjaStore::close);
    }

    private LonjaStore store() {
      return store.orElseThrow();
    }

    /** A part that the list names. */
    private PartId part(Session session) {
      return session.parts().byKey(key(), 1).stream()
          .findFirst()
          .map(Part::id)
          .orElseGet(() -> part(session));
    }

    private PartKey key() {
      return PartKey.of(LargeCatalogue.number(random.nextInt(LargeCatalogue.PARTS))).orElseThrow();
    }
  }

  /** A number as it is, with its successors and all that reads like it or is one mark off. */
  @Benchmark
  public Map<NumberSearch.Kind, List<Part>> searchOfANumber(Catalogue catalogue) {
    return catalogue.store().read(session -> found(session, catalogue.key()));
  }

  private static Map<NumberSearch.Kind, List<Part>> found(Session session, PartKey key) {
    return NumberSearch.run(key, session.parts(), session.statements());
  }

  /** The same for a number with a digit misread. */
  @Benchmark
  public Map<NumberSearch.Kind, List<Part>> searchOfAMisreadNumber(Catalogue catalogue) {
    String number = catalogue.key().text();
    int at = catalogue.random.nextInt(number.length());
    PartKey misread =
        PartKey.of(number.substring(0, at) + "7" + number.substring(at + 1)).orElseThrow();
    return catalogue.store().read(session -> found(session, misread));
  }

  /** What may stand for a part, with verdicts, reasons and stock. */
  @Benchmark
  public Alternatives candidatesOfAPart(Catalogue catalogue) {
    return catalogue
        .store()
        .read(
            session ->
                Alternatives.of(
                    session, LargeFleet.TODAY, catalogue.part(session), Fitting.ANYWHERE));
  }

  /** A fresh store and the list for each time it is taken in. */
  @State(Scope.Benchmark)
  public static class Door {
    private final Path list = LargeCatalogue.list();
    private Optional<LonjaStore> store = Optional.empty();

    @Setup(Level.Invocation)
    public void open() {
      store = Optional.of(LargeCatalogue.demo());
    }

    @TearDown(Level.Invocation)
    public void close() {
      store.ifPresent(LonjaStore::close);
    }
  }

  /** 500,000 rows, checked and written. */
  @Benchmark
  @BenchmarkMode(Mode.SingleShotTime)
  @OutputTimeUnit(TimeUnit.SECONDS)
  @Warmup(iterations = 1)
  @Measurement(iterations = 3)
  public int listTakenIn(Door door) {
    return LargeCatalogue.takeIn(door.store.orElseThrow(), door.list);
  }
}
