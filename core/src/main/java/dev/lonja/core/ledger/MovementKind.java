package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Quantity;

/** What a line of the ledger records. */
public enum MovementKind {
  RECEIPT("receipt"),
  ISSUE("issue"),
  RETURN("return"),
  /** A part that came off a machine and is kept. */
  SALVAGE("salvage"),
  /** Worked on, and good to be used again from then on. */
  RECONDITIONED("reconditioned"),
  /** Found to be in another condition than it was taken for. */
  REGRADED("another condition"),
  TRANSFER("transfer"),
  ADJUSTMENT("adjustment"),
  COUNT("count"),
  KIT_BROKEN("kit broken"),
  KIT_MADE("kit made"),
  /** A pack opened: what is in it goes on as a lot of its own. */
  OPENED("opened"),
  POUR("pour"),
  SCRAP("scrap"),
  /** Found to have cost more or less than it was taken in for; nothing moves. */
  REVALUED("revalued"),
  /** Undoes a movement that it refers to. */
  CORRECTION("correction");

  private final String words;

  MovementKind(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** True if the average cost is worked out anew after such a movement of a signed quantity. */
  boolean setsAverage(Quantity change) {
    return switch (this) {
      case RECEIPT, SALVAGE, RETURN, CORRECTION -> true;
      // what comes in brings its share of the kit's value along, or what its reconditioning cost
      case KIT_BROKEN, KIT_MADE, RECONDITIONED, REGRADED -> change.isPositive();
      case ISSUE, TRANSFER, ADJUSTMENT, COUNT, OPENED, POUR, SCRAP, REVALUED -> false;
    };
  }
}
