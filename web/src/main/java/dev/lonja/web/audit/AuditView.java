package dev.lonja.web.audit;

import java.util.List;
import java.util.Optional;

/** The page of who did what, ready for its template. */
public record AuditView(
    List<Choice> matters, List<Choice> deeds, List<Row> rows, Optional<String> older, String file) {

  /** A choice of the filter. */
  public record Choice(String value, String words, boolean chosen) {}

  /** One line, newest first. */
  public record Row(String day, String time, String who, String from, String what, String detail) {}
}
