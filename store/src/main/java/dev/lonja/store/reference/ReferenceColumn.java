package dev.lonja.store.reference;

import java.math.BigDecimal;
import java.util.regex.Pattern;

/**
 * A column of a reference file.
 *
 * @param name in the file
 * @param title for people
 * @param isKey true if it tells the row from others
 */
public record ReferenceColumn(
    String name, String title, Kind kind, boolean isKey, boolean mayBeEmpty) {

  private static final int LONGEST = 200;
  private static final Pattern DECIMAL = Pattern.compile("-?[0-9]{1,6}(\\.[0-9]{1,4})?");
  private static final BigDecimal COLDEST = BigDecimal.valueOf(-90);
  private static final BigDecimal HOTTEST = BigDecimal.valueOf(300);

  /** What a cell may hold. */
  public enum Kind {
    TEXT("text of at most " + LONGEST + " characters"),
    NUMBER("a number above 0, with a decimal point"),
    TEMPERATURE("degrees Celsius from -90 to 300"),
    YES_NO("yes or no");

    private final String allowed;

    Kind(String allowed) {
      this.allowed = allowed;
    }

    public String allowed() {
      return allowed;
    }
  }

  static ReferenceColumn key(String name, String title) {
    return new ReferenceColumn(name, title, Kind.TEXT, true, false);
  }

  static ReferenceColumn keyOrNothing(String name, String title) {
    return new ReferenceColumn(name, title, Kind.TEXT, true, true);
  }

  static ReferenceColumn numericKey(String name, String title) {
    return new ReferenceColumn(name, title, Kind.NUMBER, true, false);
  }

  static ReferenceColumn number(String name, String title) {
    return new ReferenceColumn(name, title, Kind.NUMBER, false, true);
  }

  static ReferenceColumn temperature(String name, String title) {
    return new ReferenceColumn(name, title, Kind.TEMPERATURE, false, false);
  }

  static ReferenceColumn text(String name, String title) {
    return new ReferenceColumn(name, title, Kind.TEXT, false, false);
  }

  static ReferenceColumn yesNo(String name, String title) {
    return new ReferenceColumn(name, title, Kind.YES_NO, false, false);
  }

  static ReferenceColumn note() {
    return new ReferenceColumn("note", "Note", Kind.TEXT, false, true);
  }

  /** True if a cell may hold this. */
  public boolean allows(String cell) {
    if (cell.isEmpty()) {
      return mayBeEmpty;
    }
    return switch (kind) {
      case TEXT -> cell.length() <= LONGEST && !cell.contains("|");
      case NUMBER -> DECIMAL.matcher(cell).matches() && new BigDecimal(cell).signum() > 0;
      case TEMPERATURE -> DECIMAL.matcher(cell).matches() && isTemperature(new BigDecimal(cell));
      case YES_NO -> cell.equals("yes") || cell.equals("no");
    };
  }

  private static boolean isTemperature(BigDecimal degrees) {
    return degrees.compareTo(COLDEST) >= 0 && degrees.compareTo(HOTTEST) <= 0;
  }
}
