package dev.lonja.core.scan;

import java.math.BigDecimal;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.time.YearMonth;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * A GS1 element string, as a Code 128 or a Data Matrix carries it: an item's number with its lot,
 * its last good day and how many there are (GS1 General Specifications, section 3). Elements of
 * variable length end with the separator (FNC1, which scanners send as ASCII 29) or the string; the
 * form that people read has each identifier in brackets.
 *
 * @param gtin fourteen digits, its check digit right
 * @param lot 1 to 20 characters
 * @param expires of a day 00 the last of the month; a year lies within 49 years back and 50 ahead
 *     of {@code today}
 * @param count pieces, above zero
 */
public record Gs1(
    Optional<String> gtin,
    Optional<String> lot,
    Optional<LocalDate> expires,
    Optional<BigDecimal> count) {

  private static final char SEPARATOR = 29;
  private static final int GTIN_LENGTH = 14;
  private static final int GTIN_13 = 13;
  private static final int GTIN_8 = 8;
  private static final int GTIN_12 = 12;
  private static final int CENTURY = 100;
  private static final int YEARS_AHEAD = 50;

  /** What scanners may put in front to say what they read. */
  private static final Pattern SYMBOLOGY = Pattern.compile("^\\](C1|d2|Q3|e0)");

  private static final Pattern BRACKETED = Pattern.compile("\\(([0-9]{2,4})\\)([^()]*)");

  /** By identifier, how many characters follow; those that are absent vary. */
  private static final Map<String, Integer> FIXED =
      Map.ofEntries(
          Map.entry("00", 18),
          Map.entry("01", 14),
          Map.entry("02", 14),
          Map.entry("11", 6),
          Map.entry("12", 6),
          Map.entry("13", 6),
          Map.entry("15", 6),
          Map.entry("16", 6),
          Map.entry("17", 6),
          Map.entry("20", 2));

  /** By identifier, how many characters may follow at most. */
  private static final Map<String, Integer> VARIABLE =
      Map.ofEntries(
          Map.entry("10", 20),
          Map.entry("21", 20),
          Map.entry("22", 20),
          Map.entry("30", 8),
          Map.entry("37", 8),
          Map.entry("240", 30),
          Map.entry("241", 30),
          Map.entry("400", 30),
          Map.entry("401", 30));

  /** Weights and volumes: the fourth digit says the decimals. */
  private static final Pattern MEASURE = Pattern.compile("31[0-6]|33[0-6]");

  private static final int MEASURE_LENGTH = 6;

  /**
   * Reads an element string.
   *
   * @return empty if the text is none, as a plain number is not, or is a broken one
   */
  public static Optional<Gs1> read(String scanned, LocalDate today) {
    String text = scanned.strip();
    Matcher symbology = SYMBOLOGY.matcher(text);
    boolean isSaid = symbology.find();
    String bare = isSaid ? text.substring(symbology.end()) : text;
    Optional<Map<String, String>> elements = bare.startsWith("(") ? bracketed(bare) : plain(bare);
    return elements
        .filter(e -> isSaid || bare.startsWith("(") || e.containsKey("01") || e.containsKey("02"))
        .flatMap(e -> of(e, today));
  }

  private static Optional<Map<String, String>> bracketed(String text) {
    Map<String, String> elements = new LinkedHashMap<>();
    Matcher matcher = BRACKETED.matcher(text);
    int end = 0;
    while (matcher.find() && matcher.start() == end) {
      elements.put(matcher.group(1), matcher.group(2).strip());
      end = matcher.end();
    }
    return end == text.length() && elements.entrySet().stream().allMatch(Gs1::isOfLength)
        ? Optional.of(elements)
        : Optional.empty();
  }

  private static boolean isOfLength(Map.Entry<String, String> element) {
    int length = element.getValue().length();
    Optional<Integer> fixed = fixed(element.getKey());
    return fixed.isPresent()
        ? fixed.get() == length
        : length >= 1 && length <= VARIABLE.getOrDefault(element.getKey(), 0);
  }

  private static Optional<Integer> fixed(String identifier) {
    return identifier.length() == 4 && MEASURE.matcher(identifier.substring(0, 3)).matches()
        ? Optional.of(MEASURE_LENGTH)
        : Optional.ofNullable(FIXED.get(identifier));
  }

  private static Optional<Map<String, String>> plain(String text) {
    Map<String, String> elements = new LinkedHashMap<>();
    int at = 0;
    while (at < text.length()) {
      if (text.charAt(at) == SEPARATOR) {
        at++;
        continue;
      }
      Optional<String> identifier = identifier(text, at);
      if (identifier.isEmpty()) {
        return Optional.empty();
      }
      int from = at + identifier.get().length();
      int end = end(text, from, identifier.get());
      if (end <= from || end > text.length()) {
        return Optional.empty();
      }
      elements.put(identifier.get(), text.substring(from, end));
      at = end;
    }
    return elements.isEmpty() ? Optional.empty() : Optional.of(elements);
  }

  private static Optional<String> identifier(String text, int at) {
    for (int length = 2; length <= 4 && at + length <= text.length(); length++) {
      String identifier = text.substring(at, at + length);
      if (fixed(identifier).isPresent() || VARIABLE.containsKey(identifier)) {
        return Optional.of(identifier);
      }
    }
    return Optional.empty();
  }

  /** Where an element ends; beyond the text if it is too short, nowhere if it is too long. */
  private static int end(String text, int from, String identifier) {
    Optional<Integer> fixed = fixed(identifier);
    if (fixed.isPresent()) {
      return from + fixed.get();
    }
    int separator = text.indexOf(SEPARATOR, from);
    int end = separator < 0 ? text.length() : separator;
    return end - from > VARIABLE.get(identifier) ? -1 : end;
  }

  private static Optional<Gs1> of(Map<String, String> elements, LocalDate today) {
    Optional<String> gtin = first(elements, "01", "02");
    Optional<String> expiry = first(elements, "17", "15");
    Optional<LocalDate> expires = expiry.flatMap(text -> day(text, today));
    Optional<String> pieces = first(elements, "37", "30");
    Optional<BigDecimal> count =
        pieces.filter(Gs1::isDigits).map(BigDecimal::new).filter(c -> c.signum() > 0);
    boolean broken =
        gtin.filter(number -> !isChecked(number)).isPresent()
            || expires.isPresent() != expiry.isPresent()
            || count.isPresent() != pieces.isPresent();
    return broken
        ? Optional.empty()
        : Optional.of(new Gs1(gtin, Optional.ofNullable(elements.get("10")), expires, count));
  }

  private static Optional<String> first(Map<String, String> elements, String... identifiers) {
    for (String identifier : identifiers) {
      if (elements.containsKey(identifier)) {
        return Optional.of(elements.get(identifier));
      }
    }
    return Optional.empty();
  }

  private static boolean isDigits(String text) {
    return text.chars().allMatch(c -> c >= '0' && c <= '9');
  }

  /**
   * True if the last digit is right: the others, weighted by 3 and 1 in turn, make tens with it.
   */
  private static boolean isChecked(String gtin) {
    if (gtin.length() != GTIN_LENGTH || !isDigits(gtin)) {
      return false;
    }
    int sum = 0;
    for (int i = 0; i < GTIN_LENGTH; i++) {
      sum += (gtin.charAt(i) - '0') * (i % 2 == 0 ? 3 : 1);
    }
    return sum % 10 == 0;
  }

  /**
   * YYMMDD; of a day 00 the last of the month is meant (GS1 General Specifications, 3.4.2, 7.12).
   */
  private static Optional<LocalDate> day(String text, LocalDate today) {
    if (!isDigits(text)) {
      return Optional.empty();
    }
    int year = today.getYear() / CENTURY * CENTURY + Integer.parseInt(text.substring(0, 2));
    int difference = year - today.getYear();
    int meant =
        difference > YEARS_AHEAD
            ? year - CENTURY
            : difference <= -YEARS_AHEAD ? year + CENTURY : year;
    int day = Integer.parseInt(text.substring(4));
    try {
      YearMonth month = YearMonth.of(meant, Integer.parseInt(text.substring(2, 4)));
      return Optional.of(day == 0 ? month.atEndOfMonth() : month.atDay(day));
    } catch (DateTimeException e) {
      return Optional.empty();
    }
  }

  /**
   * The numbers that barcodes of an item may have for this one: as it is, and without its zeros.
   */
  public List<String> codes() {
    return gtin.stream()
        .flatMap(
            number ->
                IntStream.of(GTIN_LENGTH, GTIN_13, GTIN_12, GTIN_8)
                    .filter(
                        length ->
                            number
                                .substring(0, GTIN_LENGTH - length)
                                .chars()
                                .allMatch(c -> c == '0'))
                    .mapToObj(length -> number.substring(GTIN_LENGTH - length)))
        .toList();
  }
}
