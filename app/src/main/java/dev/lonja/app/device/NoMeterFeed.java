package dev.lonja.app.device;

import dev.lonja.desk.meter.MeterFeed;
import java.util.List;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** No machine reports its meters. */
@Component
@Profile("!bench")
class NoMeterFeed implements MeterFeed {

  @Override
  public List<Report> waiting() {
    return List.of();
  }

  @Override
  public void acknowledge(List<Report> taken) {
    // there are none
  }
}
