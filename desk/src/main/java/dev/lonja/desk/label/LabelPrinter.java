package dev.lonja.desk.label;

/** A printer that labels come out of, one a page. */
public interface LabelPrinter {

  /** What became of a label. */
  enum Answer {
    PRINTED,
    OUT_OF_LABELS,
    NOT_CONNECTED
  }

  /** True if there is one to send to, whether it has labels or not. */
  boolean isConnected();

  /**
   * Prints a label.
   *
   * @param what it is of, for the list of what came out
   * @param page a PDF of one page
   */
  Answer print(String what, byte[] page);
}
