package dev.lonja.web.book;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.Refusal;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.Posting;
import java.util.ArrayList;
import java.util.List;

/** What the ledger answers, in words; and the one place where its lines are written. */
public final class LedgerWording {

  private static final Cases<Refusal, String> WORDS =
      Cases.<Refusal, String>over(Refusal.class)
          .when(
              Refusal.NotPositive.class,
              r -> "the quantity is " + r.wanted().exactText() + "; allowed is more than 0.")
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
          .when(Refusal.SameBin.class, r -> "from and to are the same bin.")
          .all();

  private LedgerWording() {}

  /** Writes the lines of a booking, or says in words why there are none. */
  public static Outcome write(
      Session session,
      ItemId itemId,
      Booking booking,
      Posting posting,
      int firstLineNo,
      String answer,
      String field) {
    if (booking instanceof Booking.Booked booked) {
      session.ledger().append(booked.lines(), posting, firstLineNo);
      return new Outcome.Done(answer);
    }
    String number = session.items().byId(itemId).orElseThrow().number();
    return new Outcome.Refused(
        ((Booking.Refused) booking)
            .reasons().stream()
                .map(reason -> new Problem(field, number + ": " + words(reason)))
                .toList());
  }

  static String words(Refusal refusal) {
    return WORDS.apply(refusal);
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
