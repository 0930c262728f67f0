package dev.lonja.web.book;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.ledger.LedgerLine;
import dev.lonja.web.frame.Words;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A movement as a row of a table. */
public record MovementRow(
    long id,
    String day,
    String kind,
    Thing thing,
    String quantity,
    String value,
    String reason,
    String actor,
    boolean mayCorrect) {

  /** What moved: the item, from which lot, and in which bin. */
  public record Thing(ItemId itemId, String item, String lot, String bin) {}

  public static MovementRow of(LedgerLine line, Item item, StoreClock clock) {
    String sign = line.quantity().isPositive() ? "+" : "";
    return new MovementRow(
        line.id(),
        Words.day(clock.dayOf(line.at()), clock.today()),
        line.kind().words(),
        new Thing(item.id(), item.make() + " " + item.number(), line.lotCode(), line.binAddress()),
        sign + line.quantity().display(),
        line.value().display(),
        why(line, clock),
        line.actor(),
        line.kind() != MovementKind.CORRECTION && line.kind() != MovementKind.REVALUED);
  }

  /** "handed over to workshop · T-0012 · answers 41". */
  private static String why(LedgerLine line, StoreClock clock) {
    LedgerLine.Cause cause = line.cause();
    boolean handedOver = cause.reason().isEmpty() && line.kind() == MovementKind.ISSUE;
    String reason =
        handedOver
            ? cause.handedTo().map(who -> "handed over to " + who).orElse("handed over")
            : cause.reason();
    return Stream.of(
            reason,
            cause.reference(),
            cause.refersTo().map(id -> "answers " + id).orElse(""),
            cause
                .happenedAt()
                .map(
                    at ->
                        "done "
                            + Words.day(clock.dayOf(at), clock.today())
                            + ", "
                            + clock.timeOf(at)
                            + ", sent later")
                .orElse(""))
        .filter(part -> !part.isEmpty())
        .collect(Collectors.joining(" · "));
  }
}
