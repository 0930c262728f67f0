package dev.lonja.app.server;

import dev.lonja.desk.forecast.ForecastKeeper;
import dev.lonja.desk.forecast.Trials;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * Keeps the trials of the forecast current, so that what is to be ordered this week is known before
 * anybody asks, and the forecast of the month that comes.
 */
@Component
class ForecastRound {

  private final Trials trials;
  private final ForecastKeeper keeper;

  ForecastRound(Trials trials, ForecastKeeper keeper) {
    this.trials = trials;
    this.keeper = keeper;
  }

  /** Begins to draw what has changed; a page that wants them sooner begins itself. */
  @Scheduled(initialDelay = 45, fixedDelay = 300, timeUnit = TimeUnit.SECONDS)
  void draw() {
    trials.drawn();
  }

  @Scheduled(initialDelay = 5, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
  void keep() {
    keeper.keep();
  }
}
