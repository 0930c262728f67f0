package dev.lonja.bench;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Density;
import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tank.Dip;
import dev.lonja.core.tank.DipId;
import dev.lonja.core.tank.Flow;
import dev.lonja.core.tank.NewTank;
import dev.lonja.core.tank.Reconciliation;
import dev.lonja.core.tank.StandardVolume;
import dev.lonja.core.tank.Tank;
import dev.lonja.core.tank.TankId;
import dev.lonja.core.tank.TankShape;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** A year of a tank: a dip a day, 20,000 pours. */
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
@Warmup(iterations = 2, time = 5)
@Measurement(iterations = 3, time = 5)
public class TankBenchmark {

  /** What is held together. */
  @State(Scope.Benchmark)
  public static class Year {
    private static final int DAYS = 365;
    private static final int POURS = 20_000;

    Tank tank;
    StandardVolume standard;
    List<Dip> dips;
    List<Flow> flows;

    @Setup
    public void fill() {
      tank =
          new NewTank(
                  "Tank",
                  new BinId(1),
                  new ItemId(1),
                  new TankShape.Lying(new Length(2_030_000), new Length(1_250_000), true),
                  Tank.USUAL_FILL,
                  Tank.USUAL_ERROR,
                  true)
              .as(new TankId(1), 0);
      standard =
          new StandardVolume(
              Optional.of(Density.ofKilogramsPerCubicMetre(BigDecimal.valueOf(868))));
      Random random = new Random(12);
      Instant start = Instant.parse("2026-01-01T07:00:00Z");
      dips = new ArrayList<>();
      for (int day = 0; day <= DAYS; day++) {
        dips.add(
            new Dip(
                new DipId(day + 1),
                start.plus(Duration.ofDays(day)),
                new Length(1_000L * (300 + random.nextInt(700))),
                Optional.of(new Temperature(100 + random.nextInt(200))),
                true,
                false));
      }
      flows = new ArrayList<>();
      long year = Duration.ofDays(DAYS).toSeconds();
      for (int pour = 0; pour < POURS; pour++) {
        flows.add(
            new Flow(
                start.plusSeconds((long) (random.nextDouble() * year)),
                Flow.Way.POURED,
                new Volume(100_000L + random.nextInt(9_000_000)),
                Optional.empty()));
      }
    }
  }

  @Benchmark
  public Reconciliation reconciliation(Year year) {
    return Reconciliation.of(year.tank, year.standard, year.dips, year.flows);
  }
}
