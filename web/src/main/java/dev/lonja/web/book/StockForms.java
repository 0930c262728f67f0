package dev.lonja.web.book;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.LotCondition;
import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.tank.Dip;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.ledger.Receiving;
import dev.lonja.desk.ledger.StockDesk;
import dev.lonja.desk.ledger.StockRefusal;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Typed;
import dev.lonja.web.sign.PersonProblems;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** The counter's forms on an item: what was typed, read and refused in words. */
public final class StockForms {

  private static final int LONGEST_REASON = Lengths.REASON;
  private static final int LONGEST_LOT = Lengths.SHORT;

  private StockForms() {}

  /**
   * Why the desk refused.
   *
   * @param binField the form's field for where it goes
   */
  public static RefusalWording refusals(String binField) {
    return LedgerWording.at("quantity")
        .and(PersonProblems.SECOND)
        .and(
            RefusalWording.of(
                StockRefusal.class,
                Cases.<StockRefusal, Problem>over(StockRefusal.class)
                    .when(
                        StockRefusal.UnknownBin.class,
                        none ->
                            new Problem(
                                binField,
                                "There is no bin \""
                                    + none.address()
                                    + "\". Write one such as A-03."))
                    .when(
                        StockRefusal.LotNeeded.class,
                        none ->
                            new Problem(
                                "lot",
                                "It keeps for a time only or is a fluid; write the lot that is"
                                    + " printed on it."))
                    .when(StockRefusal.OtherExpiry.class, StockForms::otherExpiry)
                    .when(
                        StockRefusal.ExpiredOnArrival.class,
                        expired ->
                            new Problem(
                                "aside",
                                "It was good through "
                                    + expired.expiresOn()
                                    + "; today is "
                                    + expired.today()
                                    + ". Send it back, or take it into quarantine."))
                    .when(
                        StockRefusal.SetAsideAlready.class,
                        already ->
                            new Problem(
                                "what",
                                already.setAside()
                                    ? "That lot is in quarantine already."
                                    : "That lot is not in quarantine."))
                    .when(
                        StockRefusal.StandHoldsOther.class,
                        other -> standHoldsOther(binField, other))
                    .when(
                        StockRefusal.TankHoldsOther.class,
                        other ->
                            new Problem(
                                binField,
                                "The tank "
                                    + other.tank().name()
                                    + " at "
                                    + other.bin().address()
                                    + " holds "
                                    + other.item().number()
                                    + " until it is emptied and cleaned."))
                    .when(
                        StockRefusal.NoRoom.class,
                        full ->
                            new Problem(
                                binField,
                                full.bin().address()
                                    + " has room for "
                                    + full.room().display()
                                    + ", and "
                                    + full.coming().display()
                                    + " would go into it. Take in what fits, and put the rest"
                                    + " elsewhere."))
                    .when(
                        StockRefusal.NoTank.class,
                        none ->
                            new Problem(
                                "warmth",
                                none.bin().address()
                                    + " is no tank; how warm it came is kept of what goes into"
                                    + " one. Leave it empty."))
                    .when(
                        StockRefusal.NoSuchWarmth.class,
                        none ->
                            new Problem(
                                "warmth",
                                "The temperature is "
                                    + none.asked().display()
                                    + "; allowed is "
                                    + Dip.COLDEST.display()
                                    + " to "
                                    + Dip.WARMEST.display()
                                    + "."))
                    .when(
                        StockRefusal.AtAnotherPlace.class,
                        away ->
                            new Problem(
                                binField,
                                away.bin().address()
                                    + " is a bin of "
                                    + away.place()
                                    + ". What goes to another place is asked for as a transfer,"
                                    + " so that it is known while it is on its way."))
                    .when(
                        StockRefusal.NoSuchPlace.class,
                        none ->
                            new Problem(
                                "lotId",
                                "Lot "
                                    + none.lotId()
                                    + " in bin "
                                    + none.binId()
                                    + " is no place of this item; choose one of its lots."))
                    .when(
                        StockRefusal.IsWaste.class,
                        waste ->
                            new Problem(
                                "condition",
                                waste.item().number()
                                    + " is not used again once it was on a machine; it is"
                                    + " waste."))
                    .when(
                        StockRefusal.IsNeverNew.class,
                        used -> new Problem("condition", "What was used is never new again."))
                    .when(
                        StockRefusal.IsInCondition.class,
                        is ->
                            new Problem(
                                "condition", "That lot is " + is.condition().words() + " already."))
                    .when(
                        StockRefusal.NoSuchMovement.class,
                        none ->
                            Problem.ofWhole(
                                "There is no movement " + none.movementId() + " of this item."))
                    .all()));
  }

  /**
   * An issue as typed.
   *
   * @param used yes for used, good ones
   * @param from the place it is taken from; absent where there is but one
   */
  public record Issue(String quantity, String reason, String used, @Nullable String from) {
    /** Empty, with the problems noted, if it cannot be read. */
    public Optional<Outcome> send(
        StockDesk desk, Sent sent, ItemId itemId, Measure measure, Typed typed) {
      Optional<BigDecimal> amount = typed.amount("quantity", "The quantity", quantity, measure);
      Optional<String> why = why(typed, reason);
      Optional<Place> place = typed.place("from", from == null ? "" : from);
      return typed.all(
          () ->
              desk.issue(
                  sent,
                  key(itemId, used),
                  place.orElseThrow(),
                  amount.orElseThrow(),
                  why.orElseThrow()));
    }
  }

  /** A receipt as typed; {@code expires} may be empty, {@code cost} is for the whole delivery. */
  public record Receipt(
      String quantity,
      String lot,
      String bin,
      String expires,
      String cost,
      String reason,
      @Nullable String warmth,
      String apart,
      String aside) {
    /** Empty, with the problems noted, if it cannot be read. */
    public Optional<Outcome> send(
        StockDesk desk, Sent sent, ItemId itemId, Measure measure, Typed typed) {
      Optional<BigDecimal> amount = typed.amount("quantity", "The quantity", quantity, measure);
      Optional<String> lotCode = orNone(typed, "lot", "The lot", lot, LONGEST_LOT);
      Optional<LocalDate> expiresOn =
          expires.isBlank() ? Optional.empty() : typed.day("expires", expires);
      Optional<BigDecimal> paid = typed.decimal("cost", "The cost", cost);
      if (paid.filter(c -> c.signum() < 0).isPresent()) {
        typed.refuse("cost", "The cost is " + cost.strip() + "; allowed is 0 or more.");
      }
      Optional<String> note = orNone(typed, "reason", "The delivery note", reason, LONGEST_REASON);
      Optional<Temperature> warm = typed.warmth("warmth", warmth == null ? "" : warmth);
      return typed.all(
          () ->
              desk.receive(
                  sent,
                  itemId,
                  new Receiving.Receipt(
                      amount.orElseThrow(),
                      lotCode.orElseThrow(),
                      bin.strip(),
                      expiresOn,
                      paid.orElseThrow(),
                      note.orElseThrow(),
                      warm,
                      new Receiving.Answers("yes".equals(apart), "yes".equals(aside)))));
    }
  }

  /**
   * A booking on one lot in one bin as typed.
   *
   * @param what count, adjust, scrap, transfer, quarantine or release
   * @param toBin the address to transfer to
   */
  public record OnLot(
      String what,
      LotId lotId,
      BinId binId,
      String quantity,
      String toBin,
      String reason,
      String secondPerson,
      String pin) {
    /** Empty, with the problems noted, if it cannot be read. */
    public Optional<Outcome> send(
        StockDesk desk, Sent sent, ItemId itemId, Measure measure, Typed typed) {
      Optional<BigDecimal> amount = typed.amount("quantity", "The quantity", quantity, measure);
      Optional<String> why = why(typed, reason);
      Optional<StockDesk.OnLot> booking =
          Arrays.stream(StockDesk.OnLot.values())
              .filter(w -> w.name().toLowerCase(Locale.ROOT).equals(what))
              .findFirst();
      if (booking.isEmpty()) {
        typed.refuse(
            "what",
            "\""
                + what
                + "\" is no booking; allowed are count, adjust, scrap, transfer,"
                + " quarantine, release.");
      }
      return typed.all(
          () ->
              desk.onLot(
                  sent,
                  itemId,
                  new StockDesk.LotBooking(
                      booking.orElseThrow(),
                      lotId,
                      binId,
                      amount.orElseThrow(),
                      toBin == null ? "" : toBin.strip(),
                      why.orElseThrow()),
                  new SecondPerson.Signature(
                      secondPerson == null ? "" : secondPerson, pin == null ? "" : pin)));
    }
  }

  /** New ones of an item, or used, good ones if a form says yes to that. */
  public static StockKey key(ItemId itemId, String used) {
    return new StockKey(itemId, "yes".equals(used) ? LotCondition.USED_GOOD : LotCondition.NEW);
  }

  /** Why a movement is undone. */
  public static Optional<String> why(Typed typed, String text) {
    return typed.text("reason", "The reason", text, LONGEST_REASON);
  }

  /** Text that may be left empty. */
  private static Optional<String> orNone(
      Typed typed, String field, String what, String text, int longest) {
    return text.isBlank() ? Optional.of("") : typed.text(field, what, text, longest);
  }

  private static Problem otherExpiry(StockRefusal.OtherExpiry other) {
    return new Problem(
        "apart",
        "Lot "
            + other.lotCode()
            + " is here "
            + other.here().map(day -> "as good through " + day).orElse("without a date")
            + ", this delivery says "
            + other.coming()
            + ". Look at the label again; if both are right, keep it apart.");
  }

  private static Problem standHoldsOther(String field, StockRefusal.StandHoldsOther other) {
    return new Problem(
        field,
        other.bin().address()
            + " holds "
            + other.there().display()
            + ", and a stand holds one product. Empty and clean it first, or put "
            + other.coming().display()
            + " elsewhere.");
  }
}
