package dev.lonja.web.meter;

import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.LifePoint;
import dev.lonja.core.meter.Ruling;

/** Why a reading is set aside, in words. */
public final class ReadingWording {

  private ReadingWording() {}

  /** For a flagged reading: "1,402 h is below the last accepted reading, 1,410 h on 2027-03-01." */
  public static String why(JudgedReading judged) {
    String value = judged.reading().value().display();
    return switch (judged.flag().orElseThrow()) {
      case BACKWARDS -> value + " is below the last accepted reading, " + against(judged) + ".";
      case IMPOSSIBLE ->
          value
              + " would be more than "
              + judged.reading().value().measure().highestPerDay().display()
              + " a day since "
              + against(judged)
              + ".";
      case OVERRULED -> value + " lies above " + against(judged) + ", which a person accepted.";
      case REFUSED -> "Set aside by " + ruled(judged) + ".";
      case CORRECTED -> "Corrected by a later entry.";
    };
  }

  /** Who decided, and why: "auditor: read by two". */
  static String ruled(JudgedReading judged) {
    Ruling ruling = judged.ruling().orElseThrow();
    return ruling.actor() + ": " + ruling.reason();
  }

  /** What it was held against, as the meter that was read would have shown it. */
  private static String against(JudgedReading judged) {
    LifePoint against = judged.against().orElseThrow();
    return judged.offset().shown(against.life()).orElse(against.life()).display()
        + " on "
        + against.day();
  }
}
