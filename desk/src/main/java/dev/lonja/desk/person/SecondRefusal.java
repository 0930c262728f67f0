package dev.lonja.desk.person;

import dev.lonja.core.quantity.Money;
import dev.lonja.desk.request.Refusal;

/** Why something that needs a second person is not done. */
public sealed interface SecondRefusal extends Refusal {

  /** It is worth more than one person may write off or put right alone. */
  record NeedsSecond(Money value, Money most) implements SecondRefusal {}

  /** The second one is nobody who may sign, or the PIN is not theirs. */
  record NotTheirs() implements SecondRefusal {}

  /** The first one cannot be the second as well. */
  record SamePerson() implements SecondRefusal {}

  /** Too many wrong PINs; the next one has to wait. */
  record MustWait() implements SecondRefusal {}
}
