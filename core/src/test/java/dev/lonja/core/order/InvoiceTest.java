package dev.lonja.core.order;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Money;
import java.math.BigDecimal;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.stream.LongStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class InvoiceTest {

  private static final Currency EUR = Currency.getInstance("EUR");

  private static Money money(long minor) {
    return new Money(minor, EUR);
  }

  private static Invoice.Delivered delivered(long movement, long booked, Long charged) {
    return new Invoice.Delivered(
        movement, money(booked), Optional.ofNullable(charged).map(InvoiceTest::money));
  }

  private static List<Long> differences(List<Invoice.Delivered> deliveries, long freight) {
    return Invoice.lines(deliveries, money(freight)).stream()
        .map(line -> line.difference().minor())
        .toList();
  }

  /**
   * 60.00 charged for 50.00 booked, 30.00 for 30.00; freight of 9.00 by 60 to 30: 6.00 and 3.00.
   */
  @Test
  void freightIsSharedOutByWhatIsCharged() {
    assertThat(differences(List.of(delivered(1, 5000, 6000L), delivered(2, 3000, 3000L)), 900))
        .containsExactly(1600L, 300L);
  }

  /** What the invoice does not name keeps its worth and bears no freight. */
  @Test
  void whatIsNotChargedIsLeftAlone() {
    List<Invoice.Line> lines =
        Invoice.lines(List.of(delivered(1, 5000, null), delivered(2, 3000, 2900L)), money(100));
    assertThat(lines)
        .containsExactly(new Invoice.Line(2, Optional.of(money(2900)), Money.zero(EUR)));
  }

  /** A carrier's bill of 1.00 over 20.00 and 10.00 that are booked: 0.67 and the rest, 0.33. */
  @Test
  void aBillForFreightAloneFallsOnEverything() {
    assertThat(differences(List.of(delivered(1, 2000, null), delivered(2, 1000, null)), 100))
        .containsExactly(67L, 33L);
  }

  /** Ten cents over three by nothing: by equal parts, 3, 3 and the rest. Below zero the same. */
  @Test
  void sharesAddUp() {
    List<BigDecimal> none = Stream.generate(() -> BigDecimal.ZERO).limit(3).toList();
    assertThat(minor(money(10).shared(none))).containsExactly(3L, 3L, 4L);
    // 5 by 1, 1, 1: each 1.67, rounded 2 and 2, the rest is 1
    List<BigDecimal> equal = LongStream.of(1, 1, 1).mapToObj(BigDecimal::valueOf).toList();
    assertThat(minor(money(5).shared(equal))).containsExactly(2L, 2L, 1L);
    assertThat(minor(money(-5).shared(equal))).containsExactly(-2L, -2L, -1L);
    // 2 by 1, 1, 1: each 0.67, rounded 1 and 1, and nothing is left
    assertThat(minor(money(2).shared(equal))).containsExactly(1L, 1L, 0L);
  }

  private static List<Long> minor(List<Money> shares) {
    return shares.stream().map(Money::minor).toList();
  }
}
