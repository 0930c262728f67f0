package dev.lonja.web.book;

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
    if (refusal instanceof Refusal.NotPositive r) {
      return "the quantity is " + r.wanted().exactText() + "; allowed is more than 0.";
    } else if (refusal instanceof Refusal.NotCountable r) {
      return "the quantity is " + r.wanted().exactText() + "; allowed are whole pieces.";
    } else if (refusal instanceof Refusal.NotEnough r) {
      return notEnough(r);
    } else if (refusal instanceof Refusal.NotThere r) {
      return r.wanted().display() + " wanted, " + r.present().display() + " there.";
    } else if (refusal instanceof Refusal.MoreThanIssued r) {
      return r.wanted().display() + " would come back, " + r.stillOut().display() + " is out.";
    } else if (refusal instanceof Refusal.AlreadyAnswered r) {
      return "movement " + r.movementId() + " was returned or corrected already.";
    } else if (refusal instanceof Refusal.CorrectionOfCorrection r) {
      return "movement " + r.movementId() + " is a correction; book the movement anew instead.";
    }
    if (refusal instanceof Refusal.PartOfKit r) {
      return "movement "
          + r.movementId()
          + " is one line of a kit; make or break a kit instead of correcting it.";
    }
    if (refusal instanceof Refusal.PackOpened r) {
      return "movement " + r.movementId() + " opened a pack; what is open stays open.";
    }
    return "from and to are the same bin.";
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
