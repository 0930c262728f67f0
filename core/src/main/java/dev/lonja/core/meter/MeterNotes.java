package dev.lonja.core.meter;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * All that was noted of one meter, in any order: what it showed, exchanges, and rulings.
 *
 * @param start the first day of its machine's service and what it stood at; empty if nobody knows,
 *     and then no reading is below it
 */
public record MeterNotes(
    Optional<LifePoint> start,
    List<Reading> readings,
    List<MeterReplacement> replacements,
    List<Ruling> rulings) {

  public MeterNotes {
    readings = List.copyOf(readings);
    replacements = List.copyOf(replacements);
    rulings = List.copyOf(rulings);
  }

  /** Readings of a meter that was never exchanged or ruled on. */
  public static MeterNotes of(List<Reading> readings) {
    return new MeterNotes(Optional.empty(), readings, List.of(), List.of());
  }

  /**
   * What was noted of it up to the end of a day, with what was ruled on that since; exchanges as
   * far as the last reading of the old meter is among it.
   */
  public MeterNotes until(LocalDate day) {
    List<Reading> known = readings.stream().filter(r -> !r.day().isAfter(day)).toList();
    Set<Long> ids = known.stream().map(Reading::id).collect(Collectors.toSet());
    return new MeterNotes(
        start,
        known,
        replacements.stream().filter(r -> ids.contains(r.endReadingId())).toList(),
        rulings.stream().filter(r -> ids.contains(r.readingId())).toList());
  }

  /** These notes and further readings. */
  public MeterNotes with(List<Reading> more) {
    List<Reading> all = new ArrayList<>(readings);
    all.addAll(more);
    return new MeterNotes(start, all, replacements, rulings);
  }

  /** These notes and one more ruling. */
  public MeterNotes with(Ruling ruling) {
    List<Ruling> all = new ArrayList<>(rulings);
    all.add(ruling);
    return new MeterNotes(start, readings, replacements, all);
  }

  /** These notes and one more exchange. */
  public MeterNotes with(MeterReplacement replacement) {
    List<MeterReplacement> all = new ArrayList<>(replacements);
    all.add(replacement);
    return new MeterNotes(start, readings, all, rulings);
  }
}
