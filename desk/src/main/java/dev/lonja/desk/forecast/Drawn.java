package dev.lonja.desk.forecast;

import java.time.LocalDate;
import java.util.Optional;

/**
 * Trials as far as they are drawn.
 *
 * @param bands empty before the first trials are drawn
 * @param percent how far newer ones are; 100 if none are being drawn
 * @param failed true if newer ones could not be drawn
 */
public record Drawn(Optional<Bands> bands, int percent, boolean failed) {

  private static final int WHOLE = 100;

  /** True while newer ones are being drawn. */
  public boolean isRunning() {
    return percent < WHOLE;
  }

  /** What was drawn, unless on another day. */
  public Optional<Bands> of(LocalDate today) {
    return bands.filter(drawn -> drawn.rules().today().equals(today));
  }
}
