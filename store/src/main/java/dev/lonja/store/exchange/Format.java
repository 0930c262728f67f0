package dev.lonja.store.exchange;

import dev.lonja.core.calendar.SensibleDay;
import dev.lonja.core.mixture.FreezeTable;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.part.Property;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.tank.TankShape;
import dev.lonja.core.text.PlainText;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.service.ReceiptPaper;
import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.MonthDay;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Base64;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.jooq.DataType;

/**
 * How one kind of value is written in a CSV cell.
 *
 * @param type the Table Schema type
 * @param allowed what a cell may hold, in words
 * @param <T> the database's type
 */
record Format<T>(
    String type,
    String allowed,
    java.util.function.Function<String, Optional<T>> parse,
    java.util.function.Function<T, String> print) {

  private static final Pattern DECIMAL = Pattern.compile("-?[0-9]{1,15}(\\.[0-9]{1,9})?");

  static Format<String> text(int longest) {
    return new Format<>(
        "string",
        "text of 1 to " + longest + " characters that can be seen",
        cell ->
            Optional.of(cell).filter(text -> text.length() <= longest).filter(PlainText::isPlain),
        text -> text);
  }

  /** A part number: text that holds a letter or digit. */
  static Format<String> partNumber() {
    return new Format<>(
        "string",
        "text of 1 to 60 characters with at least one letter or digit",
        cell ->
            Optional.of(cell)
                .filter(t -> t.length() <= 60 && PlainText.isPlain(t))
                .filter(t -> PartKey.of(t).isPresent()),
        text -> text);
  }

  /** Materials of seals with a comma and a space between them. */
  static Format<String> materials() {
    List<String> all =
        Stream.of(Property.MATERIAL, Property.RUBBER).flatMap(p -> p.choices().stream()).toList();
    return new Format<>(
        "string",
        "some of " + String.join(", ", all) + ", with \", \" between them",
        cell -> Optional.of(cell).filter(t -> all.containsAll(List.of(t.split(", ")))),
        text -> text);
  }

  /** A picture as it is kept, as Base64. */
  static Format<byte[]> picture() {
    return file(
        "a JPEG of at most "
            + Limits.PICTURE_BYTES
            + " bytes and "
            + Limits.PICTURE_SIDE
            + " dots a side with nothing in it but the picture, as Base64",
        bytes -> bytes.length <= Limits.PICTURE_BYTES && PlainJpeg.is(bytes));
  }

  /** A document of pages alone. */
  static Format<byte[]> paper() {
    return file(
        "a PDF of at most "
            + Limits.RECEIPT_BYTES
            + " bytes and "
            + Limits.RECEIPT_PAGES
            + " pages with nothing in it but pages, as Base64",
        ReceiptPaper::is);
  }

  /** A photo as {@link #picture} has it, or a document. */
  static Format<byte[]> receipt() {
    return file(
        "such a JPEG as pictures are, or a PDF of at most "
            + Limits.RECEIPT_BYTES
            + " bytes and "
            + Limits.RECEIPT_PAGES
            + " pages with nothing in it but pages, as Base64",
        bytes ->
            (bytes.length <= Limits.PICTURE_BYTES && PlainJpeg.is(bytes))
                || ReceiptPaper.is(bytes));
  }

  private static Format<byte[]> file(String allowed, Predicate<byte[]> good) {
    return new Format<>(
        "string",
        allowed,
        cell -> {
          try {
            return Optional.of(Base64.getDecoder().decode(cell)).filter(good);
          } catch (IllegalArgumentException e) {
            return Optional.empty();
          }
        },
        bytes -> Base64.getEncoder().encodeToString(bytes));
  }

  static Format<Long> whole(long lowest, long highest) {
    return scaled(0, lowest, highest);
  }

  /** Freeze points by share, as a label has them. */
  static Format<String> freezePoints() {
    return new Format<>(
        "string",
        "shares that rise with freeze points in °C that fall, as 0.33 -18; 0.5 -36",
        cell -> FreezeTable.read(cell).map(FreezeTable::written).filter(cell::equals),
        text -> text);
  }

  /** The lines of a strapping table. */
  static Format<String> straps() {
    return new Format<>(
        "string",
        "dips in mm from 0 with litres, both rising, as 0 0; 100 42.5; 200 91",
        Format::straps,
        text -> text);
  }

  private static Optional<String> straps(String cell) {
    try {
      return Optional.of(TankShape.Table.of(cell).written()).filter(cell::equals);
    } catch (IllegalArgumentException e) {
      return Optional.empty();
    }
  }

  /** What an inspection measures, in the base unit of its kind. */
  static Format<Long> inspectedValue() {
    return whole(-10_000, 1_000_000_000_000L);
  }

  /** The number of a row, as the type that its field has. */
  static <T> Format<T> id(DataType<T> type) {
    Format<Long> whole = whole(1, 999_999_999_999L);
    return new Format<>(
        whole.type(),
        whole.allowed(),
        cell -> whole.parse().apply(cell).map(type::convert),
        Object::toString);
  }

  /** A decimal held as a whole number of 10<sup>−scale</sup>; the limits are in that base unit. */
  static Format<Long> scaled(int scale, long lowest, long highest) {
    return new Format<>(
        scale == 0 ? "integer" : "number",
        (scale == 0 ? "a whole number from " : "a number with a decimal point, from ")
            + plain(lowest, scale)
            + " to "
            + plain(highest, scale)
            + (scale == 0 ? "" : ", at most " + scale + " decimals"),
        cell ->
            Optional.of(cell)
                .filter(text -> DECIMAL.matcher(text).matches())
                .map(text -> new BigDecimal(text).movePointRight(scale))
                .filter(base -> base.stripTrailingZeros().scale() <= 0)
                .map(BigDecimal::longValue)
                .filter(base -> base >= lowest && base <= highest),
        base -> plain(base, scale));
  }

  static Format<Long> yesNo() {
    return new Format<>(
        "boolean",
        "true or false",
        cell ->
            switch (cell) {
              case "true" -> Optional.of(1L);
              case "false" -> Optional.of(0L);
              default -> Optional.empty();
            },
        value -> value == 1 ? "true" : "false");
  }

  /** Weekdays in their order, three letters each, with a space between them. */
  static Format<String> weekdays() {
    List<String> all = List.of("MON", "TUE", "WED", "THU", "FRI", "SAT", "SUN");
    return new Format<>(
        "string",
        "some of " + String.join(", ", all) + " in this order, with a space between them",
        cell ->
            Optional.of(cell)
                .filter(
                    text -> {
                      List<String> days = List.of(text.split(" "));
                      return all.stream().filter(days::contains).toList().equals(days);
                    }),
        text -> text);
  }

  static Format<LocalDate> date() {
    return new Format<>(
        "date",
        "a date as YYYY-MM-DD, " + SensibleDay.ALLOWED,
        cell -> attempt(() -> LocalDate.parse(cell)).filter(SensibleDay::is),
        Object::toString);
  }

  /** A day of the year, kept as it is written. */
  static Format<String> monthDay() {
    return new Format<>(
        "string",
        "a day of the year as MM-DD",
        cell -> attempt(() -> MonthDay.parse("--" + cell)).map(day -> cell),
        text -> text);
  }

  static Format<Instant> instant() {
    return new Format<>(
        "datetime",
        "an instant as YYYY-MM-DDThh:mm:ssZ",
        cell ->
            attempt(() -> Instant.parse(cell))
                .filter(at -> at.getNano() == 0)
                .filter(at -> SensibleDay.is(LocalDate.ofInstant(at, ZoneOffset.UTC))),
        Object::toString);
  }

  /** One of a few words; in the file they are lower case. */
  static Format<String> oneOf(List<String> values) {
    List<String> words = values.stream().map(value -> value.toLowerCase(Locale.ROOT)).toList();
    return new Format<>(
        "string",
        "one of " + String.join(", ", words),
        cell -> Optional.of(cell).filter(words::contains).map(w -> w.toUpperCase(Locale.ROOT)),
        value -> value.toLowerCase(Locale.ROOT));
  }

  /** One of the constants of an enum. */
  static Format<String> words(Enum<?>... values) {
    return oneOf(Arrays.stream(values).map(Enum::name).toList());
  }

  /** One of a few symbols, written as they are. */
  static Format<String> symbol(String... symbols) {
    List<String> list = List.of(symbols);
    return new Format<>(
        "string",
        "one of " + String.join(", ", list),
        cell -> Optional.of(cell).filter(list::contains),
        value -> value);
  }

  /** Fields with texts, as one JSON object. */
  static Format<String> facts() {
    return new Format<>(
        "string",
        "a JSON object of texts",
        cell -> {
          try {
            return Optional.of(Facts.ofJson(cell).json());
          } catch (IllegalArgumentException e) {
            return Optional.empty();
          }
        },
        text -> text);
  }

  private static String plain(long base, int scale) {
    return PlainDecimal.of(base, scale);
  }

  private static <T> Optional<T> attempt(java.util.function.Supplier<T> parse) {
    try {
      return Optional.of(parse.get());
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }
}
