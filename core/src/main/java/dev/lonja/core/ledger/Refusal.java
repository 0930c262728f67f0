package dev.lonja.core.ledger;

import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;

/** Why a booking is refused; worded for people in the view. */
public sealed interface Refusal {

  /** The quantity is zero or negative. */
  record NotPositive(Quantity wanted) implements Refusal {}

  /** More than one booking takes, or one place holds. */
  record TooMuch(Quantity wanted, Quantity most) implements Refusal {}

  /** One piece or litre would cost more than a price may be. */
  record TooDear(Money cost, Quantity quantity, Money most) implements Refusal {}

  /** Part of a piece. */
  record NotCountable(Quantity wanted) implements Refusal {}

  /**
   * More than may be issued.
   *
   * @param free what may be issued now
   * @param held what open trays hold of the usable stock
   */
  record NotEnough(
      Quantity wanted, Quantity free, Quantity held, Quantity expired, Quantity quarantined)
      implements Refusal {}

  /** The place does not hold that much. */
  record NotThere(Quantity wanted, Quantity present) implements Refusal {}

  /** More comes back than was issued and is still out. */
  record MoreThanIssued(Quantity wanted, Quantity stillOut) implements Refusal {}

  /** A return or correction already refers to the movement. */
  record AlreadyAnswered(long movementId) implements Refusal {}

  /** A correction is not corrected; the movement is booked anew instead. */
  record CorrectionOfCorrection(long movementId) implements Refusal {}

  /** One line of a kit that was made or broken; alone it would make stock out of nothing. */
  record PartOfKit(long movementId) implements Refusal {}

  /** Half of a pack's opening; a pack that is open stays open. */
  record PackOpened(long movementId) implements Refusal {}

  /** It follows from an invoice, which is withdrawn instead. */
  record OfInvoice(long movementId) implements Refusal {}

  /** What is on hand would be worth less than nothing after such a difference. */
  record WorthBelowNothing(Money worth, Money difference) implements Refusal {}

  /**
   * It would move at a place where this person does not work.
   *
   * @param who by the name they sign in with
   */
  record NotTheirPlace(String who, String place) implements Refusal {}

  /** Both ends of a transfer are the same bin. */
  record SameBin() implements Refusal {}

  /** All bins are being counted, so that nothing moves. */
  record Frozen(LocalDate since, String by) implements Refusal {}
}
