package dev.lonja.core.meter;

import dev.lonja.core.quantity.MeterValue;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * A meter with all that was noted of it, judged: for looking at it closely, one at a time, and for
 * trying out what somebody is about to note. What is tried out counts as entered last.
 */
public record JudgedMeter(MeterStanding standing, MeterNotes notes, ReadingLog log) {

  /**
   * What would become of a reading.
   *
   * @param judged the judgement on it
   * @param setAside how many readings that count now would not count any more because of it; the
   *     one that it corrects is not among them
   */
  public record Trial(JudgedReading judged, long setAside) {

    /** True if it would count and set nothing else aside. */
    public boolean isClean() {
      return judged.accepted() && setAside == 0;
    }
  }

  /** The meter with every note judged; costs n log n for n readings and n for each ruling. */
  public static JudgedMeter of(MeterStanding standing, MeterNotes notes) {
    return new JudgedMeter(standing, notes, ReadingLog.judge(notes));
  }

  /** What would become of one more reading. */
  public Trial trying(NewReading more) {
    Reading entered = more.entered(next());
    return trial(entered, notes.with(List.of(entered)));
  }

  /**
   * What would become of several readings that are entered together, in their order; costs n log n
   * for n readings in all.
   */
  public List<JudgedReading> trying(List<NewReading> more) {
    long first = next();
    List<Reading> entered =
        IntStream.range(0, more.size()).mapToObj(i -> more.get(i).entered(first + i)).toList();
    Map<Long, JudgedReading> judged = new HashMap<>();
    for (JudgedReading reading : ReadingLog.judge(notes.with(entered)).readings()) {
      judged.put(reading.reading().id(), reading);
    }
    return entered.stream().map(reading -> judged.get(reading.id())).toList();
  }

  /**
   * What would become of the last reading of a meter that is exchanged after it.
   *
   * @param start what the new meter stands at
   */
  public Trial tryingExchange(NewReading last, MeterValue start) {
    Reading entered = last.entered(next());
    MeterReplacement exchange = new MeterReplacement(nextExchange(), entered.id(), start);
    return trial(entered, notes.with(List.of(entered)).with(exchange));
  }

  /** What would become of a reading that is on file if somebody ruled on it. */
  public JudgedReading trying(Ruling.Wanted ruling) {
    Reading reading =
        notes.readings().stream()
            .filter(r -> r.id() == ruling.readingId())
            .findFirst()
            .orElseThrow(
                () ->
                    new IllegalArgumentException(
                        "readingId is " + ruling.readingId() + ", of another meter"));
    long id = notes.rulings().stream().mapToLong(Ruling::id).max().orElse(0) + 1;
    return ReadingLog.judge(notes.with(ruling.entered(id))).judgementOf(reading);
  }

  /** The reading of this meter with this id, judged. */
  public Optional<JudgedReading> reading(long id) {
    return log.readings().stream().filter(judged -> judged.reading().id() == id).findFirst();
  }

  private Trial trial(Reading entered, MeterNotes then) {
    Map<Long, Boolean> counted = new HashMap<>();
    log.readings().forEach(j -> counted.put(j.reading().id(), j.accepted()));
    ReadingLog log = ReadingLog.judge(then);
    long setAside =
        log.readings().stream()
            .filter(judged -> judged.reading().id() != entered.id())
            .filter(
                judged -> entered.corrects().filter(id -> id == judged.reading().id()).isEmpty())
            .filter(
                judged -> !judged.accepted() && counted.getOrDefault(judged.reading().id(), false))
            .count();
    return new Trial(log.judgementOf(entered), setAside);
  }

  private long next() {
    return notes.readings().stream().mapToLong(Reading::id).max().orElse(0) + 1;
  }

  private long nextExchange() {
    return notes.replacements().stream().mapToLong(MeterReplacement::id).max().orElse(0) + 1;
  }
}
