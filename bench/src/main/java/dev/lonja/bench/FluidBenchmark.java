package dev.lonja.bench;

import dev.lonja.core.choice.LeastSet;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.Approval;
import dev.lonja.core.fluid.ApprovalCode;
import dev.lonja.core.fluid.FluidReference;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductClaims;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.fluid.SpecJudge;
import dev.lonja.core.grade.Climate;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Grade;
import dev.lonja.core.grade.GradeChart;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.grade.Window;
import dev.lonja.core.mixture.Protection;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import dev.lonja.store.reference.ReferenceRepository;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
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

/** A matrix of 300 products and 2,000 specs, and a study of 60 products and 400 specs. */
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(value = 1, jvmArgsAppend = "-Xmx1g")
@Warmup(iterations = 2, time = 5)
@Measurement(iterations = 3, time = 5)
public class FluidBenchmark {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final List<String> GRADES =
      List.of("0W-20", "5W-30", "5W-40", "10W-30", "10W-40", "15W-40", "20W-50");

  /** What is judged. */
  @State(Scope.Benchmark)
  public static class Fluids {
    private final Random random = new Random(20_270_315);
    private final FluidReference reference =
        ReferenceRepository.fluids(ReferenceRepository::shipped);
    private final List<ServiceClass> classes = reference.classes().all();
    private final Window year =
        Window.year(
            new Climate(
                IntStream.range(0, 12)
                    .mapToObj(
                        month ->
                            new Climate.MonthRange(
                                new Temperature(-50 + 10 * month), new Temperature(370)))
                    .toList()));
    private final List<ProductClaims> products = new ArrayList<>();
    private final List<Spec> specs = new ArrayList<>();
    private final List<LeastSet.Demand> demands = new ArrayList<>();
    private final List<LeastSet.Offer> offers = new ArrayList<>();

    @Setup
    public void fill() {
      for (int i = 0; i < 300; i++) {
        products.add(reference.read(product(i)));
      }
      for (int i = 0; i < 2_000; i++) {
        specs.add(spec());
      }
      for (long id = 1; id <= 60; id++) {
        offers.add(
            new LeastSet.Offer(
                new ProductId(id),
                "Product " + id,
                new UnitPrice((250 + random.nextInt(600)) * 10_000L, EUR),
                new Money(6_000 + random.nextInt(9_000), EUR)));
      }
      for (long id = 0; id < 400; id++) {
        demands.add(demand(id));
      }
    }

    private LeastSet.Demand demand(long id) {
      Set<ProductId> covering = new TreeSet<>();
      int most = 2 + random.nextInt(9);
      while (covering.size() < most) {
        covering.add(new ProductId(1L + random.nextInt(60)));
      }
      return new LeastSet.Demand(
          id,
          Map.of(new UnitId(id + 1), Volume.ofLitres(String.valueOf(1 + random.nextInt(200)))),
          covering,
          Optional.empty());
    }

    private Product product(int i) {
      Product.Data data =
          new Product.Data(
              random.nextInt(4) == 0
                  ? Optional.empty()
                  : Optional.of(new AshContent(500 + random.nextInt(1_200))),
              Optional.of(600 + random.nextInt(800)),
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              Optional.empty(),
              List.of());
      return new Product(
          new ProductId(i + 1L),
          "Maretta",
          "Oil " + i,
          i % 3 == 0 ? FluidKind.GEAR_OIL : FluidKind.ENGINE_OIL,
          i % 3 == 0 ? "80W-90" : GRADES.get(i % GRADES.size()),
          oneClass().text() + "; " + oneClass().text(),
          List.of(new Approval(new ApprovalCode("VK-" + (200 + i % 40)), true)),
          data,
          0);
    }

    private ServiceClass oneClass() {
      return classes.get(random.nextInt(classes.size()));
    }

    private Spec spec() {
      boolean gear = random.nextInt(3) == 0;
      List<GradeRow> rows = new ArrayList<>();
      for (int i = 0; i < 3; i++) {
        rows.add(
            new GradeRow(
                new Grade(gear ? "80W-90" : GRADES.get(random.nextInt(GRADES.size()))),
                Optional.of(new Temperature(-300 + 50 * random.nextInt(8))),
                Optional.of(new Temperature(300 + 50 * random.nextInt(4)))));
      }
      return new Spec(
          gear ? FluidKind.GEAR_OIL : FluidKind.ENGINE_OIL,
          new GradeChart(rows),
          List.of(Set.of(oneClass()), Set.of(oneClass())),
          List.of(new ApprovalCode("VK-" + (200 + random.nextInt(40)))),
          random.nextBoolean() ? Spec.ApprovalMode.LISTED : Spec.ApprovalMode.OR_CLASS,
          new Spec.Limits(
              Optional.of(new AshContent(1_000)),
              Optional.empty(),
              Spec.FrictionModifier.ANY,
              false,
              false,
              Optional.empty(),
              Optional.empty(),
              Protection.UNSAID));
    }
  }

  /** 600,000 verdicts; the reasons come when a cell is opened. */
  @Benchmark
  public int matrix(Fluids fluids) {
    int free = 0;
    for (Spec spec : fluids.specs) {
      SpecJudge judge = new SpecJudge(spec, fluids.year, fluids.reference);
      for (ProductClaims product : fluids.products) {
        free += judge.stand(product).overall().isFree() ? 1 : 0;
      }
    }
    return free;
  }

  /** The verdicts of one spec with all reasons in the same number, as its page shows them. */
  @Benchmark
  public int reasonsOfOneSpec(Fluids fluids) {
    SpecJudge judge = new SpecJudge(fluids.specs.get(0), fluids.year, fluids.reference);
    int reasons = 0;
    for (ProductClaims product : fluids.products) {
      reasons += judge.judge(product).reasons().size();
    }
    return reasons;
  }

  /** The least set to proven optimality, ties looked through. */
  @Benchmark
  public long study(Fluids fluids) {
    return LeastSet.of(fluids.demands, fluids.offers, LeastSet.Choice.FREE).cost().minor();
  }
}
