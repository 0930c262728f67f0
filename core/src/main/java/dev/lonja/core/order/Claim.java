package dev.lonja.core.order;

import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.Optional;

/**
 * Something that was wrong with a delivery and that the supplier is to put right.
 *
 * @param words what was found; may be empty
 * @param end how it was settled; empty while it is open
 */
public record Claim(
    ClaimId id,
    OrderLineId line,
    Kind kind,
    Quantity quantity,
    String words,
    LocalDate openedOn,
    Optional<End> end) {

  /** What was wrong. */
  public enum Kind {
    SHORT("came short"),
    OVER("too many"),
    WRONG("the wrong thing"),
    DAMAGED("damaged");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** How a claim ends. */
  public enum Outcome {
    CREDITED("credited"),
    REPLACED("replaced"),
    SENT_BACK("sent back"),
    DROPPED("dropped");

    private final String words;

    Outcome(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /** How it was settled, and when. */
  public record End(Outcome outcome, LocalDate on, String why) {}
}
