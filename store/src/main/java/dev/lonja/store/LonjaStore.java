package dev.lonja.store;

import com.zaxxer.hikari.HikariConfig;
import com.zaxxer.hikari.HikariDataSource;
import dev.lonja.core.meter.MeterId;
import dev.lonja.store.fleet.MeterDigests;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalLong;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Function;
import java.util.function.Supplier;
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

  private static final String MIGRATIONS = "classpath:dev/lonja/store/migration";
  private static final int READERS = 4;
  private static final int BUSY_MILLISECONDS = 10_000;
  private static final int WRITER_MILLISECONDS = 120_000;

  private final Path file;
  private final Optional<HikariDataSource> writer;
  private final HikariDataSource readers;
  private final Optional<DSLContext> forWriting;
  private final DSLContext forReading;
  private final Memory memory = new Memory();

  /** Held until what a transaction touched is known, so that the next one knows it; first come. */
  private final ReentrantLock writing = new ReentrantLock(true);

  private LonjaStore(Path file, Optional<HikariDataSource> writer, HikariDataSource readers) {
    this.file = file;
    this.writer = writer;
    this.readers = readers;
    this.forReading = context(readers);
    this.forWriting = writer.map(LonjaStore::context);
  }

  /** Opens the file, creating it and its folder if need be, and migrates it to this version. */
  public static LonjaStore open(Path file) {
    StoreFiles.makeFile(file);
    migrate(file);
    return new LonjaStore(
        file,
        Optional.of(pool(at(file, new WriterSource(config(false))), 1, "writer", false)),
        pool(dataSource(file, true), READERS, "reader", false));
  }

  /**
   * Opens a store that another process may be writing to: it is read, never migrated or written.
   */
  public static LonjaStore openToRead(Path file) {
    return new LonjaStore(
        file, Optional.empty(), pool(toRead(file, false), READERS, "reader", true));
  }

  public Path file() {
    return file;
  }

  /** Runs {@code work} on one consistent state of the data. */
  public <T> T read(Function<Session, T> work) {
    OptionalLong seen = OptionalLong.of(memory.writes());
    return orTrouble(
        () ->
            forReading.transactionResult(
                configuration -> work.apply(new Session(configuration.dsl(), memory, seen))));
  }

  /** What the disk does is told apart from what the work does. */
  private static <T> T orTrouble(Supplier<T> work) {
    try {
      return work.get();
    } catch (RuntimeException e) {
      throw StoreTrouble.of(e).<RuntimeException>map(trouble -> trouble).orElse(e);
    }
  }

  /** How many writes this process has made; a read that begins now shows them all. */
  public long writes() {
    return memory.writes();
  }

  /**
   * Runs {@code work} in one transaction; an exception undoes all of it.
   *
   * @throws StoreTrouble if the disk stands in the way
   */
  public <T> T write(Function<Session, T> work) {
    DSLContext context =
        forWriting.orElseThrow(
            () -> new IllegalStateException(file + " was opened for reading only"));
    writing.lock();
    try {
      Written<T> written =
          orTrouble(
              () -> context.transactionResult(configuration -> run(work, configuration.dsl())));
      memory.written(written.touched());
      memory.digests().forget(written.digests());
      return written.result();
    } finally {
      writing.unlock();
    }
  }

  /** What a transaction made, what it touched, and what it kept of the readers' work. */
  private record Written<T>(T result, Touched touched, Map<MeterId, MeterDigests.Made> digests) {}

  private <T> Written<T> run(Function<Session, T> work, DSLContext context) {
    Session session = new Session(context, memory, OptionalLong.empty());
    T result = work.apply(session);
    Map<MeterId, MeterDigests.Made> kept =
        memory.digests().isEmpty() ? Map.of() : session.meterDigests().keep();
    return new Written<>(result, TouchLog.take(context), kept);
  }

  /** Keeps what readers have worked out of readings, so that the next start need not. */
  public void keepDigests() {
    if (forWriting.isPresent() && !memory.digests().isEmpty()) {
      write(session -> true);
    }
  }

  /** Copies the store into a file that is not there yet, by SQLite's online backup. */
  public void backUpTo(Path target) {
    copy(readers, target);
  }

  /** Copies what a source reads into a file that is not there yet. */
  static void copy(DataSource from, Path target) {
    StoreFiles.makeFile(target);
    try (Connection connection = from.getConnection();
        Statement statement = connection.createStatement()) {
      statement.executeUpdate("backup to '" + target.toString().replace("'", "''") + "'");
    } catch (SQLException e) {
      throw new IllegalStateException("cannot back up to " + target, e);
    }
  }

  /** Keeps what readers have worked out, and closes the file. */
  @Override
  public void close() {
    keepDigests();
    readers.close();
    writer.ifPresent(HikariDataSource::close);
  }

  private static void migrate(Path file) {
    Flyway.configure(LonjaStore.class.getClassLoader())
        .dataSource(dataSource(file, false))
        .locations(MIGRATIONS)
        .load()
        .migrate();
  }

  private static DSLContext context(DataSource source) {
    return DSL.using(source, SQLDialect.SQLITE);
  }

  /** Every connection that writes notes what it touches. */
  private static final class WriterSource extends SQLiteDataSource {
    WriterSource(SQLiteConfig config) {
      super(config);
    }

    @Override
    public Connection getConnection() throws SQLException {
      Connection connection = super.getConnection();
      TouchLog.begin(connection);
      return connection;
    }
  }

  /** A source that reads, or that writes and notes nothing of what it touches. */
  static DataSource dataSource(Path file, boolean readOnly) {
    return at(file, new SQLiteDataSource(config(readOnly)));
  }

  /**
   * A source that can only read.
   *
   * @param still nobody else has the file open and it has no log, so that none need be made
   */
  static DataSource toRead(Path file, boolean still) {
    SQLiteConfig config = new SQLiteConfig();
    config.setReadOnly(true);
    config.setBusyTimeout(BUSY_MILLISECONDS);
    config.enforceForeignKeys(true);
    SQLiteDataSource source = new SQLiteDataSource(config);
    source.setUrl(
        "jdbc:sqlite:file:"
            + file.toAbsolutePath().toUri().getRawPath()
            + (still ? "?immutable=1" : ""));
    return source;
  }

  private static DataSource at(Path file, SQLiteDataSource source) {
    source.setUrl("jdbc:sqlite:" + file);
    return source;
  }

  private static SQLiteConfig config(boolean readOnly) {
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
    return config;
  }

  private static HikariDataSource pool(
      DataSource source, int size, String name, boolean onlyReads) {
    HikariConfig config = new HikariConfig();
    config.setDataSource(source);
    config.setReadOnly(onlyReads);
    config.setMaximumPoolSize(size);
    config.setPoolName("lonja-" + name);
    // a large list takes the writer for some tens of seconds; others wait for it
    config.setConnectionTimeout(WRITER_MILLISECONDS);
    return new HikariDataSource(config);
  }
}
