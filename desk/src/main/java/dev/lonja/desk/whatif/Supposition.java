package dev.lonja.desk.whatif;

import dev.lonja.core.calendar.LayUp;

/** Something that is supposed to be otherwise, named as people name it. */
public sealed interface Supposition {

  /** The code of a unit, or the name of a supplier. */
  String what();

  /** A unit is laid up in these days too. */
  record LaidUp(String what, LayUp layUp) implements Supposition {}

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
