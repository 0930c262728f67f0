package dev.lonja.web.book;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.item.Item;
import dev.lonja.core.ledger.Refusal;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.ledger.LedgerRefusal;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import java.util.ArrayList;
import java.util.List;
import java.util.function.Function;

/** What the ledger refuses, in words. */
public final class LedgerWording {

  private static final Cases<Refusal, String> WORDS =
      Cases.<Refusal, String>over(Refusal.class)
          .when(
              Refusal.NotPositive.class,
              r -> "the quantity is " + r.wanted().exactText() + "; allowed is more than 0.")
          .when(
              Refusal.TooMuch.class,
              r ->
                  "the quantity is "
                      + r.wanted().exactText()
                      + "; allowed is up to "
                      + r.most().exactText()
                      + ".")
          .when(
              Refusal.TooDear.class,
              r ->
                  r.cost().display()
                      + " for "
                      + r.quantity().display()
                      + "; allowed is up to "
                      + r.most().display()
                      + " for one.")
          .when(
              Refusal.NotCountable.class,
              r -> "the quantity is " + r.wanted().exactText() + "; allowed are whole pieces.")
          .when(Refusal.NotEnough.class, LedgerWording::notEnough)
          .when(
              Refusal.NotThere.class,
              r -> r.wanted().display() + " wanted, " + r.present().display() + " there.")
          .when(
              Refusal.MoreThanIssued.class,
              r ->
                  r.wanted().display() + " would come back, " + r.stillOut().display() + " is out.")
          .when(
              Refusal.AlreadyAnswered.class,
              r -> "movement " + r.movementId() + " was returned or corrected already.")
          .when(
              Refusal.CorrectionOfCorrection.class,
              r ->
                  "movement "
                      + r.movementId()
                      + " is a correction; book the movement anew instead.")
          .when(
              Refusal.PartOfKit.class,
              r ->
                  "movement "
                      + r.movementId()
                      + " is one line of a kit; make or break a kit instead of correcting it.")
          .when(
              Refusal.PackOpened.class,
              r -> "movement " + r.movementId() + " opened a pack; what is open stays open.")
          .when(
              Refusal.OfInvoice.class,
              r ->
                  "movement "
                      + r.movementId()
                      + " follows from an invoice; withdraw the invoice instead of correcting it.")
          .when(
              Refusal.WorthBelowNothing.class,
              r ->
                  "what is on hand is worth "
                      + r.worth().display()
                      + " and cannot lose "
                      + r.difference().abs().display()
                      + ".")
          .when(
              Refusal.Frozen.class,
              r ->
                  r.by()
                      + " began to count all bins on "
                      + r.since()
                      + "; until that is booked or given up, nothing moves.")
          .when(Refusal.NotTheirPlace.class, r -> r.who() + " does not work at " + r.place() + ".")
          .when(Refusal.SameBin.class, r -> "from and to are the same bin.")
          .all();

  private LedgerWording() {}

  /** What the ledger refuses, each reason at this field of the form. */
  public static RefusalWording at(String field) {
    return at(item -> field);
  }

  /** The same where each item has a field of its own. */
  public static RefusalWording at(Function<Item, String> field) {
    return RefusalWording.of(
        LedgerRefusal.class,
        refusal ->
            new Problem(
                field.apply(refusal.item()),
                refusal.item().number() + ": " + WORDS.apply(refusal.reason())));
  }

  private static String notEnough(Refusal.NotEnough refusal) {
    List<String> besides = new ArrayList<>();
    addBesides(besides, refusal.held(), "on trays");
    addBesides(besides, refusal.expired(), "expired");
    addBesides(besides, refusal.quarantined(), "quarantined");
    return refusal.wanted().display()
        + " wanted, "
        + refusal.free().display()
        + " free"
        + (besides.isEmpty() ? "." : " (" + String.join(", ", besides) + ").");
  }

  private static void addBesides(List<String> besides, Quantity quantity, String words) {
    if (quantity.isPositive()) {
      besides.add(quantity.display() + " " + words);
    }
  }
}
