package dev.lonja.core.quantity;

/**
 * How large the numbers that people write may be: the same in every form, at every desk, in the
 * exchange format and in the store, so that what was taken in can be taken out and in again. Each
 * is the largest that is allowed, in the unit that it names.
 */
public final class Limits {

  /** Litres in a pack, in a compartment, poured or topped up. */
  public static final int LITRES = 100_000;

  /** Pieces or litres that are kept, ordered, laid or booked at once, or used in a year. */
  public static final int QUANTITY = 1_000_000;

  /** Pieces that one position takes, or one box holds. */
  public static final int PIECES = 200;

  /** Lines of a tray that one kit covers. */
  public static final int KIT_LINES = 1_000;

  /** A price for a piece or a litre, in minor units of the store's currency (cents). */
  public static final int PRICE_MINOR = 100_000_000;

  /** The value above which a second person signs, in minor units. */
  public static final long VALUE_MINOR = 100_000_000_000L;

  /** What keeping a product for a year costs, in minor units. */
  public static final int HOLDING_MINOR = 10_000_000;

  /** Hours or kilometres that an interval counts. */
  public static final int RUN = 1_000_000;

  /** Hours or kilometres that a meter can show. */
  public static final int METER = 10_000_000;

  /** Hours or kilometres a day that somebody declares. */
  public static final int RATE = 1_500;

  /** Months of an interval. */
  public static final int MONTHS = 240;

  /** A led task comes along at every so manieth time; 2 at least. */
  public static final int NTH = 50;

  /** Days that a seasonal task stands before its day. */
  public static final int LEAD_DAYS = 120;

  /** Days from an order to the door, as quoted. */
  public static final int SUPPLY_DAYS = 400;

  /** Days that something keeps. */
  public static final int SHELF_DAYS = 10_000;

  /** A torque in N·m. */
  public static final int TORQUE = 10_000;

  /** A length in mm. */
  public static final int MILLIMETRES = 10_000;

  /** A share in per cent, of ash. */
  public static final int PER_CENT = 100;

  /** Milligrams in a kilogram, of zinc. */
  public static final int MG_KG = 100_000;

  /** A density in kg/m³; 1 at least. */
  public static final int DENSITY = 20_000;

  /** An outside temperature in °C, above zero or below. */
  public static final int CELSIUS = 90;

  /** Groups of classes of which any will do. */
  public static final int GROUPS = 20;

  /** A month's factor; the twelve have a mean of 1. */
  public static final int MONTH_FACTOR = 12;

  /** The place of a bin on the walk through the store. */
  public static final int WALK = 999_999;

  /** Bytes of a picture that is kept. */
  public static final int PICTURE_BYTES = 512 * 1_024;

  /** Bytes of a document that is kept as a receipt. */
  public static final int RECEIPT_BYTES = 2 * 1_024 * 1_024;

  /** Pages of one. */
  public static final int RECEIPT_PAGES = 20;

  /** Dots of the longer side of a picture that is kept. */
  public static final int PICTURE_SIDE = 1_200;

  private Limits() {}
}
