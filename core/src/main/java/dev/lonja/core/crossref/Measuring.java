package dev.lonja.core.crossref;

import dev.lonja.core.part.Part;
import dev.lonja.core.part.Property;
import dev.lonja.core.part.ScrewThread;
import dev.lonja.core.quantity.Length;
import java.math.BigDecimal;
import java.math.MathContext;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Finds washers, O-rings and plugs by caliper readings of a used one. A part is listed if each
 * reading less its nominal lies within what wear and squeezing leave; readings that are not given
 * are not judged.
 */
public final class Measuring {

  /** What a caliper can be put to, by family. */
  public enum Reading {
    WASHER_ID,
    WASHER_OD,
    WASHER_THICKNESS,
    RING_CORD,
    RING_ID,
    PLUG_DIAMETER,
    /** Micrometres for M, threads per inch for all others; exact. */
    PLUG_PITCH,
    PLUG_LENGTH
  }

  /**
   * A part that may be the one in hand.
   *
   * @param distance the sum of |difference| / tolerance on its side; 0 is a perfect match
   * @param differences reading less nominal, in micrometres
   */
  public record Match(Part part, BigDecimal distance, Map<Reading, Long> differences) {}

  private static final BigDecimal CORD_SHARE = new BigDecimal("0.04");
  private static final BigDecimal RING_SHARE = new BigDecimal("0.02");
  private static final long RING_LEAST = 200;

  private Measuring() {}

  /**
   * The parts among {@code all} that may be the measured one, nearest first, then by key and make.
   *
   * @param readings at least one; lengths in micrometres
   */
  public static List<Match> matches(List<Part> all, Map<Reading, Long> readings) {
    return all.stream()
        .flatMap(part -> match(part, readings).stream())
        .sorted(
            Comparator.comparing(Match::distance)
                .thenComparing(match -> match.part().key())
                .thenComparing(match -> match.part().make()))
        .toList();
  }

  /** How far a reading may lie below and above its nominal, in micrometres. */
  private record Window(long nominal, BigDecimal below, BigDecimal above) {
    Optional<BigDecimal> distance(long reading) {
      BigDecimal difference = BigDecimal.valueOf(reading - nominal);
      BigDecimal limit = difference.signum() < 0 ? below : above;
      if (difference.signum() == 0) {
        return Optional.of(BigDecimal.ZERO);
      }
      return difference.abs().compareTo(limit) <= 0
          ? Optional.of(difference.abs().divide(limit, MathContext.DECIMAL64))
          : Optional.empty();
    }
  }

  private static Optional<Match> match(Part part, Map<Reading, Long> readings) {
    BigDecimal sum = BigDecimal.ZERO;
    Map<Reading, Long> differences = new EnumMap<>(Reading.class);
    for (Map.Entry<Reading, Long> reading : readings.entrySet()) {
      Optional<Window> window = window(part, reading.getKey());
      Optional<BigDecimal> distance = window.flatMap(w -> w.distance(reading.getValue()));
      if (distance.isEmpty()) {
        return Optional.empty();
      }
      sum = sum.add(distance.get());
      differences.put(reading.getKey(), reading.getValue() - window.orElseThrow().nominal());
    }
    return Optional.of(new Match(part, sum, differences));
  }

  private static Optional<Window> window(Part part, Reading reading) {
    return switch (reading) {
      case WASHER_ID -> nominal(part, Property.INNER_DIAMETER).map(n -> window(n, 100, 600));
      case WASHER_OD -> nominal(part, Property.OUTER_DIAMETER).map(n -> window(n, 1_000, 300));
      case WASHER_THICKNESS -> nominal(part, Property.THICKNESS).map(n -> window(n, 500, 300));
      case RING_CORD ->
          nominal(part, Property.CROSS_SECTION).map(n -> window(n, share(n, CORD_SHARE)));
      case RING_ID ->
          nominal(part, Property.INNER_DIAMETER)
              .map(n -> window(n, share(n, RING_SHARE).max(BigDecimal.valueOf(RING_LEAST))));
      case PLUG_DIAMETER ->
          part.properties()
              .get(Property.THREAD)
              .flatMap(ScrewThread::major)
              .map(Length::micrometres)
              .map(n -> window(n, 500, 100));
      case PLUG_PITCH ->
          part.properties()
              .get(Property.THREAD)
              .flatMap(ScrewThread::pitch)
              .map(n -> window(n, 0, 0));
      case PLUG_LENGTH -> nominal(part, Property.SHANK_LENGTH).map(n -> window(n, 3_000, 3_000));
    };
  }

  private static Optional<Long> nominal(Part part, Property<Length> property) {
    return part.properties().get(property).map(Length::micrometres);
  }

  private static BigDecimal share(long nominal, BigDecimal share) {
    return BigDecimal.valueOf(nominal).multiply(share);
  }

  private static Window window(long nominal, long below, long above) {
    return new Window(nominal, BigDecimal.valueOf(below), BigDecimal.valueOf(above));
  }

  private static Window window(long nominal, BigDecimal eitherWay) {
    return new Window(nominal, eitherWay, eitherWay);
  }
}
