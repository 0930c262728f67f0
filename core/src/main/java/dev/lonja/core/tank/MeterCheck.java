package dev.lonja.core.tank;

import dev.lonja.core.quantity.Volume;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;

/**
 * What the meter at a tank's tap counted, held against the pours that are written down, both as
 * they ran (rules §10: a meter is good to half a per cent of what runs through it). It begins with
 * the day of the meter's first count, or after the last agreed dip if that is later.
 *
 * @param since what was poured earlier is left aside
 * @param written what the book says was poured
 */
public record MeterCheck(Instant since, Volume counted, Volume written) {

  /** A tap drips so much however little runs, in litres. */
  private static final double LEAST = 0.05;

  /**
   * Empty if the tank has no meter, or it counted nothing since the last agreed dip.
   *
   * @param pours in any order
   * @param flows by the book, in any order
   * @param dips in any order
   * @param dayOf when the day of an instant began in the store
   */
  public static Optional<MeterCheck> of(
      List<MeteredPour> pours, List<Flow> flows, List<Dip> dips, UnaryOperator<Instant> dayOf) {
    Optional<Instant> agreed =
        dips.stream()
            .filter(Dip::agreed)
            .map(Dip::at)
            .max(Comparator.naturalOrder())
            // what moved at the time of a dip counts as before it
            .map(at -> at.plusSeconds(1));
    return pours.stream()
        .map(MeteredPour::at)
        .min(Comparator.naturalOrder())
        .map(dayOf)
        .map(first -> agreed.filter(first::isBefore).orElse(first))
        .map(since -> since(since, pours, flows))
        .filter(check -> check.counted().compareTo(Volume.ZERO) > 0);
  }

  private static MeterCheck since(Instant since, List<MeteredPour> pours, List<Flow> flows) {
    return new MeterCheck(
        since,
        pours.stream()
            .filter(pour -> !pour.at().isBefore(since))
            .map(MeteredPour::volume)
            .reduce(Volume.ZERO, Volume::plus),
        flows.stream()
            .filter(flow -> flow.way() == Flow.Way.POURED && !flow.at().isBefore(since))
            .map(Flow::volume)
            .reduce(Volume.ZERO, Volume::plus));
  }

  /** Litres that ran and were not written down; below zero if more is written than ran. */
  public double unwritten() {
    return counted.litres().subtract(written.litres()).doubleValue();
  }

  /** True if the difference is no more than the meter may be off. */
  public boolean agrees() {
    double allowed = Math.max(LEAST, Reconciliation.METER_SHARE * counted.litres().doubleValue());
    return Math.abs(unwritten()) <= allowed + 1e-9;
  }
}
