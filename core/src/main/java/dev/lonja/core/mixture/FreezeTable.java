package dev.lonja.core.mixture;

import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Temperature;
import java.math.BigDecimal;
import java.math.MathContext;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;

/**
 * At which temperature a mixture freezes, by its share of concentrate: linear between the rows, and
 * outside them nothing is promised.
 *
 * @param rows two or more, the share rising and the freeze point falling strictly
 */
public record FreezeTable(List<Row> rows) {

  private static final int SHARE_DECIMALS = 4;
  private static final int MOST_ROWS = 20;
  private static final Pattern WRITTEN =
      Pattern.compile("([0-9]+(?:\\.[0-9]{1,4})?) +(-?[0-9]{1,3}(?:\\.[0-9])?)");

  /**
   * A point of it.
   *
   * @param share of concentrate by volume, 0 to 1
   */
  public record Row(BigDecimal share, Temperature freezesAt) {}

  /**
   * @throws IllegalArgumentException for rows that are too few or too many, out of range, or not in
   *     order
   */
  public FreezeTable {
    rows = List.copyOf(rows);
    if (rows.size() < 2 || rows.size() > MOST_ROWS) {
      throw new IllegalArgumentException(
          "rows has " + rows.size() + " rows; allowed are 2 to " + MOST_ROWS);
    }
    if (!isInOrder(rows)) {
      throw new IllegalArgumentException(
          "rows is "
              + written(rows)
              + "; allowed are shares from 0 to 1 that rise, with freeze points that fall");
    }
  }

  private static boolean isInOrder(List<Row> rows) {
    boolean inRange =
        rows.stream()
            .allMatch(
                row -> row.share().signum() >= 0 && row.share().compareTo(BigDecimal.ONE) <= 0);
    return inRange
        && IntStream.range(1, rows.size())
            .allMatch(
                i ->
                    rows.get(i).share().compareTo(rows.get(i - 1).share()) > 0
                        && rows.get(i).freezesAt().compareTo(rows.get(i - 1).freezesAt()) < 0);
  }

  /** Reads what {@link #written} writes: "0.33 -18; 0.5 -36". Empty if it is no such table. */
  public static Optional<FreezeTable> read(String text) {
    List<Row> rows = new ArrayList<>();
    for (String part : text.split(";")) {
      Matcher row = WRITTEN.matcher(part.strip().replace('−', '-'));
      if (!row.matches()) {
        return Optional.empty();
      }
      rows.add(
          new Row(
              new BigDecimal(row.group(1)), Temperature.ofCelsius(new BigDecimal(row.group(2)))));
    }
    return rows.size() >= 2 && rows.size() <= MOST_ROWS && isInOrder(rows)
        ? Optional.of(new FreezeTable(rows))
        : Optional.empty();
  }

  /** "0.33 -18; 0.5 -36", which {@link #read} reads as the same table. */
  public String written() {
    return written(rows);
  }

  private static String written(List<Row> rows) {
    return rows.stream()
        .map(row -> PlainDecimal.of(row.share()) + " " + row.freezesAt().exactText())
        .collect(Collectors.joining("; "));
  }

  /** The freeze point of a share, rounded half away from zero to a tenth; empty outside. */
  public Optional<Temperature> freezesAt(BigDecimal share) {
    return between(row -> row.share().compareTo(share))
        .map(
            pair -> {
              BigDecimal way =
                  share
                      .subtract(pair.before().share())
                      .divide(
                          pair.after().share().subtract(pair.before().share()),
                          MathContext.DECIMAL64);
              BigDecimal tenths =
                  way.multiply(pair.tenths())
                      .add(BigDecimal.valueOf(pair.before().freezesAt().tenthsCelsius()));
              return new Temperature(tenths.setScale(0, RoundingMode.HALF_UP).intValueExact());
            });
  }

  /**
   * The smallest share that freezes at or below a temperature, rounded up to four decimals; the
   * first row's for what is warmer than its freeze point, empty for what no row reaches.
   */
  public Optional<BigDecimal> shareFor(Temperature wanted) {
    return wanted.compareTo(rows.get(0).freezesAt()) >= 0
        ? Optional.of(rows.get(0).share())
        : share(wanted, RoundingMode.CEILING);
  }

  /** The share whose freeze point was measured, to four decimals; empty outside the table. */
  public Optional<BigDecimal> shareAt(Temperature measured) {
    return share(measured, RoundingMode.HALF_UP);
  }

  private Optional<BigDecimal> share(Temperature freezesAt, RoundingMode rounding) {
    return between(row -> freezesAt.compareTo(row.freezesAt()))
        .map(
            pair -> {
              long cold =
                  freezesAt.tenthsCelsius() - (long) pair.before().freezesAt().tenthsCelsius();
              BigDecimal way =
                  BigDecimal.valueOf(cold).divide(pair.tenths(), MathContext.DECIMAL64);
              return way.multiply(pair.after().share().subtract(pair.before().share()))
                  .add(pair.before().share())
                  .setScale(SHARE_DECIMALS, rounding);
            });
  }

  /** Two rows, one after the other. */
  private record Pair(Row before, Row after) {
    BigDecimal tenths() {
      return BigDecimal.valueOf(
          after.freezesAt().tenthsCelsius() - (long) before.freezesAt().tenthsCelsius());
    }
  }

  /** Where a row lies, held against what is sought: below zero for before it. */
  private interface Side {
    int of(Row row);
  }

  private Optional<Pair> between(Side side) {
    for (int i = 1; i < rows.size(); i++) {
      if (side.of(rows.get(i - 1)) <= 0 && side.of(rows.get(i)) >= 0) {
        return Optional.of(new Pair(rows.get(i - 1), rows.get(i)));
      }
    }
    return Optional.empty();
  }
}
