package dev.lonja.app.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.zaxxer.hikari.HikariDataSource;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.store.LonjaStore;
import java.lang.reflect.Field;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A disk that is full or may not be written to: said, nothing half done, and over by itself. */
class TroubleTest {

  private static final String CLAMP = "HC 12-16";

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  private final Visitor visitor = SERVER.signedInAs("storekeeper");

  /** Sets something on the connection by which the server writes. */
  private static void onWriter(String pragma) throws Exception {
    Field field = LonjaStore.class.getDeclaredField("writer");
    field.setAccessible(true);
    HikariDataSource writer =
        (HikariDataSource) ((Optional<?>) field.get(SERVER.store())).orElseThrow();
    try (Connection connection = writer.getConnection();
        Statement statement = connection.createStatement()) {
      statement.execute(pragma.replace("PAGES", pages(statement)));
    }
  }

  private static String pages(Statement statement) throws SQLException {
    try (ResultSet answer = statement.executeQuery("PRAGMA page_count")) {
      return answer.getString(1);
    }
  }

  @AfterEach
  void roomAgain() throws Exception {
    onWriter("PRAGMA max_page_count = 4294967294");
    onWriter("PRAGMA query_only = 0");
  }

  private Visitor.Page issue() {
    return visitor.submit(
        visitor.get("/items/" + SERVER.itemId(CLAMP)).form("/issue"),
        Map.of("quantity", "1", "reason", "for the hoist " + "x".repeat(150)));
  }

  private void fillTheDisk() throws Exception {
    onWriter("PRAGMA max_page_count = PAGES");
  }

  @Test
  void aFullDiskIsSaidAndNothingIsHalfDone() throws Exception {
    Quantity before = SERVER.onHand(CLAMP);
    fillTheDisk();
    Visitor.Page answer = issue();
    // what is left of the last page may take a few
    for (int i = 0; i < 200 && answer.status() == 200; i++) {
      before = SERVER.onHand(CLAMP);
      answer = issue();
    }
    assertThat(answer.status()).isEqualTo(507);
    assertThat(answer.words()).contains("The disk of the server is full").contains("Make room");
    assertThat(SERVER.onHand(CLAMP)).isEqualTo(before);
    assertThat(visitor.get("/book").status()).isEqualTo(200);
    roomAgain();
    assertThat(issue().status()).isEqualTo(200);
    assertThat(SERVER.onHand(CLAMP)).isEqualTo(before.minus(Quantity.pieces(1)));
    assertThat(SERVER.isSound()).isTrue();
  }

  @Test
  void aFolderThatMayOnlyBeReadIsSaid() throws Exception {
    Quantity before = SERVER.onHand(CLAMP);
    onWriter("PRAGMA query_only = 1");
    Visitor.Page answer = issue();
    assertThat(answer.status()).isEqualTo(503);
    assertThat(answer.words()).contains("The store can only be read");
    assertThat(SERVER.onHand(CLAMP)).isEqualTo(before);
    assertThat(SERVER.signedInAs("buyer").get("/book").status()).isEqualTo(200);
  }
}
