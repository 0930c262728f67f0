package dev.lonja.core.count;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CountPlanTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");
  private static final Currency EUR = Currency.getInstance("EUR");

  private static Money eur(long minor) {
    return new Money(minor, EUR);
  }

  /** Of 1,000: 700 first, then 110 with 70 % before it, 140 with 81 %, 50 with 95 % before it. */
  @Test
  void theFewThatAreWorthMostAreCountedMost() {
    assertThat(
            AbcClass.of(
                Map.of(
                    new ItemId(1), eur(700),
                    new ItemId(2), eur(140),
                    new ItemId(3), eur(110),
                    new ItemId(4), eur(50),
                    new ItemId(5), eur(0))))
        .isEqualTo(
            Map.of(
                new ItemId(1), AbcClass.A,
                new ItemId(2), AbcClass.A,
                // 84 % before it
                new ItemId(3), AbcClass.B,
                // 95 % before it
                new ItemId(4), AbcClass.C));
  }

  private static CountPlan.Kept kept(int item, int bin, AbcClass abc, String last) {
    return new CountPlan.Kept(
        new ItemId(item),
        new BinId(bin),
        bin * 10,
        "N" + item,
        abc,
        last.isEmpty() ? Optional.empty() : Optional.of(LocalDate.parse(last)));
  }

  /** A on 13 Feb is due on 15 Mar; B on 16 Dec was due on 16 Mar, which is tomorrow. */
  @Test
  void whatIsDueFollowsTheWalk() {
    List<CountPlan.Kept> list =
        CountPlan.today(
            List.of(
                kept(1, 4, AbcClass.A, "2027-02-13"),
                kept(2, 3, AbcClass.B, "2026-12-16"),
                kept(3, 2, AbcClass.C, "2026-01-01"),
                kept(5, 1, AbcClass.C, ""),
                kept(4, 1, AbcClass.C, "")),
            Set.of(),
            TODAY,
            12);
    assertThat(list)
        .extracting(CountPlan.Kept::item)
        .extracting(ItemId::value)
        .containsExactly(4L, 5L, 3L, 1L);
  }

  /** Of 20 bins the never counted first, then those that wait longest; two are counted already. */
  @Test
  void noMoreThanADaysWork() {
    List<CountPlan.Kept> all = new ArrayList<>();
    for (int bin = 1; bin <= 20; bin++) {
      all.add(kept(bin, bin, AbcClass.C, bin > 15 ? "" : "2026-0" + (1 + bin % 9) + "-01"));
    }
    List<CountPlan.Kept> list =
        CountPlan.today(all, Set.of(new BinId(101), new BinId(102)), TODAY, 8);
    // the five never counted, and one of those of January: bin 9, since 1 + 9 % 9 = 1
    assertThat(list)
        .extracting(one -> one.bin().value())
        .containsExactly(9L, 16L, 17L, 18L, 19L, 20L);
  }

  @ParameterizedTest
  @CsvSource({
    "40, 40, 0, AGREES",
    // 2 of 100 are 2 %, whatever they are worth
    "98, 100, 5000, DIFFERS",
    // 3 % but no more than ten
    "97, 100, 1000, DIFFERS",
    "97, 100, 1001, COUNT_AGAIN",
    "1, 0, 2000, COUNT_AGAIN"
  })
  void aLargeDifferenceIsCountedAgain(int counted, int book, long worth, CountVerdict verdict) {
    assertThat(CountVerdict.of(Quantity.pieces(counted), Quantity.pieces(book), eur(worth)))
        .isEqualTo(verdict);
  }

  /** From the third bin on and round; the two of bin 3 go together, by name. */
  @Test
  void aStocktakeWalksOnFromWhereOneStands() {
    List<CountPlan.Kept> left =
        List.of(
            kept(1, 1, AbcClass.C, ""),
            kept(4, 3, AbcClass.C, ""),
            kept(2, 2, AbcClass.A, "2027-03-14"),
            kept(3, 3, AbcClass.C, ""));
    assertThat(CountPlan.next(left, 30, 2))
        .extracting(one -> one.item().value())
        .containsExactly(3L, 4L, 1L);
    assertThat(CountPlan.next(left, 0, 99))
        .extracting(one -> one.item().value())
        .containsExactly(1L, 2L, 3L, 4L);
  }
}
