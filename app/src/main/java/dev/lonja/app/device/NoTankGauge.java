package dev.lonja.app.device;

import dev.lonja.desk.dip.TankGauge;
import java.util.List;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** No gauge is attached. */
@Component
@Profile("!bench")
class NoTankGauge implements TankGauge {

  @Override
  public List<Read> waiting() {
    return List.of();
  }

  @Override
  public void acknowledge(List<Read> readings) {
    // nothing waits
  }
}
