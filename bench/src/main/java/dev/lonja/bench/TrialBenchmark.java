package dev.lonja.bench;

import dev.lonja.app.LonjaApplication;
import dev.lonja.app.demo.DemoStore;
import dev.lonja.core.meter.MeterOutlook;
import dev.lonja.core.trial.TrialRules;
import dev.lonja.core.trial.TrialTotals;
import dev.lonja.core.trial.TrialUnit;
import dev.lonja.core.trial.UnitTrials;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.Kits;
import dev.lonja.store.LonjaStore;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.apache.commons.rng.UniformRandomProvider;
import org.apache.commons.rng.sampling.distribution.ContinuousSampler;
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
import org.openjdk.jmh.annotations.Warmup;

/** The trials of the forecast, 2,000 over 52 weeks, of fleets and of the demo, in 1 GB. */
@BenchmarkMode(Mode.SingleShotTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
@Warmup(iterations = 2)
@Measurement(iterations = 3)
public class TrialBenchmark {

  private static final int READINGS = 120;
  private static final int PARTS = 40;
  private static final TrialRules RULES =
      new TrialRules(1, TrialRules.USUAL_TRIALS, LargeFleet.TODAY, 52);

  private static List<TrialUnit> units(LonjaStore store) {
    return store.read(
        session -> {
          FleetPicture fleet = FleetPicture.load(session, LargeFleet.TODAY);
          return fleet.trialUnits(List.of(), Kits.of(session, fleet));
        });
  }

  private static TrialTotals draw(List<TrialUnit> units) {
    List<UnitTrials> trials =
        units.parallelStream().map(unit -> new UnitTrials(unit, RULES)).toList();
    TrialTotals totals = new TrialTotals(RULES);
    IntStream.range(0, PARTS)
        .parallel()
        .forEach(
            part -> {
              int from = RULES.trials() * part / PARTS;
              int to = RULES.trials() * (part + 1) / PARTS;
              trials.forEach(one -> one.draw(from, to, totals));
            });
    return totals;
  }

  /** Machines of the demo over and over. */
  @State(Scope.Benchmark)
  public static class Fleet {

    @Param({"500", "1000", "5000"})
    private int size;

    private List<TrialUnit> units = List.of();
    private TrialTotals drawn = new TrialTotals(RULES);

    @Setup
    public void make() {
      Path folder = LargeFleet.folder(size, READINGS);
      try (LonjaStore store = LonjaStore.open(folder.resolve(LonjaApplication.DATABASE))) {
        units = units(store);
      }
      drawn = draw(units.subList(0, 200));
    }
  }

  /** Everything drawn anew. */
  @Benchmark
  public TrialTotals wholeFleet(Fleet fleet) {
    return draw(fleet.units);
  }

  /** One unit taken off and drawn again, by one thread. */
  @Benchmark
  public TrialTotals oneUnitChanged(Fleet fleet) {
    TrialTotals next = fleet.drawn.goOn();
    TrialUnit unit = fleet.units.get(7);
    new UnitTrials(unit, RULES).draw(0, RULES.trials(), next.takingOff());
    new UnitTrials(unit, RULES).draw(0, RULES.trials(), next);
    return next;
  }

  /** Nothing but the Gamma draws of all meters that tasks count by, week by week. */
  @Benchmark
  public double bareDraws(Fleet fleet) {
    return fleet.units.parallelStream().mapToDouble(TrialBenchmark::bareDraws).sum();
  }

  private static double bareDraws(TrialUnit unit) {
    UniformRandomProvider random = new SplittableRandom(unit.id().value())::nextLong;
    double sum = 0;
    List<MeterOutlook> meters =
        unit.tasks().stream().flatMap(task -> task.outlook().stream()).distinct().toList();
    for (MeterOutlook meter : meters) {
      LocalDate from = RULES.today();
      for (int week = 0; week < RULES.weeks(); week++) {
        Optional<ContinuousSampler> gamma = meter.usage(from, RULES.sunday(week)).gamma(random);
        for (int trial = 0; gamma.isPresent() && trial < RULES.trials(); trial++) {
          sum += gamma.get().sample();
        }
        from = RULES.sunday(week);
      }
    }
    return sum;
  }

  /** The demo's store. */
  @State(Scope.Benchmark)
  public static class Demo {

    private List<TrialUnit> units = List.of();

    @Setup
    public void make() throws IOException {
      Path folder = Files.createTempDirectory("lonja-bench");
      try (LonjaStore store = LonjaStore.open(folder.resolve(LonjaApplication.DATABASE))) {
        DemoStore.create(store, LargeFleet.TODAY);
        units = units(store);
      }
    }
  }

  /** The demo drawn anew. */
  @Benchmark
  @Warmup(iterations = 20)
  @Measurement(iterations = 20)
  public TrialTotals demo(Demo demo) {
    return draw(demo.units);
  }
}
