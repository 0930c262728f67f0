package dev.lonja.app.server;

import dev.lonja.desk.dip.GaugeKeeper;
import dev.lonja.desk.dip.PourKeeper;
import java.util.concurrent.TimeUnit;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Takes in what tank gauges read and pour meters count, every minute. */
@Component
class GaugeRound {

  private final GaugeKeeper gauges;
  private final PourKeeper pours;

  GaugeRound(GaugeKeeper gauges, PourKeeper pours) {
    this.gauges = gauges;
    this.pours = pours;
  }

  @Scheduled(initialDelay = 1, fixedDelay = 1, timeUnit = TimeUnit.MINUTES)
  void takeIn() {
    gauges.takeIn();
    pours.takeIn();
  }
}
