package dev.lonja.core.ledger;

import java.util.List;

/** What the ledger answers to a wish: the lines to write, or every reason against it. */
public sealed interface Booking {

  /** Lines to write, in order; none for a count that agrees. */
  record Booked(List<MovementLine> lines) implements Booking {
    public Booked {
      lines = List.copyOf(lines);
    }
  }

  /** Nothing is written. */
  record Refused(List<Refusal> reasons) implements Booking {
    public Refused {
      reasons = List.copyOf(reasons);
    }
  }

  static Booking refused(Refusal reason) {
    return new Refused(List.of(reason));
  }
}
