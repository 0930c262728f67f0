package dev.lonja.web.book;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.ledger.ConditionDesk;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;

/** The counter's forms for what is not new on the shelf. */
public final class ConditionForms {

  /** What becomes of a part that is not thrown away, by the words that forms have for it. */
  public static final Map<String, LotCondition> KEPT = kept();

  private ConditionForms() {}

  private static Map<String, LotCondition> kept() {
    Map<String, LotCondition> kept = new LinkedHashMap<>();
    kept.put("used", LotCondition.USED_GOOD);
    kept.put("recondition", LotCondition.TO_RECONDITION);
    return kept;
  }

  /** A part that came off a machine, as typed; {@code worth} is of all of it and may be empty. */
  public record Kept(
      String quantity,
      String condition,
      String bin,
      String from,
      String worth,
      String reason,
      String secondPerson,
      String pin) {
    /** Empty, with the problems noted, if it cannot be read. */
    public Optional<Outcome> send(ConditionDesk desk, Sent sent, ItemId itemId, Typed typed) {
      Optional<BigDecimal> amount = typed.decimal("quantity", "The quantity", quantity);
      Optional<LotCondition> now = chosen(typed, condition);
      Optional<String> where = typed.text("from", "Where it came off", from, Lengths.SHORT);
      Optional<BigDecimal> value = money(typed, "worth", "The worth", worth);
      Optional<String> why = StockForms.why(typed, reason);
      return typed.all(
          () ->
              desk.salvage(
                  sent,
                  itemId,
                  new ConditionDesk.Kept(
                      amount.orElseThrow(),
                      now.orElseThrow(),
                      bin.strip(),
                      where.orElseThrow(),
                      value.orElseThrow(),
                      why.orElseThrow()),
                  signature(secondPerson, pin)));
    }
  }

  /** A change of condition of part of a lot in one bin, as typed; {@code cost} may be empty. */
  public record Change(
      LotId lotId,
      BinId binId,
      String quantity,
      String condition,
      String cost,
      String reason,
      String secondPerson,
      String pin) {
    /** Empty, with the problems noted, if it cannot be read. */
    public Optional<Outcome> send(ConditionDesk desk, Sent sent, ItemId itemId, Typed typed) {
      Optional<BigDecimal> amount = typed.decimal("quantity", "The quantity", quantity);
      Optional<LotCondition> now = chosen(typed, condition);
      Optional<BigDecimal> paid = money(typed, "cost", "The cost", cost);
      Optional<String> why = StockForms.why(typed, reason);
      return typed.all(
          () ->
              desk.change(
                  sent,
                  itemId,
                  new ConditionDesk.Change(
                      lotId,
                      binId,
                      amount.orElseThrow(),
                      now.orElseThrow(),
                      paid.orElseThrow(),
                      why.orElseThrow()),
                  signature(secondPerson, pin)));
    }
  }

  private static Optional<LotCondition> chosen(Typed typed, String text) {
    Optional<LotCondition> condition = typed.choiceOrNone("condition", text, KEPT);
    if (text.isEmpty()) {
      typed.refuse("condition", "Choose whether it is used, good, or to recondition.");
    }
    return condition;
  }

  private static Optional<BigDecimal> money(Typed typed, String field, String what, String text) {
    if (text.isBlank()) {
      return Optional.of(BigDecimal.ZERO);
    }
    Optional<BigDecimal> value = typed.decimal(field, what, text);
    if (value.filter(v -> v.signum() < 0).isPresent()) {
      typed.refuse(field, what + " is " + text.strip() + "; allowed is 0 or more.");
    }
    return value;
  }

  private static SecondPerson.Signature signature(String who, String pin) {
    return new SecondPerson.Signature(who == null ? "" : who, pin == null ? "" : pin);
  }
}
