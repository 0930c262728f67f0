package dev.lonja.store;

import dev.lonja.store.audit.AuditLine;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.List;

/**
 * Lines of the audit that another process could not write, since a server owned the store: a file
 * beside it with one JSON object a line, which the server takes over.
 */
public final class PendingLines {

  private static final String NAME = "audit-pending.jsonl";

  private PendingLines() {}

  /** Adds a line to the file. */
  public static void add(Path folder, AuditLine line) {
    try {
      Files.writeString(
          folder.resolve(NAME),
          line.json() + "\n",
          StandardCharsets.UTF_8,
          StandardOpenOption.CREATE,
          StandardOpenOption.APPEND);
    } catch (IOException e) {
      throw new UncheckedIOException("cannot note in " + folder, e);
    }
  }

  /** Moves what is in the file into the store. */
  public static void take(Path folder, LonjaStore store) {
    Path taken = folder.resolve(NAME + ".taken");
    try {
      if (Files.notExists(taken)) {
        if (Files.notExists(folder.resolve(NAME))) {
          return;
        }
        Files.move(folder.resolve(NAME), taken, StandardCopyOption.ATOMIC_MOVE);
      }
      List<AuditLine> lines =
          Files.readAllLines(taken, StandardCharsets.UTF_8).stream()
              .map(AuditLine::ofJson)
              .toList();
      store.write(
          session -> {
            lines.forEach(session.audit()::add);
            return true;
          });
      Files.delete(taken);
    } catch (IOException e) {
      throw new UncheckedIOException("cannot take over what is noted in " + folder, e);
    }
  }
}
