package dev.lonja.app.command;

import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.time.Instant;
import java.time.temporal.ChronoUnit;

/** Whoever works at the command line; stands in the audit like a person. */
final class Operator {

  static final String NAME = "operator";

  private Operator() {}

  /** A line of the audit, of now. */
  static AuditLine line(Matter matter, String subject, Deed deed) {
    return new AuditLine(
        Instant.now().truncatedTo(ChronoUnit.SECONDS),
        NAME,
        "command line",
        matter,
        subject,
        deed,
        Facts.NONE,
        Facts.NONE);
  }
}
