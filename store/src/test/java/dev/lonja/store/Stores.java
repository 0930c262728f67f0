package dev.lonja.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;

/** Stores on real SQLite files for tests. */
public final class Stores {

  /** The example store that ships: eight units and forty items. */
  public static final Path EXAMPLE = Path.of("..", "examples", "boatyard-cage");

  private Stores() {}

  /** An open store in {@code folder} with the example's data. */
  public static LonjaStore example(Path folder) {
    Path database = folder.resolve("lonja.db");
    try {
      Files.copy(Loaded.DATABASE, database);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
    return LonjaStore.open(database);
  }

  /** The example, loaded once and copied for each test. */
  private static final class Loaded {

    private static final Path DATABASE = load();

    private static Path load() {
      try {
        Path folder = Files.createTempDirectory("lonja-example");
        Path working = folder.resolve("working.db");
        Path database = folder.resolve("lonja.db");
        assertThat(StoreFiles.load(EXAMPLE, working, false, session -> {})).isEmpty();
        try (LonjaStore store = LonjaStore.open(working)) {
          store.backUpTo(database);
        }
        return database;
      } catch (IOException e) {
        throw new UncheckedIOException(e);
      }
    }
  }

  /** Runs statements on the file behind the store's back. */
  public static void tamper(LonjaStore store, String... statements) {
    sql(store.file(), statements);
  }

  /** The number that a question is answered with. */
  public static long number(Path file, String question) {
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement();
        ResultSet answer = statement.executeQuery(question)) {
      return answer.getLong(1);
    } catch (SQLException e) {
      throw new IllegalStateException(e.getMessage(), e);
    }
  }

  /** The first column of what a question is answered with. */
  public static List<String> texts(Path file, String question) {
    List<String> texts = new ArrayList<>();
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement();
        ResultSet answer = statement.executeQuery(question)) {
      while (answer.next()) {
        texts.add(answer.getString(1));
      }
    } catch (SQLException e) {
      throw new IllegalStateException(e.getMessage(), e);
    }
    return texts;
  }

  /** Runs statements on any file, which is made if need be. */
  public static void sql(Path file, String... statements) {
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + file);
        Statement statement = connection.createStatement()) {
      for (String sql : statements) {
        statement.execute(sql);
      }
    } catch (SQLException e) {
      throw new IllegalStateException(e.getMessage(), e);
    }
  }
}
