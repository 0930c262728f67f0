package dev.lonja.app.device;

import dev.lonja.desk.bench.ReportingMachines;
import dev.lonja.desk.meter.MeterFeed;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.context.annotation.Profile;
import org.springframework.stereotype.Component;

/** A stand-in for telematics: it holds what the Bench page made the machines say. */
@Component
@Profile("bench")
public class SimulatedMeterFeed implements MeterFeed, ReportingMachines {

  private final List<Report> reports = new CopyOnWriteArrayList<>();
  private final AtomicLong last = new AtomicLong();

  @Override
  public void report(String unitCode, String meter, BigDecimal value, Instant at) {
    reports.add(new Report(last.incrementAndGet(), unitCode, meter, value, at));
  }

  @Override
  public int waitingCount() {
    return reports.size();
  }

  @Override
  public List<Report> waiting() {
    return List.copyOf(reports);
  }

  @Override
  public void acknowledge(List<Report> taken) {
    reports.removeAll(taken);
  }
}
