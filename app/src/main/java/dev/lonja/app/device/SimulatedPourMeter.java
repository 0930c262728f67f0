package dev.lonja.app.device;

import dev.lonja.core.quantity.Volume;
import dev.lonja.desk.bench.PouringTanks;
import dev.lonja.desk.dip.PourMeter;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** A stand-in for pour meters: it holds what the Bench page made run through them. */
@Component
@Profile("bench")
public class SimulatedPourMeter implements PourMeter, PouringTanks {

  private final List<Count> counts = new CopyOnWriteArrayList<>();
  private final AtomicLong last = new AtomicLong();

  @Override
  public void pour(String tank, Volume volume, Instant at) {
    counts.add(new Count(last.incrementAndGet(), tank, volume, at));
  }

  @Override
  public List<Count> waiting() {
    return List.copyOf(counts);
  }

  @Override
  public void acknowledge(List<Count> taken) {
    counts.removeAll(taken);
  }
}
