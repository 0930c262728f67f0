package dev.lonja.core.meter;

import java.util.Optional;

/**
 * A reading with the judgement on it.
 *
 * @param offset of the meter it was read from
 * @param flag what speaks against it; a person may have accepted it all the same
 * @param ruling what a person decided about it last
 * @param counted the life it stands for; present exactly if it counts
 * @param against what it was held against; empty for the first
 */
public record JudgedReading(
    Reading reading,
    MeterOffset offset,
    Optional<ReadingFlag> flag,
    Optional<Ruling> ruling,
    Optional<LifePoint> counted,
    Optional<LifePoint> against) {

  public boolean accepted() {
    return counted.isPresent();
  }
}
