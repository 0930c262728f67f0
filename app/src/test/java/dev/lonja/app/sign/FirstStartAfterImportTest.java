package dev.lonja.app.sign;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.person.Role;
import dev.lonja.desk.person.FirstStartDesk;
import dev.lonja.store.person.Person;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A store that came by import is asked for its administrator, and keeps what it brought. */
class FirstStartAfterImportTest {

  @TempDir private Path folder;

  @Test
  void oneOfThePeopleWhoCameBecomesAdministratorAndNothingElseChanges() throws IOException {
    LonjaServer.putExample(folder);
    LonjaServer server = LonjaServer.on(folder.resolve("lonja.db"));
    server.start();
    try {
      Visitor visitor = server.stranger();
      Visitor.Page page = visitor.get("/fleet");
      assertThat(page.path()).isEqualTo("/first-start");
      assertThat(page.words()).contains("The store knows storekeeper, workshop.");
      assertThat(page.document().select("#storeName").val()).isEqualTo("Boatyard Cage");
      visitor.submit(
          page.form("/first-start"),
          Map.of(
              "setUpCode",
              server.bean(FirstStartDesk.class).code(),
              "name",
              "Storekeeper",
              "password",
              "four gulls on a mast"));
      List<Person> people = server.store().read(session -> session.people().all());
      assertThat(people)
          .extracting(person -> person.name().text())
          .containsExactly("storekeeper", "workshop");
      assertThat(people.get(0).roles())
          .containsExactlyInAnyOrder(Role.STOREKEEPER, Role.ADMINISTRATOR);
      assertThat(people.get(1).roles()).containsExactly(Role.WORKSHOP);
      assertThat(visitor.signIn("storekeeper", "four gulls on a mast").path()).isEqualTo("/");
    } finally {
      server.stop();
    }
  }

  /** The code has nine wrong tries at most in a quarter of an hour, and is not cut or padded. */
  @Test
  void guessingAtTheCodeCostsTime() throws IOException {
    LonjaServer server = LonjaServer.empty();
    server.start();
    try {
      String code = server.bean(FirstStartDesk.class).code();
      assertThat(code).matches("[2-9A-HJKMNP-Z]{5}-[2-9A-HJKMNP-Z]{5}");
      for (String wrong :
          List.of(code.substring(1), code + "2", code.replace("-", ""), "AAAAA-AAAAA", "")) {
        assertThat(setUp(server, wrong).words()).contains("That is not the code");
      }
      assertThat(setUp(server, code).words()).contains("Too many wrong codes");
    } finally {
      server.stop();
    }
  }

  private static Visitor.Page setUp(LonjaServer server, String code) {
    Visitor visitor = server.stranger();
    return visitor.submit(
        visitor.get("/first-start").form("/first-start"),
        Map.of(
            "setUpCode",
            code,
            "storeName",
            "Net Loft",
            "name",
            "manager",
            "password",
            "four gulls on a mast"));
  }
}
