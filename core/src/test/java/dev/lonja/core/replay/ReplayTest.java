package dev.lonja.core.replay;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import dev.lonja.core.order.Coming;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import dev.lonja.core.reorder.Position;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** 26 weeks from Monday 14 September 2026; a piece is worth 2.00. */
class ReplayTest {

  private static final Currency EUR = Currency.getInstance("EUR");
  private static final Span SPAN = new Span(day("2026-09-14"), day("2027-03-14"));
  private static final UnitPrice TWO = UnitPrice.of(new BigDecimal("2"), EUR);
  private static final Ordering NOTHING = (monday, position) -> Optional.empty();

  private static LocalDate day(String text) {
    return LocalDate.parse(text);
  }

  private static Past.On on(String day, long pieces) {
    return new Past.On(day(day), new Quantity(Measure.PIECES, pieces * 1_000_000));
  }

  private static Past past(long atStart, List<Past.On> asked, List<Past.On> changes) {
    return new Past(Quantity.pieces(atStart), asked, changes, List.of(), List.of(), TWO);
  }

  /** Four are ordered on the first Monday and come on the third. */
  private static Optional<Ordering.Placed> four(LocalDate monday) {
    return monday.equals(day("2026-09-14"))
        ? Optional.of(
            new Ordering.Placed(
                Quantity.pieces(4), day("2026-09-28"), new Money(800, EUR), new Money(50, EUR)))
        : Optional.empty();
  }

  /**
   * Of 5 there are 2 used on Wednesday 16, and of the 3 that are left 4 are asked for on Tuesday
   * 22: 1 is owed on the six days to Sunday 27. Of the 4 that come on Monday 28 the first goes to
   * it, 3 stay. At the ends of the weeks there are 3, 0 and 24 times 3, which is 75 x 2.00 / 26 =
   * 5.77.
   */
  @Test
  void whatIsNotThereIsOwedUntilSomethingComes() {
    List<Position> seen = new ArrayList<>();
    Course course =
        Replay.of(
            SPAN,
            past(5, List.of(on("2026-09-22", 4), on("2026-09-16", 2)), List.of()),
            (monday, position) -> {
              seen.add(position);
              return four(monday);
            });
    assertThat(course.daysShort()).isEqualTo(6);
    assertThat(course.lacked()).isEqualTo(Quantity.pieces(1));
    assertThat(course.lines()).isEqualTo(new Course.Lines(2, 1));
    assertThat(course.stock()).isEqualTo(new Money(577, EUR));
    assertThat(course.orders())
        .isEqualTo(new Course.Orders(1, new Money(800, EUR), new Money(50, EUR)));
    assertThat(course.weeks()).hasSize(26);
    Course.Week third = course.weeks().get(2);
    assertThat(third.came()).isEqualTo(Quantity.pieces(4));
    assertThat(third.there()).isEqualTo(Quantity.pieces(3));
    assertThat(course.weeks().get(1).owed()).isEqualTo(Quantity.pieces(1));
    // on Monday 21 the order is on its way; on Monday 28 it has come before anybody looks
    assertThat(seen.get(1).free()).isEqualTo(Quantity.pieces(3));
    assertThat(seen.get(1).coming()).extracting(Coming::on).containsExactly(day("2026-09-28"));
    assertThat(seen.get(2).free()).isEqualTo(Quantity.pieces(3));
    assertThat(seen.get(2).coming()).isEmpty();
  }

  /** One that is owed on Sunday is taken off what Monday's order rests on. */
  @Test
  void anOrderRestsOnWhatThereIsLessWhatIsOwed() {
    List<Quantity> seen = new ArrayList<>();
    Replay.of(
        SPAN,
        past(2, List.of(on("2026-09-20", 3)), List.of()),
        (monday, position) -> {
          seen.add(position.free());
          return Optional.empty();
        });
    assertThat(seen.subList(0, 2))
        .containsExactly(Quantity.pieces(2), new Quantity(Measure.PIECES, -1_000_000));
  }

  /**
   * A scrap of five takes the two that are there, so that one is owed on the 15th; the one that a
   * count finds on the 16th goes to it, and one is owed again from the 17th to the end, 179 days.
   */
  @Test
  void countsAndScrapsHappenAnyway() {
    Course course =
        Replay.of(
            SPAN,
            past(
                2,
                List.of(on("2026-09-15", 1), on("2026-09-17", 1)),
                List.of(on("2026-09-15", -5), on("2026-09-16", 1))),
            NOTHING);
    assertThat(course.lines()).isEqualTo(new Course.Lines(2, 0));
    assertThat(course.lacked()).isEqualTo(Quantity.pieces(2));
    assertThat(course.daysShort()).isEqualTo(180);
  }

  /**
   * Wanted on 1 October and served on the 5th are four days short, and another line from the 4th on
   * to the 6th one more. Of three lines one was served at once.
   */
  @Test
  void whatHappenedIsWhatStoodShort() {
    Past past =
        new Past(
            Quantity.pieces(1),
            List.of(on("2026-09-16", 1), on("2026-10-01", 2), on("2026-10-04", 1)),
            List.of(),
            List.of(on("2026-10-05", 3), on("2026-10-06", 4)),
            List.of(
                new Past.ShortLine(day("2026-10-01"), day("2026-10-05"), Quantity.pieces(2)),
                new Past.ShortLine(day("2026-10-04"), day("2026-10-06"), Quantity.pieces(1)),
                new Past.ShortLine(day("2026-09-01"), day("2026-09-20"), Quantity.pieces(9))),
            TWO);
    Course.Orders orders = new Course.Orders(2, new Money(1_400, EUR), Money.zero(EUR));
    Course course = Replay.asItHappened(SPAN, past, orders);
    assertThat(course.daysShort()).isEqualTo(5);
    assertThat(course.lacked()).isEqualTo(Quantity.pieces(3));
    assertThat(course.lines()).isEqualTo(new Course.Lines(3, 1));
    assertThat(course.orders()).isEqualTo(orders);
    assertThat(course.weeks().get(25).there()).isEqualTo(Quantity.pieces(4));
  }

  /**
   * An order of 1 October takes the 9 days of the one that was really sent on the 5th; one of 1
   * December, after all of them, the mean of 9 and 12, which is 10.5, rounded up to 11. Before any
   * had come it takes what was quoted.
   */
  @Test
  void ordersTakeAsLongAsRealOnesDid() {
    List<RealOrder> orders =
        List.of(
            new RealOrder(day("2026-11-02"), day("2026-11-14")),
            new RealOrder(day("2026-10-05"), day("2026-10-14")));
    assertThat(RealOrder.leadDays(orders, day("2026-10-01"), 20)).isEqualTo(9);
    assertThat(RealOrder.leadDays(orders, day("2026-10-06"), 20)).isEqualTo(12);
    assertThat(RealOrder.leadDays(orders, day("2026-12-01"), 20)).isEqualTo(11);
    assertThat(RealOrder.leadDays(List.of(), day("2026-12-01"), 20)).isEqualTo(20);
    assertThat(RealOrder.leadDays(List.of(), day("2026-12-01"), 0)).isEqualTo(1);
  }

  @Test
  void ofTooLittleNothingIsLearned() {
    assertThat(past(0, List.of(on("2026-10-01", 1), on("2026-11-25", 1)), List.of()).saysEnough())
        .isFalse();
    assertThat(past(0, List.of(on("2026-10-01", 1)), List.of(on("2026-11-26", 1))).saysEnough())
        .isTrue();
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new Span(day("2026-09-14"), day("2027-03-13")))
        .withMessageContaining("2027-03-13")
        .withMessageContaining("182");
  }
}
