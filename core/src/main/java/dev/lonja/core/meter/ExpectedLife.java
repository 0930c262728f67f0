package dev.lonja.core.meter;

import dev.lonja.core.calendar.EffectiveDays;
import dev.lonja.core.quantity.MeterMeasure;
import dev.lonja.core.quantity.MeterSpan;
import dev.lonja.core.quantity.MeterValue;
import java.math.BigDecimal;
import java.math.RoundingMode;

/**
 * What a meter is expected to stand at, held in millionths of an hour or kilometre. The rate is
 * finer than that by a thousand, so that a limit that is exactly reached on paper is reached here
 * too and binary fractions never decide.
 */
public record ExpectedLife(long millionths, MeterMeasure measure) {

  private static final long PER_TENTH = 100_000;

  static ExpectedLife after(MeterValue start, UsageRate rate, EffectiveDays tau) {
    long run = Math.round(rate.billionthsPerDay() * tau.days() / 1_000);
    return new ExpectedLife(Math.addExact(start.tenths() * PER_TENTH, run), start.measure());
  }

  public static ExpectedLife of(MeterValue value) {
    return new ExpectedLife(value.tenths() * PER_TENTH, value.measure());
  }

  /** This life and so many tenths more. */
  ExpectedLife plusTenths(long tenths) {
    return new ExpectedLife(
        Math.addExact(millionths, Math.multiplyExact(tenths, PER_TENTH)), measure);
  }

  /** This life and so many millionths more. */
  public ExpectedLife plusMillionths(long more) {
    return new ExpectedLife(Math.addExact(millionths, more), measure);
  }

  /** This life and a span more. */
  public ExpectedLife plus(MeterSpan span) {
    return plusTenths(span.tenths());
  }

  /** What a meter that shows tenths has passed, the rest cut off. */
  public MeterValue wholeTenths() {
    return new MeterValue(millionths / PER_TENTH, measure);
  }

  /** What {@link #wholeTenths} cuts off, in millionths. */
  public long beyondTenths() {
    return millionths % PER_TENTH;
  }

  boolean reaches(ExpectedLife limit) {
    return millionths >= limit.millionths;
  }

  /** True if it is the limit or beyond it. */
  public boolean reaches(MeterValue limit) {
    return millionths >= limit.tenths() * PER_TENTH;
  }

  /** How far this lies beyond {@code limit}, rounded to a tenth; zero if it does not. */
  public MeterSpan beyond(MeterValue limit) {
    long over = Math.max(0, millionths - limit.tenths() * PER_TENTH);
    return MeterSpan.of(BigDecimal.valueOf(over, 6), measure);
  }

  /**
   * True if this lies at most a tenth of {@code interval} beyond {@code earlier}, to the millionth.
   */
  public boolean isWithinTenthOf(MeterSpan interval, ExpectedLife earlier) {
    return (millionths - earlier.millionths) * 10 <= interval.tenths() * PER_TENTH;
  }

  /** To the tenth, halves up, as a meter would show it. */
  public MeterValue rounded() {
    BigDecimal value = BigDecimal.valueOf(millionths, 6).setScale(1, RoundingMode.HALF_UP);
    return MeterValue.of(value, measure);
  }
}
