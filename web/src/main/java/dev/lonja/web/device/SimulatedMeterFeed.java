package dev.lonja.web.device;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.stereotype.Component;

/** A stand-in for telematics: it holds what the Bench page made the machines say. */
@Component
public class SimulatedMeterFeed implements MeterFeed {

  private final List<Report> reports = new CopyOnWriteArrayList<>();
  private final AtomicLong last = new AtomicLong();

  /** Lets a machine report. */
  public void report(String unitCode, String meter, BigDecimal value, Instant at) {
    reports.add(new Report(last.incrementAndGet(), unitCode, meter, value, at));
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
