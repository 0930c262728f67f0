package dev.lonja.core.pour;

import dev.lonja.core.calendar.EffectiveDays;
import dev.lonja.core.fleet.Compartment;
import dev.lonja.core.fleet.TopUpRate;
import dev.lonja.core.meter.ExpectedLife;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.math.BigInteger;
import java.math.RoundingMode;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * What a compartment takes between services as its meter runs (rules §6): learned from what was
 * noted, else as stated of it.
 *
 * @param volume for each span, rounded half up to a microlitre
 * @param span 100 h or 1,000 km of {@code meter}
 * @param learnedFrom from how many top-ups it was learned; 0 if it is stated
 */
public record TopUpUse(Volume volume, MeterSpan span, MeterStanding meter, int learnedFrom) {

  /** From so many top-ups of the last {@value #WINDOW_DAYS} days on, the use is learned. */
  public static final int LEAST_NOTED = 3;

  /** And only if at least so many days lie between the first and the last. */
  public static final int LEAST_DAYS = 28;

  private static final int WINDOW_DAYS = 365;

  private static final BigInteger MILLIONTHS_PER_TENTH = BigInteger.valueOf(100_000);

  /**
   * The use of one compartment: what was added after the first top-up of the last 365 days, over
   * what the meter runs, at its rate, in the effective days from the first to the last. With fewer
   * than {@value #LEAST_NOTED}, fewer than {@value #LEAST_DAYS} days between them or a meter that
   * has no rate or stands still, what is stated of the compartment; else none. It goes by the meter
   * that is stated, else by the machine's first.
   *
   * @param noted of this unit, in any order; of other compartments is left aside
   * @param meters of the unit
   */
  public static Optional<TopUpUse> of(
      Compartment compartment,
      List<RecordedTopUp> noted,
      List<MeterStanding> meters,
      LocalDate today) {
    Optional<TopUpRate> stated = compartment.filling().topUps();
    Optional<MeterStanding> meter =
        stated.isEmpty()
            ? meters.stream().findFirst()
            : meters.stream()
                .filter(m -> m.file().meter().name().equals(stated.get().meter()))
                .findFirst();
    return meter.flatMap(
        m ->
            learned(ofYear(compartment, noted, today), m)
                .or(() -> stated.map(rate -> new TopUpUse(rate.volume(), span(m), m, 0))));
  }

  private static List<RecordedTopUp> ofYear(
      Compartment compartment, List<RecordedTopUp> noted, LocalDate today) {
    return noted.stream()
        .filter(topUp -> topUp.compartmentId().equals(compartment.id()))
        .filter(topUp -> topUp.on().isAfter(today.minusDays(WINDOW_DAYS)))
        .sorted((one, other) -> one.on().compareTo(other.on()))
        .toList();
  }

  private static Optional<TopUpUse> learned(List<RecordedTopUp> noted, MeterStanding meter) {
    if (noted.size() < LEAST_NOTED) {
      return Optional.empty();
    }
    LocalDate first = noted.get(0).on();
    LocalDate last = noted.get(noted.size() - 1).on();
    EffectiveDays tau = meter.file().calendar().between(first, last);
    BigDecimal run = meter.outlook().rate().map(rate -> rate.over(tau)).orElse(BigDecimal.ZERO);
    if (ChronoUnit.DAYS.between(first, last) < LEAST_DAYS || run.signum() == 0) {
      return Optional.empty();
    }
    Volume added =
        noted.stream().skip(1).map(RecordedTopUp::volume).reduce(Volume.ZERO, Volume::plus);
    BigDecimal perSpan =
        BigDecimal.valueOf(added.microlitres())
            .multiply(BigDecimal.valueOf(span(meter).tenths(), 1))
            .divide(run, 0, RoundingMode.HALF_UP);
    return Optional.of(
        new TopUpUse(new Volume(perSpan.longValueExact()), span(meter), meter, noted.size()));
  }

  private static MeterSpan span(MeterStanding meter) {
    return TopUpRate.span(meter.outlook().measure());
  }

  /**
   * What will be added from one day to another, the first left out and the last included: by the
   * life expected on both, rounded half up to a microlitre.
   */
  public Volume between(LocalDate from, LocalDate to) {
    BigInteger run =
        BigInteger.valueOf(Math.max(0, life(to).millionths() - life(from).millionths()));
    BigDecimal part = new BigDecimal(run.multiply(BigInteger.valueOf(volume.microlitres())));
    BigDecimal whole =
        new BigDecimal(BigInteger.valueOf(span.tenths()).multiply(MILLIONTHS_PER_TENTH));
    return new Volume(part.divide(whole, 0, RoundingMode.HALF_UP).longValueExact());
  }

  private ExpectedLife life(LocalDate day) {
    return meter.outlook().on(day);
  }
}
