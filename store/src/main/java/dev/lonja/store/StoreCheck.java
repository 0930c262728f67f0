package dev.lonja.store;

import dev.lonja.store.verification.Verification;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import javax.sql.DataSource;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.exception.DataAccessException;
import org.jooq.impl.DSL;

/**
 * Looks whether a file is a store of Lonja's and sound. Opens it for reading only: nothing of it is
 * migrated, nothing written, nothing left beside it.
 */
public final class StoreCheck {

  /** What a store's file says it is, in its header: "LNJA". */
  private static final int APPLICATION = 0x4C4E4A41;

  /** The version of the schema that this program brings a store to. */
  static final int SCHEMA = 2;

  private static final byte[] SQLITE_HEADER =
      "SQLite format 3\0".getBytes(StandardCharsets.US_ASCII);

  private final Path file;
  private final DSLContext context;

  private StoreCheck(Path file) {
    this.file = file;
    this.context = DSL.using(source(file), SQLDialect.SQLITE);
  }

  /**
   * Everything that is wrong; empty if it is a sound store. Of one that an earlier version wrote a
   * copy is brought up and gone through.
   */
  public static List<StoreFault> whole(Path file) {
    return check(file, check -> check.isOlder() ? check.faultsBroughtUp() : check.wholeFaults());
  }

  /** Only whether it is a store that can be opened; does not go through its ledger. */
  public static List<StoreFault> quick(Path file) {
    return check(file, StoreCheck::quickFaults);
  }

  /** Only whether it is Lonja's, and of a version that this one knows. */
  public static List<StoreFault> known(Path file) {
    return check(file, StoreCheck::identity);
  }

  /** The same as {@link #quick} of a store that is not opened to be written, so not brought up. */
  public static List<StoreFault> toRead(Path file) {
    return check(
        file,
        check -> check.isOlder() ? List.of(new StoreFault.OlderSchema(file)) : check.quickFaults());
  }

  /** True for a sound file of Lonja's that an earlier version wrote. */
  public static boolean isOlder(Path file) {
    return isDatabase(file) && new StoreCheck(file).isOlder();
  }

  private static List<StoreFault> check(
      Path file, java.util.function.Function<StoreCheck, List<StoreFault>> looking) {
    if (Files.notExists(file)) {
      return List.of(new StoreFault.Absent(file));
    }
    if (!isDatabase(file)) {
      return List.of(new StoreFault.NoDatabase(file));
    }
    try {
      return looking.apply(new StoreCheck(file));
    } catch (DataAccessException e) {
      return List.of(new StoreFault.Damaged(file, said(e)));
    }
  }

  private List<StoreFault> wholeFaults() {
    List<StoreFault> faults = new ArrayList<>(identity());
    if (faults.isEmpty()) {
      new Verification(context)
          .findings()
          .forEach(finding -> faults.add(new StoreFault.Disagrees(finding)));
    }
    if (faults.isEmpty() && isEmpty()) {
      faults.add(new StoreFault.Empty(file));
    }
    return faults;
  }

  private boolean isOlder() {
    return identity().isEmpty() && version() < SCHEMA;
  }

  /** Faults of a copy that is brought up to this version. */
  private List<StoreFault> faultsBroughtUp() {
    List<StoreFault> faults = quickFaults();
    if (!faults.isEmpty()) {
      return faults;
    }
    try {
      Path folder = Files.createTempDirectory("lonja-check");
      Path copy = folder.resolve("lonja.db");
      try {
        LonjaStore.copy(source(file), copy);
        LonjaStore.open(copy).close();
        return new StoreCheck(copy).wholeFaults();
      } finally {
        StoreFiles.delete(copy);
        Files.delete(folder);
      }
    } catch (IOException e) {
      throw new UncheckedIOException("cannot bring up a copy of " + file, e);
    }
  }

  private List<StoreFault> quickFaults() {
    List<StoreFault> faults = new ArrayList<>(identity());
    if (faults.isEmpty()) {
      context.fetch("PRAGMA quick_check(20)").stream()
          .map(row -> row.get(0, String.class))
          .filter(said -> !"ok".equals(said))
          .forEach(said -> faults.add(new StoreFault.Damaged(file, said)));
    }
    return faults;
  }

  /** Whether it is Lonja's, and of a version that this one knows. */
  private List<StoreFault> identity() {
    int application = context.fetchSingle("PRAGMA application_id").get(0, Integer.class);
    boolean migrated =
        context.fetchExists(
            DSL.select()
                .from("sqlite_master")
                .where("type = 'table' AND name = 'flyway_schema_history'"));
    if (application != APPLICATION || !migrated) {
      return List.of(new StoreFault.NotLonjas(file));
    }
    int found = version();
    return found > 0 && found <= SCHEMA
        ? List.of()
        : List.of(new StoreFault.OtherSchema(file, found > 0 ? Integer.toString(found) : "none"));
  }

  /** Of the schema, 0 where none was ever finished. */
  private int version() {
    return context
        .fetchOptional(
            "SELECT version FROM flyway_schema_history WHERE success = 1"
                + " ORDER BY installed_rank DESC LIMIT 1")
        .map(row -> Integer.parseInt(row.get(0, String.class)))
        .orElse(0);
  }

  private boolean isEmpty() {
    return List.of("person", "part", "unit", "movement").stream()
        .noneMatch(table -> context.fetchExists(DSL.table(DSL.name(table))));
  }

  private static boolean isDatabase(Path file) {
    try (var in = Files.newInputStream(file)) {
      return Arrays.equals(in.readNBytes(SQLITE_HEADER.length), SQLITE_HEADER);
    } catch (IOException e) {
      return false;
    }
  }

  private static String said(DataAccessException problem) {
    return Optional.ofNullable(problem.getCause(Throwable.class))
        .map(Throwable::getMessage)
        .orElseGet(problem::toString);
  }

  /** Beside a file that nobody has open and that has no log, SQLite need not make one. */
  private static DataSource source(Path file) {
    Path folder = file.toAbsolutePath().getParent();
    boolean still = Files.notExists(Path.of(file + "-wal")) && StoreLock.holder(folder).isEmpty();
    return LonjaStore.toRead(file, still);
  }
}
