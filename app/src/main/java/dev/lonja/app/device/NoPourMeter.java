package dev.lonja.app.device;

import dev.lonja.desk.dip.PourMeter;
import java.util.List;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** No pour meter is attached. */
@Component
@Profile("!bench")
class NoPourMeter implements PourMeter {

  @Override
  public List<Count> waiting() {
    return List.of();
  }

  @Override
  public void acknowledge(List<Count> counts) {
    // nothing waits
  }
}
