package dev.lonja.desk.bench;

import java.math.BigDecimal;
import java.time.Instant;

/** Simulated machines that can be made to report their meters; the reports wait in the feed. */
public interface ReportingMachines {

  /**
   * Lets a machine report.
   *
   * @param value hours or kilometres, as its meter shows them
   */
  void report(String unitCode, String meter, BigDecimal value, Instant at);

  /** How many reports wait to be taken in. */
  int waitingCount();
}
