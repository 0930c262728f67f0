package dev.lonja.web.request;

import dev.lonja.core.calendar.SensibleDay;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Spoken;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.quantity.Volume;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Currency;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Reads what people type and gathers every problem, each naming the value and what is allowed. */
public final class Typed {

  private static final Pattern SPAN = Pattern.compile("([0-9]{1,6})\\s*(days?|months?|years?)");
  private static final int YEAR_DAYS = 365;
  private static final int MONTHS_OF_YEAR = 12;

  private static final Pattern NUMBER = Pattern.compile("[-+]?[0-9]{1,12}(\\.[0-9]{1,9})?");

  /** A litre has a million microlitres. */
  private static final int FINEST_LITRES = 6;

  /** With one, two, or four digits and more behind it, a comma stands for no thousands. */
  private static final Pattern DECIMAL_COMMA =
      Pattern.compile("^([-+]?[0-9]{1,12}),([0-9]{1,2}|[0-9]{4,9})$");

  /** As many as {@link #NUMBER} lets through. */
  private static final int FINEST_DECIMALS = 9;

  private static final Pattern ROW_NUMBER = Pattern.compile("[1-9][0-9]{0,17}");

  private final List<Problem> problems = new ArrayList<>();

  public List<Problem> problems() {
    return problems;
  }

  public void refuse(String field, String text) {
    problems.add(new Problem(field, text));
  }

  /** How a form names the main store where nothing stands for no choice. */
  public static final String MAIN_STORE = "main";

  /** A place that need not be chosen, as a form sends it; empty for none, or if it is refused. */
  public Optional<Place> placeOrNone(String field, String text) {
    return text.isEmpty() ? Optional.empty() : place(field, text.equals(MAIN_STORE) ? "" : text);
  }

  /** As {@link #placeOrNone} reads it. */
  public static String written(Place place) {
    return place.isMain() ? MAIN_STORE : place.toString();
  }

  /** A place of the store, as a form sends it: nothing for the main store. */
  public Optional<Place> place(String field, String text) {
    if (text.isEmpty() || ROW_NUMBER.matcher(text).matches()) {
      return Optional.of(Place.valueOf(text));
    }
    refuse(field, "\"" + text + "\" is no place of this store. Choose one.");
    return Optional.empty();
  }

  /**
   * A decimal number with a point or a comma; a comma before three digits is refused, since "1,585"
   * may mean two things.
   */
  public Optional<BigDecimal> decimal(String field, String what, String text) {
    String typed = DECIMAL_COMMA.matcher(text.strip()).replaceFirst("$1.$2");
    if (typed.isEmpty()) {
      refuse(field, what + " is missing. Write a number such as 1585.5.");
    } else if (typed.contains(",")) {
      refuse(
          field,
          "\""
              + typed
              + "\" has a comma that may stand for thousands. Write decimals with a point and no"
              + " thousands sign, such as 1585.5.");
    } else if (!NUMBER.matcher(typed).matches()) {
      refuse(field, "\"" + typed + "\" is not a number. Write one such as 1585.5.");
    } else {
      return Optional.of(new BigDecimal(typed));
    }
    return Optional.empty();
  }

  /**
   * A decimal number above 0 and up to {@code most}, rounded half up to so many decimals, since
   * that is how it is kept; what would be rounded to 0 is refused.
   */
  public Optional<BigDecimal> decimalUpTo(
      String field, String what, String text, BigDecimal most, int decimals) {
    Optional<BigDecimal> value =
        decimal(field, what, text).map(v -> v.setScale(decimals, RoundingMode.HALF_UP));
    boolean inRange = value.filter(v -> v.signum() > 0 && v.compareTo(most) <= 0).isPresent();
    if (value.isPresent() && !inRange) {
      refuse(
          field,
          what
              + " is "
              + text.strip()
              + "; allowed is more than 0, up to "
              + most.toPlainString()
              + ".");
      return Optional.empty();
    }
    return value;
  }

  /** The same up to a limit that all floors share. */
  public Optional<BigDecimal> decimalUpTo(
      String field, String what, String text, int most, int decimals) {
    return decimalUpTo(field, what, text, BigDecimal.valueOf(most), decimals);
  }

  /** A volume in litres, or in the unit that stands behind it; of a microlitre at least. */
  public Optional<Volume> litres(String field, String what, String text, int most) {
    if (!hasUnit(text)) {
      return decimalUpTo(field, what, text, most, FINEST_LITRES).map(Volume::ofLitres);
    }
    Optional<Volume> volume =
        Spoken.VOLUME
            .read(text)
            .filter(
                v -> v.microlitres() > 0 && v.litres().compareTo(BigDecimal.valueOf(most)) <= 0);
    if (volume.isEmpty()) {
      refuse(field, what, text, most + " L", Spoken.VOLUME);
    }
    return volume;
  }

  /**
   * An amount of something, in what it is counted in, or with a unit of that behind it; below zero
   * where a minus stands before it. Pieces take no unit.
   */
  public Optional<BigDecimal> amount(String field, String what, String text, Measure measure) {
    boolean isBelow = text.strip().startsWith("-");
    if (measure == Measure.PIECES || !hasUnit(text)) {
      return decimal(field, what, text);
    }
    String bare = isBelow ? text.strip().substring(1) : text;
    Optional<BigDecimal> amount =
        measure == Measure.LITRES
            ? Spoken.VOLUME.read(bare).map(Volume::litres)
            : Spoken.MASS.read(bare).map(Quantity::amount);
    if (amount.isEmpty()) {
      refuse(
          field,
          what
              + " is \""
              + text.strip()
              + "\"; it is counted in "
              + measure.symbol()
              + ": write a number, with "
              + (measure == Measure.LITRES ? Spoken.VOLUME : Spoken.MASS).units()
              + ".");
    }
    return amount.map(value -> isBelow ? value.negate() : value);
  }

  /** A mass in kilograms, or in the unit that stands behind it; of a milligram at least. */
  public Optional<Quantity> kilograms(String field, String what, String text, int most) {
    if (!hasUnit(text)) {
      return decimalUpTo(field, what, text, most, FINEST_LITRES)
          .map(value -> Quantity.of(Measure.KILOGRAMS, value));
    }
    Optional<Quantity> mass =
        Spoken.MASS
            .read(text)
            .filter(m -> m.isPositive() && m.amount().compareTo(BigDecimal.valueOf(most)) <= 0);
    if (mass.isEmpty()) {
      refuse(field, what, text, most + " kg", Spoken.MASS);
    }
    return mass;
  }

  /**
   * A value in its usual unit, or in the one that stands behind it.
   *
   * @param allowed what is, in words
   */
  public <T> Optional<T> spoken(
      String field, String what, String text, String allowed, Spoken<T> spoken) {
    Optional<T> value = spoken.read(text);
    if (value.isEmpty()) {
      refuse(
          field,
          what
              + " is \""
              + text.strip()
              + "\"; allowed is "
              + allowed
              + ", with "
              + spoken.units()
              + ".");
    }
    return value;
  }

  private void refuse(String field, String what, String text, String most, Spoken<?> spoken) {
    refuse(
        field,
        what
            + " is \""
            + text.strip()
            + "\"; allowed is more than 0, up to "
            + most
            + ", with "
            + spoken.units()
            + ".");
  }

  private static boolean hasUnit(String text) {
    return text.chars().anyMatch(Character::isLetter) || text.contains("/") || text.contains("½");
  }

  /** A decimal number from 0 up to a limit that all floors share. */
  public Optional<BigDecimal> decimalFromZero(String field, String what, String text, int most) {
    return decimalBetween(
        field, what, text, BigDecimal.ZERO, BigDecimal.valueOf(most), FINEST_DECIMALS);
  }

  /** The same in whole units of a currency, up to so many of its minor units. */
  public Optional<BigDecimal> money(
      String field, String what, String text, long mostMinor, Currency currency) {
    BigDecimal most = new Money(mostMinor, currency).amount();
    return decimalBetween(field, what, text, BigDecimal.ZERO, most, FINEST_DECIMALS);
  }

  /** A whole number between two ends, both allowed. */
  public Optional<Integer> wholeBetween(
      String field, String what, String text, int least, int most) {
    return decimalBetween(field, what, text, BigDecimal.valueOf(least), BigDecimal.valueOf(most), 0)
        .map(BigDecimal::intValueExact);
  }

  /**
   * How long something keeps, in whole days from 1 on: a number alone, or one of days, months or
   * years. A year has 365 days, and of months a twelfth of it each, rounded down together.
   */
  public Optional<Integer> days(String field, String what, String text, int most) {
    Matcher spoken = SPAN.matcher(text.strip());
    if (!spoken.matches()) {
      return wholeBetween(field, what + " in days", text, 1, most);
    }
    long number = Long.parseLong(spoken.group(1));
    long days =
        switch (spoken.group(2).charAt(0)) {
          case 'y' -> number * YEAR_DAYS;
          case 'm' -> number * YEAR_DAYS / MONTHS_OF_YEAR;
          default -> number;
        };
    if (days < 1 || days > most) {
      refuse(
          field,
          what
              + " is "
              + text.strip()
              + "; allowed is 1 to "
              + most
              + " days, as 90, 18 months or"
              + " 5 years.");
      return Optional.empty();
    }
    return Optional.of((int) days);
  }

  /** A decimal number of at most so many decimals between two ends, both allowed. */
  public Optional<BigDecimal> decimalBetween(
      String field, String what, String text, BigDecimal least, BigDecimal most, int decimals) {
    Optional<BigDecimal> value = decimal(field, what, text);
    if (value.isEmpty()) {
      return value;
    }
    BigDecimal number = value.get();
    if (number.compareTo(least) < 0 || number.compareTo(most) > 0) {
      refuse(
          field,
          what
              + " is "
              + text.strip()
              + "; allowed is "
              + PlainDecimal.of(least)
              + " to "
              + PlainDecimal.of(most)
              + ".");
      return Optional.empty();
    }
    if (number.stripTrailingZeros().scale() > decimals) {
      refuse(
          field,
          what
              + " is "
              + text.strip()
              + (decimals == 0
                  ? "; write a whole number."
                  : "; write at most " + decimals + " decimals."));
      return Optional.empty();
    }
    return value;
  }

  /** A date as YYYY-MM-DD, not after {@code last}. */
  public Optional<LocalDate> dayUpTo(String field, String text, LocalDate last) {
    Optional<LocalDate> day = day(field, text);
    if (day.filter(d -> d.isAfter(last)).isPresent()) {
      problems.add(Problem.inFuture(field, day.get(), last));
      return Optional.empty();
    }
    return day;
  }

  /** A date as YYYY-MM-DD. */
  public Optional<LocalDate> day(String field, String text) {
    try {
      LocalDate day = LocalDate.parse(text.strip());
      if (SensibleDay.is(day)) {
        return Optional.of(day);
      }
      refuse(field, text.strip() + " is too far away; allowed is " + SensibleDay.ALLOWED + ".");
      return Optional.empty();
    } catch (DateTimeException e) {
      refuse(field, "\"" + text + "\" is not a date. Write one as 2027-03-15.");
      return Optional.empty();
    }
  }

  /** Text of 1 to {@code longest} characters. */
  public Optional<String> text(String field, String what, String text, int longest) {
    String typed = text.strip();
    if (typed.isEmpty()) {
      refuse(field, what + " is missing.");
      return Optional.empty();
    }
    if (typed.length() > longest) {
      refuse(field, what + " has " + typed.length() + " characters; allowed are " + longest + ".");
      return Optional.empty();
    }
    return Optional.of(typed);
  }

  /** Something that was chosen from a list, by its number. */
  public <T> Optional<T> chosen(String field, String what, String text, Function<String, T> read) {
    if (ROW_NUMBER.matcher(text.strip()).matches()) {
      return Optional.of(read.apply(text.strip()));
    }
    refuse(field, "Choose " + what + " from the list.");
    return Optional.empty();
  }

  /** One of the names of an enumeration, in small letters as forms have them. */
  public <E extends Enum<E>> Optional<E> choice(
      String field, String what, String text, Class<E> type) {
    Optional<E> value =
        Arrays.stream(type.getEnumConstants())
            .filter(v -> v.name().toLowerCase(Locale.ROOT).equals(text))
            .findFirst();
    if (value.isEmpty()) {
      refuse(field, "Choose " + what + ".");
    }
    return value;
  }

  /** One of some words, or none if nothing was chosen; an unknown word is refused, never none. */
  public <T> Optional<T> choiceOrNone(String field, String text, Map<String, T> byWord) {
    if (text.isEmpty()) {
      return Optional.empty();
    }
    Optional<T> value = Optional.ofNullable(byWord.get(text));
    if (value.isEmpty()) {
      refuse(
          field,
          "\"" + text + "\" is not among the choices: " + String.join(", ", byWord.keySet()) + ".");
    }
    return value;
  }

  /** The same for the names of an enumeration, as they stand. */
  public <E extends Enum<E>> Optional<E> choiceOrNone(String field, String text, E[] values) {
    Map<String, E> byName = new LinkedHashMap<>();
    for (E value : values) {
      byName.put(value.name(), value);
    }
    return choiceOrNone(field, text, byName);
  }

  /** How warm something in a tank is; nothing if nothing was typed. */
  public Optional<Temperature> warmth(String field, String text) {
    return text.isBlank()
        ? Optional.empty()
        : spoken(field, "The temperature", text.strip(), "−40 to 65 °C", Spoken.TEMPERATURE);
  }

  /** What was read, if nothing was wrong with any of it. */
  public <T> Optional<T> all(Supplier<T> read) {
    return problems.isEmpty() ? Optional.of(read.get()) : Optional.empty();
  }
}
