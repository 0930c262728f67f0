package dev.lonja.desk.unit;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.variant.VariantDesk;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** A unit that is to come into the fleet, as somebody describes it. */
public record NewUnit(
    String code,
    String name,
    OfClass unitClass,
    OfModel model,
    LocalDate inServiceOn,
    List<NewMeter> meters,
    Optional<LayUp> layUp) {

  /** The class that it belongs to. */
  public sealed interface OfClass {

    /** One that is there, by its code. */
    record Known(String code) implements OfClass {}

    /** One that comes with it, its months all alike. */
    record Added(String code, String name) implements OfClass {}
  }

  /** The variant that it is. */
  public sealed interface OfModel {

    /** One that is there. */
    record Known(long variant) implements OfModel {}

    /**
     * One that comes with it.
     *
     * @param copied the variant whose make-up it takes; empty for a bare one
     */
    record Added(VariantDesk.Name name, Optional<Long> copied) implements OfModel {}
  }

  /**
   * A meter of it.
   *
   * @param start what it stood at on the first day of service
   * @param shows what it shows today, if that was read
   * @param perDay what it is used on a working day, in its own measure, if that is declared
   */
  public record NewMeter(
      String name, MeterValue start, Optional<MeterValue> shows, Optional<BigDecimal> perDay) {}
}
