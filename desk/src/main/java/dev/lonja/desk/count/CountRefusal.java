package dev.lonja.desk.count;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.request.Refusal;

/** Why a count is not taken. */
public sealed interface CountRefusal extends Refusal {

  /** Nothing of it lies or belongs there. */
  record NothingThere() implements CountRefusal {}

  /** Something of it moved since the list was opened. */
  record MovedMeanwhile() implements CountRefusal {}

  /** Part of a piece. */
  record NotWhole(Quantity counted) implements CountRefusal {}

  /** It differs from the book, so that a reason is needed. */
  record NeedsReason(Quantity counted, Quantity book) implements CountRefusal {}

  /** Who counted first does not count again, since somebody else can. */
  record SamePerson() implements CountRefusal {}
}
