package dev.lonja.app.server;

import dev.lonja.desk.dip.GaugeKeeper;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Takes in what tank gauges read, every minute. */
@Component
class GaugeRound {

  private final GaugeKeeper keeper;

  GaugeRound(GaugeKeeper keeper) {
    this.keeper = keeper;
  }

  @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.MINUTES)
  void takeIn() {
    keeper.takeIn();
  }
}
