package dev.lonja.desk.policy;

import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Question;
import dev.lonja.desk.request.Refusal;

/** Why a choice is not made. */
public sealed interface PolicyRefusal extends Refusal {

  /** There is no such class, machine, compartment or position that the question is about. */
  record NotAsked(Question question, Holder holder) implements PolicyRefusal {}

  /** There is no choice of its own to take back. */
  record NothingOfItsOwn(Question question, Holder holder) implements PolicyRefusal {}
}
