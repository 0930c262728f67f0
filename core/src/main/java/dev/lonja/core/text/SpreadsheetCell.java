package dev.lonja.core.text;

/**
 * A cell of a CSV file that a spreadsheet will open: one that would be read as a formula gets an
 * apostrophe in front of it, which the spreadsheet does not show. Files for machines hold cells as
 * they are.
 */
public final class SpreadsheetCell {

  private static final String FORMULA_SIGNS = "=+-@\t\r\uFF1D\uFF0B\uFF0D\uFF20";

  private SpreadsheetCell() {}

  /** The cell as it is safe to open; plain numbers stay as they are. */
  public static String of(String cell) {
    boolean formula = !cell.isEmpty() && FORMULA_SIGNS.indexOf(cell.charAt(0)) >= 0;
    return formula && !cell.matches("[-+]?[0-9]+(\\.[0-9]+)?") ? "'" + cell : cell;
  }
}
