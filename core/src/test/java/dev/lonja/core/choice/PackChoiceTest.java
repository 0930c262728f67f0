package dev.lonja.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.entry;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** Which packs to take. Prices in cents a pack. */
class PackChoiceTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final FutureUse A_LITRE_A_DAY =
      days -> Volume.ofLitres(BigDecimal.valueOf(Math.min(days, 3_650)));

  private static Pack pack(long id, String litres, long cents) {
    return pack(id, litres, cents, 1, null, null, null);
  }

  private static Pack pack(
      long id, String litres, long cents, int least, Integer shelf, Integer open, Integer exist) {
    return new Pack(
        new Pack.Origin.Sealed(new ItemId(id)),
        litres + " L",
        Volume.ofLitres(litres),
        new Money(cents, EUR),
        least,
        Optional.ofNullable(shelf),
        Optional.ofNullable(open),
        Optional.ofNullable(exist));
  }

  private static String words(PackSet set) {
    return set.counts().stream()
        .map(count -> count.packs() + " × " + count.pack().number())
        .collect(Collectors.joining(" + "));
  }

  private static PackChoice.Choice choose(String litres, FutureUse use, Pack... packs) {
    return PackChoice.of(Volume.ofLitres(litres), List.of(packs), use).orElseThrow();
  }

  /**
   * 6.6 L, nothing used afterwards: 1 × 5 + 2 × 1 costs 2,100 + 1,020 = 3,120 and leaves 0.4 L; 2 ×
   * 5 would cost 4,200, 7 × 1 3,570.
   */
  @Test
  void leastMoneyWhereTheRestIsLost() {
    PackChoice.Choice choice =
        choose("6.6", FutureUse.NONE, pack(1, "5", 2_100), pack(2, "1", 510));
    assertThat(words(choice.best())).isEqualTo("1 × 5 L + 2 × 1 L");
    assertThat(choice.best().over()).isEqualTo(Volume.ofLitres("0.4"));
    assertThat(choice.best().paid().minor()).isEqualTo(3_120);
    assertThat(choice.runnerUp().map(PackChoiceTest::words)).contains("7 × 1 L");
  }

  /** 6.6 L from 1 × 5 and 2 × 1: the five whole, and of two bottles 1.6 L. */
  @Test
  void whatIsLeftOverStaysInTheSmallestPack() {
    PackSet set = choose("6.6", FutureUse.NONE, pack(1, "5", 2_100), pack(2, "1", 510)).best();
    assertThat(set.amounts())
        .containsExactly(
            entry(new ItemId(1), Quantity.litres("5")),
            entry(new ItemId(2), Quantity.litres("1.6")));
  }

  /**
   * The same with a litre a day used: v is 4.20 a litre (two cans alone leave no waste). Two cans:
   * 4,200 − 3.4 × 420 = 2,772; a can and two bottles: 3,120 − 0.4 × 420 = 2,952.
   */
  @Test
  void aRestThatIsUsedIsWorthItsPrice() {
    PackChoice.Choice choice = choose("6.6", A_LITRE_A_DAY, pack(1, "5", 2_100), pack(2, "1", 510));
    assertThat(words(choice.best())).isEqualTo("2 × 5 L");
    assertThat(choice.best().usedInTime()).isEqualTo(Volume.ofLitres("3.4"));
    assertThat(choice.best().pricePerLitreUsed().tenThousandthsOfMinor()).isEqualTo(4_200_000);
    assertThat(choice.runnerUp().map(PackChoiceTest::words)).contains("1 × 5 L + 2 × 1 L");
  }

  /**
   * Opened, the can keeps one day: of its 3.4 L one is used. v comes from the bottle, 510, which
   * leaves 0.4 L, used in its day. Cans: 4,200 − 510 = 3,690; can and bottles: 3,120 − 0.4 × 510 =
   * 2,916.
   */
  @Test
  void whatIsOpenKeepsForItsOpenedLife() {
    PackChoice.Choice choice =
        choose(
            "6.6",
            A_LITRE_A_DAY,
            pack(1, "5", 2_100, 1, 900, 1, null),
            pack(2, "1", 510, 1, 900, 1, null));
    assertThat(words(choice.best())).isEqualTo("1 × 5 L + 2 × 1 L");
    assertThat(choice.best().usedInTime()).isEqualTo(Volume.ofLitres("0.4"));
  }

  /** A drum is cheapest by the litre, but keeps 30 days: 205 − 6 − 30 L would be thrown away. */
  @Test
  void whatOutlivesItsShelfIsNotBought() {
    PackChoice.Choice choice =
        choose(
            "6",
            A_LITRE_A_DAY,
            pack(1, "205", 2_050, 1, 30, 30, null),
            pack(2, "5", 2_100, 1, 900, 365, null));
    assertThat(words(choice.best())).isEqualTo("2 × 5 L");
    assertThat(choice.wasteful()).isFalse();
    assertThat(choice.runnerUp()).isEmpty();
  }

  @Test
  void wasteIsFlaggedWhereNothingElseCovers() {
    PackChoice.Choice choice =
        choose("6", FutureUse.NONE, pack(1, "205", 2_050, 1, 30, 30, null), pack(2, "20", 9_000));
    assertThat(choice.wasteful()).isTrue();
    assertThat(words(choice.best())).isEqualTo("1 × 20 L");
    assertThat(choice.best().wastedSealed()).isEqualTo(Volume.ofLitres("14"));
  }

  @Test
  void onlyWhatExistsIsTaken() {
    PackChoice.Choice choice =
        choose("6.6", FutureUse.NONE, pack(1, "5", 2_100, 1, null, null, 1), pack(2, "1", 510));
    assertThat(words(choice.best())).isEqualTo("1 × 5 L + 2 × 1 L");
    assertThat(
            PackChoice.of(
                Volume.ofLitres("6.6"),
                List.of(pack(1, "5", 2_100, 1, null, null, 1)),
                FutureUse.NONE))
        .isEmpty();
  }

  /** Six bottles are the least that are sold: for 2 L that is 6, and two cans are dearer. */
  @Test
  void theLeastQuantityIsKept() {
    PackChoice.Choice choice =
        choose("2", A_LITRE_A_DAY, pack(1, "1", 510, 6, null, null, null), pack(2, "5", 4_000));
    assertThat(words(choice.best())).isEqualTo("6 × 1 L");
  }

  @Test
  void anExactFitLeavesNothing() {
    PackChoice.Choice choice =
        choose("20", FutureUse.NONE, pack(1, "20", 8_000), pack(2, "5", 2_000));
    assertThat(words(choice.best())).isEqualTo("1 × 20 L");
    assertThat(choice.best().over()).isEqualTo(Volume.ZERO);
    assertThat(choice.runnerUp().map(PackChoiceTest::words)).contains("4 × 5 L");
  }

  @Test
  void brokenInputIsRefused() {
    assertThatThrownBy(() -> PackChoice.of(Volume.ZERO, List.of(), FutureUse.NONE))
        .hasMessageContaining("need is 0");
    assertThatThrownBy(() -> pack(1, "0", 100)).hasMessageContaining("litres are 0");
    assertThatThrownBy(() -> pack(1, "1", -1)).hasMessageContaining("-0.01 EUR");
    assertThatThrownBy(() -> pack(1, "1", 1, 0, null, null, null))
        .hasMessageContaining("least is 0");
  }

  /** Against every combination of up to seven packs of each of three kinds, 400 instances. */
  @Test
  void agreesWithTryingEverySet() {
    Random random = new Random(20_270_315);
    for (int instance = 0; instance < 400; instance++) {
      List<Pack> packs = new ArrayList<>();
      String[] sizes = {"1", "2.5", "4"};
      for (int kind = 0; kind < 3; kind++) {
        packs.add(
            pack(
                kind + 1,
                sizes[kind],
                100 + random.nextInt(900),
                1 + random.nextInt(2),
                random.nextBoolean() ? null : 1 + random.nextInt(9),
                random.nextBoolean() ? null : 1 + random.nextInt(5),
                random.nextBoolean() ? null : random.nextInt(4)));
      }
      Volume need = new Volume(100_000L * (1 + random.nextInt(65)));
      long perDay = 250_000L * random.nextInt(4);
      FutureUse use = days -> new Volume(perDay * Math.min(days, 40));
      Optional<PackChoice.Choice> found = PackChoice.of(need, packs, use);
      List<PackSet> tried = everySet(need, packs, use);
      String what = "instance " + instance;
      assertThat(found.map(choice -> words(choice.best())))
          .as(what)
          .isEqualTo(tried.stream().findFirst().map(PackChoiceTest::words));
      assertThat(found.flatMap(PackChoice.Choice::runnerUp).map(PackChoiceTest::words))
          .as(what)
          .isEqualTo(tried.stream().skip(1).findFirst().map(PackChoiceTest::words));
    }
  }

  /** Every set that may be taken, best first, by the definition. */
  private static List<PackSet> everySet(Volume need, List<Pack> packs, FutureUse use) {
    List<PackSet> all = new ArrayList<>();
    for (int a = 0; a <= 7; a++) {
      for (int b = 0; b <= 7; b++) {
        for (int c = 0; c <= 7; c++) {
          add(need, packs, new int[] {a, b, c}, use, all);
        }
      }
    }
    List<PackSet> lasting =
        all.stream().filter(set -> set.wastedSealed().microlitres() == 0).toList();
    BigDecimal worth = worth(need, packs, use);
    return (lasting.isEmpty() ? all : lasting)
        .stream()
            .sorted(
                Comparator.comparing(PackSet::wastedSealed)
                    .thenComparing(set -> cost(set, worth))
                    .thenComparing(set -> set.paid().minor())
                    .thenComparing(PackSet::packs))
            .toList();
  }

  private static void add(
      Volume need, List<Pack> packs, int[] counts, FutureUse use, List<PackSet> all) {
    List<PackSet.Count> taken = new ArrayList<>();
    long total = 0;
    for (int i = 0; i < counts.length; i++) {
      Pack pack = packs.get(i);
      if (counts[i] > 0 && counts[i] < pack.least()
          || counts[i] > pack.exist().orElse(Integer.MAX_VALUE)) {
        return;
      }
      total += counts[i] * pack.litres().microlitres();
      if (counts[i] > 0) {
        taken.add(new PackSet.Count(pack, counts[i]));
      }
    }
    long over = total - need.microlitres();
    boolean spare =
        taken.stream()
            .anyMatch(
                count ->
                    over >= count.pack().litres().microlitres() * count.packs()
                        || (count.packs() > count.pack().least()
                            && over >= count.pack().litres().microlitres()));
    if (over >= 0 && !spare) {
      all.add(PackSet.of(taken, need, use));
    }
  }

  private static BigDecimal worth(Volume need, List<Pack> packs, FutureUse use) {
    BigDecimal lowest = null;
    for (Pack pack : packs) {
      long needed = (need.microlitres() - 1) / pack.litres().microlitres() + 1;
      int least = (int) Math.max(needed, pack.least());
      if (least > pack.exist().orElse(Integer.MAX_VALUE)) {
        continue;
      }
      PackSet alone = PackSet.of(List.of(new PackSet.Count(pack, least)), need, use);
      BigDecimal price =
          BigDecimal.valueOf(pack.price().minor())
              .divide(pack.litres().litres(), 12, RoundingMode.HALF_UP);
      boolean wasteless = alone.usedInTime().equals(alone.over());
      if (wasteless && (lowest == null || price.compareTo(lowest) < 0)) {
        lowest = price;
      }
    }
    return lowest == null ? BigDecimal.ZERO : lowest;
  }

  private static BigDecimal cost(PackSet set, BigDecimal worth) {
    return BigDecimal.valueOf(set.paid().minor())
        .subtract(set.usedInTime().litres().multiply(worth))
        .setScale(6, RoundingMode.HALF_UP);
  }
}
