package dev.lonja.app.device;

import dev.lonja.core.quantity.Length;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.desk.bench.GaugedTanks;
import dev.lonja.desk.dip.TankGauge;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** A stand-in for tank gauges: it holds what the Bench page made them read. */
@Component
@Profile("bench")
public class SimulatedTankGauge implements TankGauge, GaugedTanks {

  private final List<Read> readings = new CopyOnWriteArrayList<>();
  private final AtomicLong last = new AtomicLong();

  @Override
  public void read(String tank, Length height, Optional<Temperature> temperature, Instant at) {
    readings.add(new Read(last.incrementAndGet(), tank, height, temperature, at));
  }

  @Override
  public List<Read> waiting() {
    return List.copyOf(readings);
  }

  @Override
  public void acknowledge(List<Read> taken) {
    readings.removeAll(taken);
  }
}
