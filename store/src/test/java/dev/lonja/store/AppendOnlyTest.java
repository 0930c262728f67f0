package dev.lonja.store;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is never changed is held by the file itself, on the connections the store hands out. */
class AppendOnlyTest {

  @TempDir private Path folder;

  private void run(String sql) throws SQLException {
    try (LonjaStore store = Stores.example(folder);
        Connection connection = LonjaStore.dataSource(store.file(), false).getConnection();
        Statement statement = connection.createStatement()) {
      statement.execute(sql);
    }
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "UPDATE movement SET reason = 'another' WHERE id = 1",
        "DELETE FROM movement WHERE id = 1",
        // replacing a line deletes the old one, which only recursive triggers see
        "INSERT OR REPLACE INTO movement SELECT * FROM movement WHERE id = 1"
      })
  void aMovementStays(String sql) {
    assertThatThrownBy(() -> run(sql)).hasMessageContaining("movements are never");
  }

  @ParameterizedTest
  @ValueSource(
      strings = {
        "UPDATE reading SET value_tenths = 1",
        "DELETE FROM reading",
        "INSERT OR REPLACE INTO reading SELECT * FROM reading"
      })
  void aReadingStays(String sql) {
    assertThatThrownBy(() -> run(sql)).hasMessageContaining("readings are never");
  }

  @Test
  void whatMayChangeDoes() throws SQLException {
    run("UPDATE unit SET name = 'another name' WHERE id = 1");
    try (LonjaStore store = LonjaStore.open(folder.resolve("lonja.db"))) {
      assertThat(store.<Boolean>read(s -> s.verification().findings().isEmpty())).isTrue();
    }
  }
}
