package dev.lonja.core.order;

/** How far an order is. */
public enum OrderState {
  /** Not sent yet; it may be changed. */
  DRAFT("draft"),
  /** Sent; the supplier has not said yes to all of it. */
  SENT("sent"),
  /** The supplier has said yes to all that is still to come. */
  CONFIRMED("confirmed"),
  /** Some of it came, and more is to come. */
  PART_RECEIVED("part received"),
  /** Nothing more is to come, and something came. */
  CLOSED("closed"),
  /** Nothing came and nothing will. */
  CANCELLED("cancelled");

  private final String words;

  OrderState(String words) {
    this.words = words;
  }

  public String words() {
    return words;
  }

  /** True while something may still come. */
  public boolean isOpen() {
    return this == SENT || this == CONFIRMED || this == PART_RECEIVED;
  }
}
