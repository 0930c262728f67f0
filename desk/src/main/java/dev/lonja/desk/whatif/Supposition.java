package dev.lonja.desk.whatif;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.calendar.UsageBurst;
import dev.lonja.core.policy.Choice;

/** Something that is supposed to be otherwise, named as people name it. */
public sealed interface Supposition {

  /** The code of a unit, the name of a supplier, or the words of a school. */
  String what();

  /** A unit is laid up in these days too. */
  record LaidUp(String what, LayUp layUp) implements Supposition {}

  /**
   * A unit runs so much on each of these days and no more, on its first meter of that measure.
   *
   * @param what its code
   */
  record Runs(String what, UsageBurst burst) implements Supposition {}

  /** The whole store chooses another way of doing something; what narrower holders chose stays. */
  record Way(Choice choice) implements Supposition {
    @Override
    public String what() {
      return choice.school().words();
    }
  }

  /** There is one more unit like this one, used as it is. */
  record OneMore(String what) implements Supposition {}

  /**
   * A supplier takes longer, with what is on its way too.
   *
   * @param weeks one or more
   */
  record Late(String what, int weeks) implements Supposition {}

  /**
   * A supplier asks more, or less.
   *
   * @param percent above -100
   */
  record Dearer(String what, int percent) implements Supposition {}
}
