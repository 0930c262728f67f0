package dev.lonja.desk.meter;

import java.math.BigDecimal;
import java.time.Instant;
import java.util.List;

/** Machines that report their meters themselves. Reports wait until they are acknowledged. */
public interface MeterFeed {

  /**
   * What one machine reported.
   *
   * @param value hours or kilometres, as its meter shows them
   */
  record Report(long number, String unitCode, String meter, BigDecimal value, Instant at) {}

  /** The reports that wait, the oldest first. */
  List<Report> waiting();

  /** Lets go of reports that were taken in. */
  void acknowledge(List<Report> reports);
}
