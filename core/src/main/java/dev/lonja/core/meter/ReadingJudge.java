package dev.lonja.core.meter;

import dev.lonja.core.quantity.MeterSpan;
import java.math.BigInteger;
import java.time.Duration;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Judges the readings of one meter, stretch by stretch between its exchanges. Within a stretch the
 * readings a person accepted stand, the latest ruling first, as far as life would not fall between
 * them; every other reading must fit in: not below the last accepted one, not above a later one
 * that a person accepted, and possible in the time. Costs n log n, and n for each ruling.
 */
final class ReadingJudge {

  private static final long SECONDS_PER_DAY = Duration.ofDays(1).toSeconds();

  private final Map<Long, Ruling> rulings = new HashMap<>();
  private final Map<Long, MeterReplacement> replacements = new HashMap<>();
  private final Set<Long> corrected = new HashSet<>();
  private final Set<Long> pins = new HashSet<>();
  private final List<JudgedReading> judged = new ArrayList<>();
  private MeterOffset offset = MeterOffset.NONE;
  private Optional<LifePoint> floor;
  private Optional<LifePoint> last = Optional.empty();

  private ReadingJudge(MeterNotes notes) {
    floor = notes.start();
    notes.rulings().stream()
        .sorted(Comparator.comparing(Ruling::id))
        .forEach(ruling -> rulings.put(ruling.readingId(), ruling));
    notes.replacements().forEach(change -> replacements.put(change.endReadingId(), change));
    notes.readings().forEach(reading -> reading.corrects().ifPresent(corrected::add));
  }

  static ReadingLog judge(MeterNotes notes) {
    ReadingJudge judge = new ReadingJudge(notes);
    List<Reading> stretch = new ArrayList<>();
    for (Reading reading : notes.readings().stream().sorted(Reading.BY_TIME).toList()) {
      stretch.add(reading);
      MeterReplacement replacement = judge.replacements.get(reading.id());
      if (replacement != null) {
        judge.judgeStretch(stretch);
        judge.replace(replacement);
        stretch.clear();
      }
    }
    judge.judgeStretch(stretch);
    return new ReadingLog(judge.judged, judge.offset);
  }

  private void judgeStretch(List<Reading> stretch) {
    List<Reading> pinned = pinned(stretch);
    for (Reading reading : stretch) {
      pinned.remove(reading);
      judged.add(judgement(reading, pinned));
    }
  }

  /** The readings that a person accepted and that stand, in order of time. */
  private List<Reading> pinned(List<Reading> stretch) {
    List<Reading> accepted =
        stretch.stream()
            .filter(reading -> isRuled(reading, true))
            .filter(reading -> !corrected.contains(reading.id()) && !isBelowFloor(reading))
            .sorted(Comparator.comparing((Reading r) -> rulings.get(r.id()).id()).reversed())
            .toList();
    List<Reading> standing = new ArrayList<>();
    for (Reading reading : accepted) {
      if (standing.stream().allMatch(other -> rise(reading, other))) {
        standing.add(reading);
      }
    }
    standing.forEach(reading -> pins.add(reading.id()));
    standing.sort(Reading.BY_TIME);
    return standing;
  }

  /** True if of two readings the later one does not show less. */
  private static boolean rise(Reading one, Reading other) {
    int time = Reading.BY_TIME.compare(one, other);
    int value = one.value().compareTo(other.value());
    return time < 0 ? value <= 0 : value >= 0;
  }

  private boolean isRuled(Reading reading, boolean accepted) {
    Ruling ruling = rulings.get(reading.id());
    return ruling != null && ruling.accepted() == accepted;
  }

  private boolean isBelowFloor(Reading reading) {
    return floor
        .flatMap(point -> offset.shown(point.life()))
        .filter(start -> reading.value().compareTo(start) < 0)
        .isPresent();
  }

  private JudgedReading judgement(Reading reading, List<Reading> pinnedLater) {
    Optional<LifePoint> overruling =
        pinnedLater.stream()
            .filter(pin -> pin.value().compareTo(reading.value()) < 0)
            .findFirst()
            .map(this::point);
    Optional<ReadingFlag> flag = flag(reading, overruling.isPresent());
    Optional<LifePoint> against =
        flag.filter(ReadingFlag.BELOW_START::equals).isPresent()
            ? floor
            : overruling.or(() -> last);
    Optional<LifePoint> counted =
        flag.isEmpty() || pins.contains(reading.id())
            ? Optional.of(point(reading))
            : Optional.empty();
    last = counted.or(() -> last);
    return new JudgedReading(
        reading, offset, flag, Optional.ofNullable(rulings.get(reading.id())), counted, against);
  }

  private Optional<ReadingFlag> flag(Reading reading, boolean overruled) {
    if (corrected.contains(reading.id())) {
      return Optional.of(ReadingFlag.CORRECTED);
    }
    if (isRuled(reading, false)) {
      return Optional.of(ReadingFlag.REFUSED);
    }
    if (isBelowFloor(reading)) {
      return Optional.of(ReadingFlag.BELOW_START);
    }
    LifePoint point = point(reading);
    if (last.filter(before -> point.life().compareTo(before.life()) < 0).isPresent()) {
      return Optional.of(ReadingFlag.BACKWARDS);
    }
    if (overruled) {
      return Optional.of(ReadingFlag.OVERRULED);
    }
    return last.filter(before -> !isPossible(before, point)).map(b -> ReadingFlag.IMPOSSIBLE);
  }

  private LifePoint point(Reading reading) {
    return new LifePoint(reading.day(), reading.at(), offset.life(reading.value()));
  }

  /** The new meter goes on from the life the old one ended at; an end that is refused adds none. */
  private void replace(MeterReplacement replacement) {
    JudgedReading end = judged.get(judged.size() - 1);
    LifePoint reached = last.orElseGet(() -> point(end.reading()));
    last = Optional.of(reached);
    offset = new MeterOffset(reached.life().tenths() - replacement.start().tenths());
    floor = last;
  }

  /** Compared as tenths × seconds of a day, in whole numbers, so that 24 h in a day is allowed. */
  private static boolean isPossible(LifePoint before, LifePoint now) {
    MeterSpan run = now.life().since(before.life());
    BigInteger used =
        BigInteger.valueOf(run.tenths()).multiply(BigInteger.valueOf(SECONDS_PER_DAY));
    BigInteger allowed =
        BigInteger.valueOf(run.measure().highestPerDay().tenths())
            .multiply(BigInteger.valueOf(elapsedSeconds(before, now)));
    return used.compareTo(allowed) <= 0;
  }

  /** By instants where both are known; else whole days + 1, the most that can have passed. */
  private static long elapsedSeconds(LifePoint before, LifePoint now) {
    if (before.at().isPresent() && now.at().isPresent()) {
      return Duration.between(before.at().get(), now.at().get()).toSeconds();
    }
    return (ChronoUnit.DAYS.between(before.day(), now.day()) + 1) * SECONDS_PER_DAY;
  }
}
