package dev.lonja.core.tank;

import dev.lonja.core.quantity.Volume;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * How full a tank is.
 *
 * @param lastDip the latest; empty if it was never dipped
 * @param now as it lies: the last dip and what moved since, or what the book says if it was never
 *     dipped
 * @param book what the ledger has in it
 */
public record TankLevel(Tank tank, Optional<Dip> lastDip, Volume now, Volume book) {

  /** A gauge that has said nothing for so long is silent. */
  private static final Duration SILENT = Duration.ofHours(48);

  /** Less full than this a tank runs low, in per cent. */
  private static final int LOW_PERCENT = 15;

  /** Works it out; {@code dips} and {@code flows} in any order. */
  public static TankLevel of(Tank tank, List<Dip> dips, List<Flow> flows, Volume book) {
    Optional<Dip> last = dips.stream().max(Comparator.comparing(Dip::at));
    Volume now =
        last.map(
                dip ->
                    moved(
                        tank.shape().volumeAt(dip.height()),
                        flows.stream().filter(flow -> flow.at().isAfter(dip.at())).toList()))
            .orElse(book);
    return new TankLevel(tank, last, now, book);
  }

  private static Volume moved(Volume from, List<Flow> flows) {
    long microlitres = from.microlitres();
    for (Flow flow : flows) {
      long volume = flow.volume().microlitres();
      microlitres += flow.way().isIn() ? volume : -volume;
    }
    return new Volume(Math.max(0, microlitres));
  }

  /** What may still be delivered. */
  public Volume room() {
    return tank.room(now);
  }

  public boolean isLow() {
    return tank.percent(now) < LOW_PERCENT;
  }

  /** True if it has a gauge that has said nothing for two days. */
  public boolean isSilent(List<Dip> dips, Instant time) {
    return tank.gauged()
        && dips.stream()
            .filter(Dip::byGauge)
            .noneMatch(dip -> dip.at().isAfter(time.minus(SILENT)));
  }
}
