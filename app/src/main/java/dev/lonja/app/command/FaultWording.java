package dev.lonja.app.command;

import dev.lonja.core.cases.Cases;
import dev.lonja.store.StoreFault;
import dev.lonja.store.backup.BackupFolder;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Says what is wrong with a file, and what to do. */
final class FaultWording {

  private static final Cases<StoreFault, String> WORDS =
      Cases.<StoreFault, String>over(StoreFault.class)
          .when(StoreFault.Absent.class, none -> "there is no file " + none.file())
          .when(
              StoreFault.NoDatabase.class,
              no -> no.file() + " is not a backup of a store: it is no database")
          .when(
              StoreFault.NotLonjas.class,
              no -> no.file() + " is not a backup of a store: it is a database of something else")
          .when(
              StoreFault.OtherSchema.class,
              other ->
                  other.file()
                      + " was written by another version of Lonja (schema "
                      + other.version()
                      + "); use that version, or a newer one")
          .when(
              StoreFault.OlderSchema.class,
              older ->
                  older.file()
                      + " was written by an earlier version of Lonja; start it with ./lonja serve,"
                      + " which keeps a copy and brings it up")
          .when(StoreFault.Empty.class, empty -> empty.file() + " is an empty store")
          .when(
              StoreFault.Damaged.class,
              damaged -> damaged.file() + " is damaged: " + damaged.message())
          .when(
              StoreFault.Disagrees.class,
              finding -> finding.finding().table() + ": " + finding.finding().text())
          .all();

  private FaultWording() {}

  static List<String> lines(List<StoreFault> faults) {
    return faults.stream().map(WORDS).toList();
  }

  /** What is wrong, and what to do about it; of a store that is only older the first says both. */
  static String withAdvice(List<StoreFault> faults, Path database) {
    List<String> lines = new ArrayList<>(lines(faults));
    if (!faults.stream().allMatch(StoreFault.OlderSchema.class::isInstance)) {
      lines.add(advice(database));
    }
    return String.join(System.lineSeparator(), lines);
  }

  /** What to do about a store that is not sound. */
  static String advice(Path database) {
    return BackupFolder.beside(database).copies().stream()
        .findFirst()
        .map(
            copy ->
                "The last good copy is of "
                    + copy.day()
                    + ". To go back to it, stop the server and run: ./lonja restore "
                    + database.resolveSibling("backups").resolve(copy.name()))
        .orElse("There is no copy beside it. Put one back with: ./lonja restore FILE");
  }
}
