package dev.lonja.store.exchange;

/**
 * Why data are refused.
 *
 * @param line of the file, counted from 1; 0 if the whole file is meant
 * @param column empty if the whole row or file is meant
 * @param value what was found
 * @param allowed what would be right
 */
public record ExchangeProblem(String file, long line, String column, String value, String allowed) {

  /** "items.csv line 7, column unit: "kg"; allowed is one of pc, L". */
  public String display() {
    StringBuilder text = new StringBuilder(file);
    if (line > 0) {
      text.append(" line ").append(line);
    }
    if (!column.isEmpty()) {
      text.append(", column ").append(column);
    }
    return text.append(": \"").append(value).append("\"; allowed is ").append(allowed).toString();
  }
}
