package dev.lonja.core.order;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.UnitPrice;
import java.time.LocalDate;
import java.util.Optional;

/** What an answer of a supplier changes of a line that it is about. */
public sealed interface AnswerEffect {

  /** It came too late: nothing is still to come of the line. */
  record TooLate() implements AnswerEffect {}

  /** It makes no sense, so nothing is changed; a person has to ask. */
  record NotUsed(Because why) implements AnswerEffect {}

  /** Why an answer makes no sense. */
  enum Because {
    BELOW_ZERO,
    /** More than was ordered. */
    MORE_THAN_ORDERED,
    /** Less than has come already. */
    LESS_THAN_CAME,
    /** The item is counted, and this is no whole number of pieces. */
    NOT_COUNTABLE
  }

  /**
   * The line is to be there on another day, or at another price, or less of it is to come.
   *
   * @param givenUp all that will not come, with what was given up before
   */
  record Holds(LocalDate arrives, Optional<UnitPrice> price, Quantity givenUp)
      implements AnswerEffect {}

  /** Somebody has to decide whether the other number will do. */
  record AskFirst(String number) implements AnswerEffect {}

  /** Nothing more will come. */
  record GivenUp(Quantity all, String why) implements AnswerEffect {}

  /** What an answer changes of its line. */
  static AnswerEffect of(OrderLine line, Said said) {
    if (!line.outstanding().isPositive()) {
      return new TooLate();
    }
    return Cases.<Said, AnswerEffect>over(Said.class)
        .when(
            Said.Confirmed.class,
            confirmed ->
                refused(line, confirmed.quantity(), line.fate().received())
                    .orElseGet(
                        () ->
                            new Holds(
                                confirmed.arrives(),
                                confirmed.price(),
                                line.ordered().minus(confirmed.quantity()))))
        .when(
            Said.Shipped.class,
            shipped ->
                refused(line, shipped.quantity(), Quantity.zero(line.ordered().measure()))
                    .orElseGet(
                        () ->
                            new Holds(shipped.arrives(), Optional.empty(), line.fate().givenUp())))
        .when(Said.Superseded.class, other -> new AskFirst(other.number()))
        .when(
            Said.Cancelled.class,
            cancelled ->
                new GivenUp(
                    line.ordered().minus(line.fate().received()).atLeastZero(), cancelled.why()))
        .all()
        .apply(said);
  }

  private static Optional<AnswerEffect> refused(OrderLine line, Quantity said, Quantity least) {
    Optional<Because> why =
        said.isNegative()
            ? Optional.of(Because.BELOW_ZERO)
            : !said.isCountable()
                ? Optional.of(Because.NOT_COUNTABLE)
                : said.compareTo(line.ordered()) > 0
                    ? Optional.of(Because.MORE_THAN_ORDERED)
                    : said.compareTo(least) < 0
                        ? Optional.of(Because.LESS_THAN_CAME)
                        : Optional.empty();
    return why.map(NotUsed::new);
  }
}
