package dev.lonja.core.statementlist;

/**
 * Why a row of a list cannot be taken.
 *
 * @param column empty if the whole row is meant
 */
public record ListProblem(long line, String column, String value, String allowed) {

  /** "line 7, column kind: "sames"; allowed is one of same, …". */
  public String display() {
    return "line "
        + line
        + (column.isEmpty() ? "" : ", column " + column)
        + ": \""
        + value
        + "\"; allowed is "
        + allowed;
  }
}
