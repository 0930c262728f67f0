package dev.lonja.core.meter;

import java.util.List;

/** A meter with all that was noted of it, judged: for looking at it closely, one at a time. */
public record JudgedMeter(MeterStanding standing, MeterNotes notes, ReadingLog log) {

  public static JudgedMeter of(MeterStanding standing, MeterNotes notes) {
    return new JudgedMeter(standing, notes, ReadingLog.judge(notes));
  }

  /** The log as it would be with one more reading. */
  public ReadingLog logWith(Reading more) {
    return ReadingLog.judge(notes.with(List.of(more)));
  }
}
