package dev.lonja.core.meter;

import java.util.List;
import java.util.Optional;

/**
 * All readings of one meter in order of their time, each judged. Since the judgement is a function
 * of all that was noted, a late reading, an exchange or a ruling re-judges those after it. The life
 * of the accepted readings never falls.
 *
 * @param offset of the meter that is in place now
 */
public record ReadingLog(List<JudgedReading> readings, MeterOffset offset) {

  public ReadingLog {
    readings = List.copyOf(readings);
  }

  /** Judges what was noted of one meter; costs n log n for n readings and n for each ruling. */
  public static ReadingLog judge(MeterNotes notes) {
    return ReadingJudge.judge(notes);
  }

  /** The judgement on a reading that is in the log. */
  public JudgedReading judgementOf(Reading reading) {
    return readings.stream()
        .filter(judged -> judged.reading().id() == reading.id())
        .findFirst()
        .orElseThrow();
  }

  /** The life at each reading that counts. */
  public List<LifePoint> accepted() {
    return readings.stream().flatMap(judged -> judged.counted().stream()).toList();
  }

  /** The latest reading that counts, if one does. */
  public Optional<JudgedReading> lastAccepted() {
    for (int i = readings.size() - 1; i >= 0; i--) {
      if (readings.get(i).accepted()) {
        return Optional.of(readings.get(i));
      }
    }
    return Optional.empty();
  }
}
