package dev.lonja.desk.replay;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.replay.Course;
import dev.lonja.core.replay.Past;
import dev.lonja.core.replay.Span;
import dev.lonja.desk.Cage;
import dev.lonja.store.replay.PastRepository.Net;
import dev.lonja.store.replay.PastRepository.ShortLine;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The example's oil filter, item 8, from 14 September 2026 to 14 March 2027. */
class StorePastTest {

  private static final ItemId FILTER = new ItemId(8);
  private static final Currency EUR = Currency.getInstance("EUR");
  private static final Span SPAN = new Span(day("2026-09-14"), day("2027-03-14"));
  private static final UnitPrice TEN = UnitPrice.of(BigDecimal.TEN, EUR);

  @RegisterExtension private final Cage cage = new Cage();

  private static LocalDate day(String text) {
    return LocalDate.parse(text);
  }

  private static Quantity pieces(long count) {
    return new Quantity(Measure.PIECES, count * 1_000_000);
  }

  private static Net net(String day, MovementKind kind, String tray, long count, long minor) {
    return new Net(FILTER, day(day), kind, tray, pieces(count), new Money(minor, EUR));
  }

  private Subject filter() {
    Item item = cage.read(session -> session.items().byId(FILTER)).orElseThrow();
    return Subject.all(
            List.of(item), new Subject.There(Map.of(), Map.of()), List.of(), SPAN.first())
        .get(0);
  }

  /**
   * Of the 3 that tray 9 took on 12 October 2 had been lacking on tray 7 on the 5th: they were
   * wanted then. What moved before the span is there at its start.
   */
  @Test
  void whatWasLackingIsAskedForOnTheDayItWasWanted() {
    StorePast past =
        new StorePast(
            SPAN,
            List.of(
                net("2026-08-01", MovementKind.RECEIPT, "", 6, 6_000),
                net("2026-09-01", MovementKind.ISSUE, "5", -4, -4_000),
                net("2026-10-05", MovementKind.ISSUE, "7", -2, -2_000),
                net("2026-10-10", MovementKind.RECEIPT, "", 8, 8_800),
                // from two lots
                net("2026-10-12", MovementKind.ISSUE, "9", -2, -2_200),
                net("2026-10-12", MovementKind.ISSUE, "9", -1, -1_100),
                net("2026-11-02", MovementKind.TRANSFER, "", -1, 0),
                net("2026-11-03", MovementKind.SCRAP, "", -1, -1_100),
                net("2027-03-15", MovementKind.ISSUE, "11", -1, -1_100)),
            List.of(
                new ShortLine(
                    FILTER,
                    day("2026-10-05"),
                    pieces(2),
                    Optional.of(day("2026-10-12")),
                    "9",
                    false)));
    Past its = past.of(filter(), TEN);
    assertThat(its.atStart()).isEqualTo(pieces(2));
    assertThat(its.asked())
        .containsExactly(
            new Past.On(day("2026-10-05"), pieces(2)),
            new Past.On(day("2026-10-05"), pieces(2)),
            new Past.On(day("2026-10-12"), pieces(1)));
    assertThat(its.changes()).containsExactly(new Past.On(day("2026-11-03"), pieces(-1)));
    assertThat(its.came()).containsExactly(new Past.On(day("2026-10-10"), pieces(8)));
    assertThat(its.lines())
        .containsExactly(new Past.ShortLine(day("2026-10-05"), day("2026-10-12"), pieces(2)));
  }

  /** Eight for 88.00 where ten euros is the lowest price of one: 8.00 of it is dear. */
  @Test
  void whatWasPaidAboveTheLowestPriceIsDear() {
    StorePast past =
        new StorePast(
            SPAN,
            List.of(
                net("2026-08-01", MovementKind.RECEIPT, "", 6, 9_000),
                net("2026-10-10", MovementKind.RECEIPT, "", 8, 8_800),
                net("2026-12-01", MovementKind.RECEIPT, "", 1, 900)),
            List.of());
    assertThat(past.received(filter(), TEN))
        .isEqualTo(new Course.Orders(2, new Money(9_700, EUR), new Money(800, EUR)));
  }

  /** What nobody waits for any more stands short no longer; what nobody has served does. */
  @Test
  void aShortLineStandsUntilItIsServedOrDropped() {
    StorePast past =
        new StorePast(
            SPAN,
            List.of(),
            List.of(
                new ShortLine(FILTER, day("2026-10-05"), pieces(1), Optional.empty(), "", true),
                new ShortLine(FILTER, day("2026-10-06"), pieces(1), Optional.empty(), "", false)));
    assertThat(past.of(filter(), TEN).lines())
        .extracting(Past.ShortLine::until)
        .containsExactly(day("2026-10-05"), day("2027-03-15"));
  }
}
