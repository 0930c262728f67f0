package dev.lonja.app.server;

import dev.lonja.desk.forecast.ForecastKeeper;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Keeps the forecast of the month that comes, looked after every hour. */
@Component
class ForecastRound {

  private final ForecastKeeper keeper;

  ForecastRound(ForecastKeeper keeper) {
    this.keeper = keeper;
  }

  @Scheduled(initialDelay = 5, fixedDelay = 60, timeUnit = TimeUnit.MINUTES)
  void keep() {
    keeper.keep();
  }
}
