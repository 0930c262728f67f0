package dev.lonja.store;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Optional;
import java.util.function.Function;
import javax.sql.DataSource;
import org.flywaydb.core.Flyway;
import org.jooq.DSLContext;
import org.jooq.SQLDialect;
import org.jooq.impl.DSL;
import org.sqlite.SQLiteConfig;
import org.sqlite.SQLiteDataSource;

/**
 * One store's data: a SQLite file in WAL mode with one writer connection and several readers.
 * Writes take the file's write lock when they begin, so what they read stays true until they end.
 */
public final class LonjaStore implements AutoCloseable {

  private static final int READERS = 4;
  private static final int BUSY_MILLISECONDS = 10_000;
  private static final int WRITER_MILLISECONDS = 120_000;

  private final Path file;
  private final HikariDataSource writer;
  private final HikariDataSource readers;
  private final Memory memory;

  private LonjaStore(Path file) {
    this.file = file;
    this.memory = new Memory(file);
    this.writer = pool(dataSource(file, false), 1, "writer");
    this.readers = pool(dataSource(file, true), READERS, "reader");
  }

  /** Opens the file, creating it and its folder if need be, and migrates it to this version. */
  public static LonjaStore open(Path file) {
    try {
      Files.createDirectories(file.toAbsolutePath().getParent());
    } catch (IOException e) {
      throw new UncheckedIOException("cannot create the folder of " + file, e);
    }
    migrate(file);
    return new LonjaStore(file);
  }

  public Path file() {
    return file;
  }

  /** Runs {@code work} on one consistent state of the data. */
  public <T> T read(Function<Session, T> work) {
    Optional<Memory.State> before = Optional.of(memory.state());
    return context(readers)
        .transactionResult(
            configuration -> work.apply(new Session(configuration.dsl(), memory, before)));
  }

  /** Runs {@code work} in one transaction; an exception undoes all of it. */
  public <T> T write(Function<Session, T> work) {
    T result =
        context(writer)
            .transactionResult(
                configuration ->
                    work.apply(new Session(configuration.dsl(), memory, Optional.empty())));
    memory.written();
    return result;
  }

  /** Copies the store into a file that is not there yet, by SQLite's online backup. */
  public void backUpTo(Path target) {
    try (Connection connection = readers.getConnection();
        Statement statement = connection.createStatement()) {
      Files.createDirectories(target.toAbsolutePath().getParent());
      statement.executeUpdate("backup to '" + target.toString().replace("'", "''") + "'");
    } catch (SQLException | IOException e) {
      throw new IllegalStateException("cannot back up to " + target, e);
    }
  }

  @Override
  public void close() {
    readers.close();
    writer.close();
  }

  private static void migrate(Path file) {
    Flyway.configure(LonjaStore.class.getClassLoader())
        .dataSource(dataSource(file, false))
        .locations("classpath:dev/lonja/store/migration")
        .load()
        .migrate();
  }

  private static DSLContext context(DataSource source) {
    return DSL.using(source, SQLDialect.SQLITE);
  }

  static DataSource dataSource(Path file, boolean readOnly) {
    SQLiteConfig config = new SQLiteConfig();
    config.setJournalMode(SQLiteConfig.JournalMode.WAL);
    config.setSynchronous(SQLiteConfig.SynchronousMode.FULL);
    config.enforceForeignKeys(true);
    config.setBusyTimeout(BUSY_MILLISECONDS);
    // else INSERT OR REPLACE would delete lines that are never deleted, unseen by their triggers
    config.enableRecursiveTriggers(true);
    // jOOQ asks for keys by RETURNING; the driver would otherwise run a query after each insert
    config.setGetGeneratedKeys(false);
    config.setTransactionMode(
        readOnly ? SQLiteConfig.TransactionMode.DEFERRED : SQLiteConfig.TransactionMode.IMMEDIATE);
    SQLiteDataSource source = new SQLiteDataSource(config);
    source.setUrl("jdbc:sqlite:" + file);
    return source;
  }

  private static HikariDataSource pool(DataSource source, int size, String name) {
    HikariConfig config = new HikariConfig();
    config.setDataSource(source);
    config.setMaximumPoolSize(size);
    config.setPoolName("lonja-" + name);
    // a large list takes the writer for some tens of seconds; others wait for it
    config.setConnectionTimeout(WRITER_MILLISECONDS);
    return new HikariDataSource(config);
  }
}
