package dev.lonja.web.due;

import dev.lonja.core.calendar.UsageBurst;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.desk.service.BurstDesk;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;

/** A burst as typed; all fields are empty at first. */
record BurstForm(String meterId, String first, String last, String perDay) {

  private static final int USUAL_DAYS = 6;

  /** Day and night from today, six days long. */
  static BurstForm usual(MeterStanding meter, LocalDate today) {
    boolean hours = meter.file().meter().measure() == MeterMeasure.HOURS;
    return new BurstForm(
        String.valueOf(meter.file().meter().id()),
        today.toString(),
        today.plusDays(USUAL_DAYS - 1L).toString(),
        hours ? "24" : "800");
  }

  boolean isEmpty() {
    return first.isBlank() && perDay.isBlank();
  }

  /** The meter that is meant; the first one if none is. */
  MeterStanding meter(BurstDesk.Subject subject) {
    return subject.meters().stream()
        .filter(m -> String.valueOf(m.file().meter().id()).equals(meterId))
        .findFirst()
        .orElse(subject.meters().get(0));
  }

  /** Empty, with the problems noted, if it cannot be read. */
  Optional<UsageBurst> read(MeterStanding meter, LocalDate today, Typed typed) {
    Optional<LocalDate> from = typed.day("first", first);
    Optional<LocalDate> to = typed.day("last", last);
    MeterMeasure measure = meter.file().meter().measure();
    BigDecimal most = BigDecimal.valueOf(measure.highestPerDay().tenths(), 1);
    Optional<BigDecimal> amount = typed.decimalUpTo("perDay", "The use a day", perDay, most, 1);
    boolean inOrder = from.flatMap(f -> to.map(l -> !f.isAfter(l))).orElse(true);
    if (!inOrder) {
      typed.refuse(
          "last", "The last day, " + to.get() + ", lies before the first, " + from.get() + ".");
    }
    if (to.filter(l -> l.isAfter(today.plusYears(1))).isPresent()) {
      typed.refuse("last", "The last day is " + to.get() + "; allowed is up to a year ahead.");
    }
    return typed.all(
        () ->
            new UsageBurst(
                from.orElseThrow(), to.orElseThrow(), MeterSpan.of(amount.orElseThrow(), measure)));
  }
}
