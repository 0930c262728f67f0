package dev.lonja.store;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.store.verification.Verification;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * A data file of every released version is opened, brought up to this one, and nothing of it is
 * lost. Each is a store with something in almost every table, as it was when the version was
 * released; a migration that was released is not edited any more, or its file cannot be opened.
 */
class UpgradeTest {

  private static final Path RELEASED = Path.of("src/test/resources/dev/lonja/store/released");
  private static final Path MIGRATIONS = Path.of("src/main/resources/dev/lonja/store/migration");

  @TempDir private Path folder;

  static Stream<Path> released() throws IOException {
    try (Stream<Path> files = Files.list(RELEASED)) {
      return files.sorted().toList().stream();
    }
  }

  /** V2__name.sql is version 2; its file, once it is released, is v2.db.gz. */
  @Test
  void everyVersionButTheLastIsReleased() throws IOException {
    List<String> versions;
    try (Stream<Path> files = Files.list(MIGRATIONS)) {
      versions =
          files
              .map(file -> file.getFileName().toString().replaceFirst("V(\\d+)__.*", "v$1.db.gz"))
              .sorted()
              .toList();
    }
    List<String> kept = released().map(file -> file.getFileName().toString()).toList();
    assertThat(versions).containsAll(kept);
    assertThat(kept).containsAll(versions.subList(0, Math.max(1, versions.size() - 1)));
  }

  @ParameterizedTest
  @MethodSource("released")
  void nothingIsLost(Path file) throws IOException, SQLException {
    Path database = unpacked(file);
    Map<String, List<String>> columns = columns(database);
    Map<String, List<List<Object>>> before = rows(database, columns);
    assertThat(before.get("movement")).hasSizeGreaterThan(300);
    try (LonjaStore store = LonjaStore.open(database)) {
      assertThat(
              store.<List<Verification.Finding>>read(session -> session.verification().findings()))
          .isEmpty();
    }
    Map<String, List<List<Object>>> after = rows(database, columns);
    columns.keySet().forEach(table -> assertThat(after.get(table)).isEqualTo(before.get(table)));
  }

  /** Looked through, it stays as it was; it is not read before it is brought up, but restored. */
  @ParameterizedTest
  @MethodSource("released")
  void anEarlierVersionIsLookedThroughAndRestored(Path file) throws IOException {
    Path backup = unpacked(file);
    byte[] before = Files.readAllBytes(backup);
    assertThat(StoreCheck.isOlder(backup)).isTrue();
    assertThat(StoreCheck.whole(backup)).isEmpty();
    assertThat(StoreCheck.toRead(backup)).containsExactly(new StoreFault.OlderSchema(backup));
    assertThat(Files.readAllBytes(backup)).isEqualTo(before);
    try (Stream<Path> beside = Files.list(folder)) {
      assertThat(beside).containsExactly(backup);
    }
    Path database = folder.resolve("restored").resolve("lonja.db");
    Files.createDirectories(database.getParent());
    assertThat(StoreFiles.restore(backup, database, session -> {})).isEmpty();
    assertThat(StoreCheck.isOlder(database)).isFalse();
    assertThat(StoreCheck.toRead(database)).isEmpty();
  }

  private Path unpacked(Path file) throws IOException {
    Path database = folder.resolve("lonja.db");
    try (InputStream packed = new GZIPInputStream(Files.newInputStream(file))) {
      Files.copy(packed, database);
    }
    return database;
  }

  /** By table, its columns; not of what tells which migrations were run. */
  private static Map<String, List<String>> columns(Path database) throws SQLException {
    Map<String, List<String>> columns = new TreeMap<>();
    for (List<Object> row :
        select(
            database,
            "SELECT m.name, c.name FROM sqlite_master m JOIN pragma_table_info(m.name) c"
                + " WHERE m.type = 'table' AND m.name NOT LIKE 'flyway%'"
                + " AND m.name NOT LIKE 'sqlite%'",
            2)) {
      columns
          .computeIfAbsent((String) row.get(0), table -> new ArrayList<>())
          .add((String) row.get(1));
    }
    return columns;
  }

  private static Map<String, List<List<Object>>> rows(
      Path database, Map<String, List<String>> columns) throws SQLException {
    Map<String, List<List<Object>>> rows = new TreeMap<>();
    for (Map.Entry<String, List<String>> table : columns.entrySet()) {
      String names =
          table.getValue().stream().map(name -> '"' + name + '"').collect(Collectors.joining(", "));
      rows.put(
          table.getKey(),
          select(
              database,
              "SELECT " + names + " FROM \"" + table.getKey() + "\"",
              table.getValue().size()));
    }
    return rows;
  }

  private static List<List<Object>> select(Path database, String sql, int width)
      throws SQLException {
    List<List<Object>> rows = new ArrayList<>();
    try (Connection connection = DriverManager.getConnection("jdbc:sqlite:" + database);
        Statement statement = connection.createStatement();
        ResultSet result = statement.executeQuery(sql)) {
      while (result.next()) {
        List<Object> row = new ArrayList<>();
        for (int column = 1; column <= width; column++) {
          Object value = result.getObject(column);
          row.add(value instanceof byte[] bytes ? List.of(bytes.length, hash(bytes)) : value);
        }
        rows.add(row);
      }
    }
    rows.sort(Comparator.comparing(Object::toString));
    return rows;
  }

  private static int hash(byte[] bytes) {
    return Arrays.hashCode(bytes);
  }
}
