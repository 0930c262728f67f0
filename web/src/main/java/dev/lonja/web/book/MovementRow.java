package dev.lonja.web.book;

import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.MovementKind;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.ledger.LedgerLine;
import dev.lonja.web.frame.Words;

/** A movement as a row of a table. */
public record MovementRow(
    long id,
    String day,
    String kind,
    ItemId itemId,
    String item,
    String lot,
    String bin,
    String quantity,
    String value,
    String reason,
    String actor,
    boolean mayCorrect) {

  public static MovementRow of(LedgerLine line, Item item, StoreClock clock) {
    String sign = line.quantity().isPositive() ? "+" : "";
    String reference = line.reference().isEmpty() ? "" : " · " + line.reference();
    String answers = line.refersTo().map(id -> " · answers " + id).orElse("");
    return new MovementRow(
        line.id(),
        Words.day(clock.dayOf(line.at()), clock.today()),
        line.kind().words(),
        item.id(),
        item.make() + " " + item.number(),
        line.lotCode(),
        line.binAddress(),
        sign + line.quantity().display(),
        line.value().display(),
        line.reason() + reference + answers,
        line.actor(),
        line.kind() != MovementKind.CORRECTION);
  }
}
