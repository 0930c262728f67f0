package dev.lonja.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.choice.LeastSet.Choice;
import dev.lonja.core.choice.LeastSet.Demand;
import dev.lonja.core.choice.LeastSet.Offer;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.quantity.Volume;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Currency;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** The least set of products. Prices in cents a litre, holding in cents a year. */
class LeastSetTest {

  private static final Currency EUR = Currency.getInstance("EUR");

  private static Offer offer(ProductId id, String name, long centsPerLitre, long holding) {
    return new Offer(id, name, new UnitPrice(centsPerLitre * 10_000, EUR), new Money(holding, EUR));
  }

  private static Demand demand(long id, long unit, long litres, long today, Long... covering) {
    return new Demand(
        id,
        Map.of(new UnitId(unit), Volume.ofLitres(String.valueOf(litres))),
        ids(covering),
        Optional.of(new ProductId(today)));
  }

  private static Set<ProductId> ids(Long... products) {
    return Stream.of(products).map(ProductId::new).collect(Collectors.toSet());
  }

  /**
   * Faro at 3.00 covers specs 1 and 2, Sereno at 5.00 covers all three. Two products: 300 + 300 +
   * 500 cents of oil per litre each at 100 L = 30,000 + 30,000 + 50,000, and twice 4,000 to hold:
   * 118,000. Sereno alone: 3 × 50,000 + 4,000 = 154,000.
   */
  @Test
  void aCheapSecondProductIsWorthItsShelf() {
    LeastSet.Plan plan =
        LeastSet.of(
            List.of(
                demand(1, 11, 100, 1, 1L, 2L),
                demand(2, 12, 100, 1, 1L, 2L),
                demand(3, 13, 100, 2, 2L)),
            List.of(
                offer(new ProductId(1), "Faro", 300, 4_000),
                offer(new ProductId(2), "Sereno", 500, 4_000)),
            Choice.FREE);
    assertThat(plan.products()).containsExactly(new ProductId(1), new ProductId(2));
    assertThat(plan.assignment())
        .isEqualTo(Map.of(1L, new ProductId(1), 2L, new ProductId(1), 3L, new ProductId(2)));
    assertThat(plan.cost().minor()).isEqualTo(118_000);
    assertThat(plan.saving().minor()).isZero();
  }

  /** At 5 L each the second shelf is dear: 3 × 2,500 + 4,000 = 11,500 against 13,500. */
  @Test
  void oneProductServesAllWhereLittleIsUsed() {
    List<Demand> demands =
        List.of(demand(1, 11, 5, 1, 1L, 2L), demand(2, 12, 5, 1, 1L, 2L), demand(3, 13, 5, 2, 2L));
    List<Offer> offers =
        List.of(
            offer(new ProductId(1), "Faro", 300, 4_000),
            offer(new ProductId(2), "Sereno", 500, 4_000));
    LeastSet.Plan plan = LeastSet.of(demands, offers, Choice.FREE);
    assertThat(plan.products()).containsExactly(new ProductId(2));
    assertThat(plan.cost().minor()).isEqualTo(11_500);
    assertThat(plan.costToday().minor()).isEqualTo(13_500);
    assertThat(plan.saving().minor()).isEqualTo(2_000);
    // without unit 13 Faro alone serves the others: 13 forces Sereno
    assertThat(LeastSet.forcedBy(demands, offers, Choice.FREE, plan))
        .isEqualTo(Map.of(new UnitId(13), List.of(new ProductId(2))));
  }

  @Test
  void whatIsForbiddenIsNotChosenAndWhatIsKeptIs() {
    List<Demand> demands = List.of(demand(1, 11, 5, 1, 1L, 2L));
    List<Offer> offers =
        List.of(
            offer(new ProductId(1), "Faro", 300, 100), offer(new ProductId(2), "Sereno", 500, 100));
    assertThat(LeastSet.of(demands, offers, new Choice(ids(1L), Set.of())).products())
        .containsExactly(new ProductId(2));
    LeastSet.Plan kept = LeastSet.of(demands, offers, new Choice(Set.of(), ids(2L)));
    assertThat(kept.products()).containsExactly(new ProductId(1), new ProductId(2));
    assertThat(kept.assignment()).isEqualTo(Map.of(1L, new ProductId(1)));
    assertThat(kept.cost().minor()).isEqualTo(1_500 + 200);
    assertThatThrownBy(() -> new Choice(ids(1L), ids(1L))).hasMessageContaining("forbidden");
  }

  /** The uncovered spec counts in neither cost, though it is served by something today. */
  @Test
  void aSpecThatNothingCoversIsNamedAndLeftOut() {
    LeastSet.Plan plan =
        LeastSet.of(
            List.of(demand(1, 11, 10, 1, 1L), demand(2, 12, 10, 2)),
            List.of(
                offer(new ProductId(1), "Faro", 300, 100),
                offer(new ProductId(2), "Rola", 900, 100)),
            Choice.FREE);
    assertThat(plan.uncovered()).containsExactly(2L);
    assertThat(plan.cost().minor()).isEqualTo(3_100);
    assertThat(plan.costToday().minor()).isEqualTo(3_100);
  }

  @Test
  void nothingInUseNeedsNothing() {
    LeastSet.Plan plan =
        LeastSet.of(List.of(), List.of(offer(new ProductId(1), "Faro", 1, 1)), Choice.FREE);
    assertThat(plan.products()).isEmpty();
    assertThat(plan.cost().minor()).isZero();
  }

  /** Of sets of equal cost the smaller, then the first by name. */
  @Test
  void tiesGoToFewerProductsThenToNames() {
    List<Demand> two = List.of(demand(1, 11, 10, 1, 1L, 2L, 3L), demand(2, 12, 10, 1, 1L, 2L, 3L));
    assertThat(
            LeastSet.of(
                    two,
                    List.of(
                        offer(new ProductId(1), "Ria", 300, 500),
                        offer(new ProductId(2), "Duna", 300, 500),
                        offer(new ProductId(3), "Faro", 300, 500)),
                    Choice.FREE)
                .products())
        .containsExactly(new ProductId(2));
    // 2 × 10 L at 2.75 with shelves that cost nothing: 55.00 with one product as with two
    assertThat(
            LeastSet.of(
                    List.of(demand(1, 11, 10, 1, 1L, 3L), demand(2, 12, 10, 1, 2L, 3L)),
                    List.of(
                        offer(new ProductId(1), "Ria", 275, 0),
                        offer(new ProductId(2), "Duna", 275, 0),
                        offer(new ProductId(3), "Zo", 275, 0)),
                    Choice.FREE)
                .products())
        .containsExactly(new ProductId(3));
  }

  /** Against every subset of products, on 150 small instances. */
  @Test
  void agreesWithTryingEverySet() {
    Random random = new Random(20_270_315);
    for (int instance = 0; instance < 150; instance++) {
      List<Offer> offers = new ArrayList<>();
      int products = 2 + random.nextInt(5);
      for (long id = 1; id <= products; id++) {
        long price = 100 + 25L * random.nextInt(8);
        offers.add(offer(new ProductId(id), "P" + (9 - id), price, 250L * random.nextInt(5)));
      }
      List<Demand> demands = new ArrayList<>();
      int specs = 1 + random.nextInt(6);
      for (long id = 1; id <= specs; id++) {
        Set<ProductId> covering = new TreeSet<>();
        for (long product = 1; product <= products; product++) {
          if (random.nextInt(3) > 0) {
            covering.add(new ProductId(product));
          }
        }
        demands.add(
            new Demand(
                id,
                Map.of(new UnitId(id), Volume.ofLitres(String.valueOf(1 + random.nextInt(12)))),
                covering,
                Optional.empty()));
      }
      LeastSet.Plan plan = LeastSet.of(demands, offers, Choice.FREE);
      assertThat(plan.products()).as("instance %d", instance).isEqualTo(best(demands, offers));
    }
  }

  private record Tried(List<Offer> set, long cost) {
    String names() {
      return String.join(" ", set.stream().map(Offer::name).sorted().toList());
    }
  }

  private static List<ProductId> best(List<Demand> demands, List<Offer> offers) {
    List<Tried> tried = new ArrayList<>();
    for (int mask = 0; mask < 1 << offers.size(); mask++) {
      List<Offer> set = new ArrayList<>();
      for (int i = 0; i < offers.size(); i++) {
        if ((mask >> i & 1) == 1) {
          set.add(offers.get(i));
        }
      }
      cost(demands, offers, set).ifPresent(cost -> tried.add(new Tried(set, cost)));
    }
    return tried.stream()
        .min(
            Comparator.comparing(Tried::cost)
                .thenComparing(t -> t.set().size())
                .thenComparing(Tried::names))
        .orElseThrow()
        .set()
        .stream()
        .sorted(Comparator.comparing(Offer::name))
        .map(Offer::productId)
        .toList();
  }

  /**
   * By the definition: holding plus the cheapest chosen product for each spec; empty if one lacks.
   */
  private static Optional<Long> cost(List<Demand> demands, List<Offer> offers, List<Offer> set) {
    Map<ProductId, Offer> byId = new HashMap<>();
    set.forEach(offer -> byId.put(offer.productId(), offer));
    long cost = set.stream().mapToLong(offer -> offer.holding().minor()).sum();
    for (Demand demand : demands) {
      long litres =
          demand.litresPerYear().values().stream().mapToLong(Volume::microlitres).sum() / 1_000_000;
      Optional<Long> cheapest =
          demand.covering().stream()
              .filter(byId::containsKey)
              .map(id -> byId.get(id).price().tenThousandthsOfMinor() / 10_000 * litres)
              .min(Comparator.naturalOrder());
      boolean coverable = offers.stream().anyMatch(o -> demand.covering().contains(o.productId()));
      if (coverable && cheapest.isEmpty()) {
        return Optional.empty();
      }
      cost += cheapest.orElse(0L);
    }
    return Optional.of(cost);
  }
}
