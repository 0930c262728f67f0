package dev.lonja.core.quantity;

import java.math.BigDecimal;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;

/**
 * How people write one kind of quantity: a number, and a unit unless it is the usual one. "6.4",
 * "6,4 L", "1.5 qt", "38 fl oz" are volumes; "65 in-lb" is a torque. Each factory rounds once, to
 * the base unit.
 *
 * @param <T> the kind of quantity
 */
public final class Spoken<T> {

  /** Kilograms of an avoirdupois pound, and of a sixteenth of it; exact. */
  private static final BigDecimal POUND = new BigDecimal("0.45359237");

  private static final BigDecimal OUNCE = new BigDecimal("0.028349523125");

  /** In litres, if no unit is named. */
  public static final Spoken<Volume> VOLUME =
      new Spoken<>("L, mL, US qt, US gal, imp gal or fl oz", Volume::ofLitres)
          .or(Volume::ofLitres, "l", "litre", "litres", "liter", "liters")
          .or(ml -> Volume.ofLitres(ml.movePointLeft(3)), "ml", "cc", "cm3")
          .or(Volume::ofUsQuarts, "qt", "usqt", "quart", "quarts")
          .or(Volume::ofUsGallons, "usgal", "gal(us)", "usgallon", "usgallons")
          .or(Volume::ofImperialGallons, "impgal", "gal(imp)", "impgallon", "impgallons")
          .or(Volume::ofUsFluidOunces, "floz", "usfloz", "oz");

  /** In kilograms, if no unit is named. */
  public static final Spoken<Quantity> MASS =
      new Spoken<>("kg, g, lb or oz", kg -> Quantity.of(Measure.KILOGRAMS, kg))
          .or(kg -> Quantity.of(Measure.KILOGRAMS, kg), "kg")
          .or(g -> Quantity.of(Measure.KILOGRAMS, g.movePointLeft(3)), "g")
          .or(lb -> Quantity.of(Measure.KILOGRAMS, lb.multiply(POUND)), "lb", "lbs")
          .or(oz -> Quantity.of(Measure.KILOGRAMS, oz.multiply(OUNCE)), "oz");

  /** In millimetres, if no unit is named. */
  public static final Spoken<Length> LENGTH =
      new Spoken<>("mm, cm or in", Length::ofMillimetres)
          .or(Length::ofMillimetres, "mm")
          .or(cm -> Length.ofMillimetres(cm.movePointRight(1)), "cm")
          .or(Length::ofInches, "in", "\"", "inch", "inches");

  /** In bar, if no unit is named. */
  public static final Spoken<Pressure> PRESSURE =
      new Spoken<>("bar, kPa or psi", Pressure::ofBar)
          .or(Pressure::ofBar, "bar")
          .or(kpa -> Pressure.ofBar(kpa.movePointLeft(2)), "kpa")
          .or(Pressure::ofPsi, "psi", "lb/in2", "lbf/in2");

  /** In degrees Celsius, if no unit is named. */
  public static final Spoken<Temperature> TEMPERATURE =
      new Spoken<>("°C or °F", Temperature::ofCelsius)
          .or(Temperature::ofCelsius, "c", "celsius")
          .or(Temperature::ofFahrenheit, "f", "fahrenheit");

  /** In newton-metres, if no unit is named. */
  public static final Spoken<Torque> TORQUE =
      new Spoken<>("N·m, lbf·ft or lbf·in", Torque::ofNewtonMetres)
          .or(Torque::ofNewtonMetres, "nm")
          .or(Torque::ofPoundFeet, "lbfft", "lbft", "ftlb", "ftlbf", "ftlbs", "lbsft")
          .or(Torque::ofPoundInches, "lbfin", "lbin", "inlb", "inlbf", "inlbs", "lbsin");

  /** In volts, if no unit is named. */
  public static final Spoken<Voltage> VOLTAGE =
      new Spoken<>("V or mV", Voltage::ofVolts)
          .or(Voltage::ofVolts, "v", "volt", "volts")
          .or(mv -> Voltage.ofVolts(mv.movePointLeft(3)), "mv");

  /** In kilowatts, if no unit is named. */
  public static final Spoken<Power> POWER =
      new Spoken<>("kW, W, hp or PS", Power::ofKilowatts)
          .or(Power::ofKilowatts, "kw")
          .or(w -> Power.ofKilowatts(w.movePointLeft(3)), "w")
          .or(Power::ofHorsepower, "hp", "bhp")
          .or(Power::ofMetricHorsepower, "ps");

  private final String units;
  private final Map<String, Function<BigDecimal, T>> byUnit = new HashMap<>();

  private Spoken(String units, Function<BigDecimal, T> usual) {
    this.units = units;
    byUnit.put("", usual);
  }

  private Spoken<T> or(Function<BigDecimal, T> unit, String... names) {
    List.of(names).forEach(name -> byUnit.put(name, unit));
    return this;
  }

  /** The units that are understood, the usual one first: "L, mL, US qt or fl oz". */
  public String units() {
    return units;
  }

  /**
   * What the text says. Empty for what is no number, for a unit that is not one of {@link #units},
   * and outside the range of the type.
   */
  public Optional<T> read(String text) {
    return SpokenNumber.read(text).flatMap(this::of);
  }

  private Optional<T> of(SpokenNumber spoken) {
    Function<BigDecimal, T> unit = byUnit.get(spoken.unit());
    if (unit == null) {
      return Optional.empty();
    }
    try {
      return Optional.of(unit.apply(spoken.amount()));
    } catch (ArithmeticException | IllegalArgumentException e) {
      // outside what the type holds
      return Optional.empty();
    }
  }
}
