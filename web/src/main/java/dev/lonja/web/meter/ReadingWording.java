package dev.lonja.web.meter;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.LifePoint;
import dev.lonja.core.meter.ReadingFlag;
import dev.lonja.core.meter.Ruling;
import dev.lonja.desk.meter.ReadingRefusal;
import dev.lonja.desk.meter.UnitMetersDesk;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import java.util.Locale;

/** Why a reading is set aside, in words. */
public final class ReadingWording {

  private static final Cases<ReadingRefusal, String> REFUSED =
      Cases.<ReadingRefusal, String>over(ReadingRefusal.class)
          .when(ReadingRefusal.UnknownMeter.class, none -> "There is no such meter in service.")
          .when(
              ReadingRefusal.InFuture.class,
              future -> Problem.inFuture("", future.day(), future.today()).text())
          .when(ReadingRefusal.SetAside.class, aside -> why(aside.judged()))
          .when(
              ReadingRefusal.SetsOthersAside.class,
              others ->
                  Words.count(others.count(), "later reading", "later readings")
                      + " would be set aside by it.")
          .all();

  private ReadingWording() {}

  /** Why a reading is not noted. */
  public static String why(ReadingRefusal refusal) {
    return REFUSED.apply(refusal);
  }

  /** Why no machine is used so much. */
  public static String tooMuch(UnitMetersDesk.TooMuchADay much) {
    return "A day is "
        + much.perDay().toPlainString()
        + " "
        + much.measure().symbol()
        + "; allowed is 0 to "
        + much.measure().highestPerDay().display()
        + ".";
  }

  /** Why a reading is not noted, at the field for its day or for its value. */
  public static RefusalWording at(String dayField, String valueField) {
    return RefusalWording.of(
        ReadingRefusal.class,
        refusal ->
            new Problem(
                refusal instanceof ReadingRefusal.InFuture ? dayField : valueField, why(refusal)));
  }

  /** For a flagged reading: "1,402 h is below the last accepted reading, 1,410 h on 2027-03-01." */
  public static String why(JudgedReading judged) {
    String value = judged.reading().value().display();
    return switch (judged.flag().orElseThrow()) {
      case BACKWARDS -> value + " is below the last accepted reading, " + against(judged) + ".";
      case BELOW_START ->
          value
              + " is below what this meter stood at when it came into service, "
              + against(judged)
              + ".";
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

  /** A flag in a word or two. */
  public static String flag(ReadingFlag flag) {
    return flag.name().toLowerCase(Locale.ROOT).replace('_', ' ');
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
