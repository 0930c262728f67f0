package dev.lonja.core.text;

/**
 * How long what people write may be, in characters: the same in every form, at every desk, in the
 * exchange format and in the store, so that what was taken in can be taken out and in again.
 */
public final class Lengths {

  /** The address of a bin. */
  public static final int ADDRESS = 12;

  /** A code that people call something by: a unit, a class, a tray. */
  public static final int CODE = 20;

  /** A grade, or one service class of a fluid. */
  public static final int GRADE = 20;

  /** A short text: a lot, an approval, a meter's name, a thread, what turns it. */
  public static final int SHORT = 40;

  /** A name: of a person, a machine, a make, a number, a part of a machine, a study. */
  public static final int NAME = 60;

  /** A barcode, the reference of a movement, the key of a request. */
  public static final int BARCODE = 80;

  /** What an item is; the classes on a label; why an interval is shortened. */
  public static final int DESCRIPTION = 120;

  /** A reason or a note. */
  public static final int REASON = 200;

  private Lengths() {}
}
