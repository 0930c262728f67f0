package dev.lonja.desk.bench;

import dev.lonja.core.order.OrderId;
import java.util.List;

/** Simulated suppliers that can be made to answer as real ones would. */
public interface AnsweringSuppliers {

  /** What a supplier may do with an order. */
  enum Mood {
    /** Says yes to all of it. */
    CONFIRM("confirm"),
    /** Says yes, at a price that is a tenth higher. */
    DEARER("ask a higher price"),
    /** Says yes, a week later than promised. */
    LATER("delay by a ferry"),
    /** Ships half of the first line, and the rest later. */
    SHIP_PART("ship part"),
    /** Says that the first line has another number now. */
    SUPERSEDE("supersede a number"),
    /** Will not bring the first line. */
    CANCEL("cancel a line"),
    /** Says so of an order that nobody sent. */
    UNKNOWN_ORDER("answer an order of others"),
    /** Says yes to less than nothing. */
    NONSENSE("answer nonsense"),
    /** Says what was said last again. */
    TWICE("say the same again");

    private final String words;

    Mood(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** The orders that were handed over, the latest first. */
  List<OrderId> taken();

  /** Lets the supplier of an order that was handed over answer once more. */
  void answer(OrderId order, Mood mood);

  /** Cuts the line to the suppliers, or mends it: meanwhile nothing can be handed over. */
  void setCut(boolean cut);

  boolean isCut();
}
