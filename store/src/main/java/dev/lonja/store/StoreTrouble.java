package dev.lonja.store;

import java.util.Optional;
import org.sqlite.SQLiteException;

/** The disk, not the request, stood in the way; what was begun is undone. */
public final class StoreTrouble extends RuntimeException {

  /** What it was. */
  public enum Kind {
    /** There is no room left on the disk. */
    DISK_FULL,
    /** The file or its folder may only be read. */
    READ_ONLY,
    /** What was read is not what was written. */
    DAMAGED,
    /** The disk did not answer as it should. */
    DISK_FAILS
  }

  private final Kind kind;

  private StoreTrouble(Kind kind, Throwable cause) {
    super("the store cannot be used: " + kind, cause);
    this.kind = kind;
  }

  public Kind kind() {
    return kind;
  }

  /** The trouble that an exception tells of; empty for any other. */
  static Optional<StoreTrouble> of(Throwable problem) {
    for (Throwable cause = problem; cause != null; cause = cause.getCause()) {
      if (cause instanceof SQLiteException said) {
        return kind(said).map(kind -> new StoreTrouble(kind, problem));
      }
    }
    return Optional.empty();
  }

  private static Optional<Kind> kind(SQLiteException said) {
    String code = said.getResultCode().name();
    if (code.startsWith("SQLITE_FULL")) {
      return Optional.of(Kind.DISK_FULL);
    }
    if (code.startsWith("SQLITE_READONLY") || code.startsWith("SQLITE_CANTOPEN")) {
      return Optional.of(Kind.READ_ONLY);
    }
    if (code.startsWith("SQLITE_CORRUPT") || code.startsWith("SQLITE_NOTADB")) {
      return Optional.of(Kind.DAMAGED);
    }
    return code.startsWith("SQLITE_IOERR") ? Optional.of(Kind.DISK_FAILS) : Optional.empty();
  }
}
