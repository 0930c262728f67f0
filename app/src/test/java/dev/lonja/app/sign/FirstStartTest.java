package dev.lonja.app.sign;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.desk.person.FirstStartDesk;
import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A store nobody has set up: refused set-ups first, then the good one, then an empty store. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class FirstStartTest {

  private static final String PASSWORD = "four gulls on a mast";

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.empty();

  @Test
  @Order(1)
  void everyPathLeadsToTheSetUp() {
    assertThat(SERVER.stranger().get("/fleet").path()).isEqualTo("/first-start");
    assertThat(SERVER.stranger().get("/sign-in").path()).isEqualTo("/first-start");
  }

  @Test
  @Order(2)
  void everyProblemIsNamedAndWhatWasTypedStays() {
    Visitor.Page answer =
        setUp(
            Map.of(
                "setUpCode",
                "AAAAA-AAAAA",
                "currency",
                "XQX",
                "timeZone",
                "Moon/Sea",
                "password",
                "ab"));
    assertThat(answer.words())
        .contains("That is not the code that the server printed.")
        .contains("\"XQX\" is no currency")
        .contains("\"Moon/Sea\" is no time zone")
        .contains("The password has 2 characters; allowed is 12 or more");
    assertThat(answer.document().select("#storeName").attr("value")).isEqualTo("Net Loft");
    assertThat(answer.document().select("#password").attr("value")).isEmpty();
  }

  @Test
  @Order(3)
  void theRightCodeMakesTheAdministrator() {
    Visitor.Page answer = setUp(Map.of());
    assertThat(answer.path()).isEqualTo("/sign-in?ready");
    Visitor visitor = SERVER.stranger();
    Visitor.Page today = visitor.signIn("harbour master", PASSWORD);
    assertThat(today.path()).isEqualTo("/");
    assertThat(today.text(".band")).contains("Net Loft");
  }

  @Test
  @Order(4)
  void itCannotBeDoneTwice() {
    assertThat(SERVER.stranger().get("/first-start").path()).isEqualTo("/sign-in");
  }

  /** Empty pages say how to fill them. */
  @Test
  @Order(5)
  void anEmptyStoreHasPagesThatSayHowToFillThem() {
    Visitor visitor = SERVER.stranger();
    visitor.signIn("harbour master", PASSWORD);
    assertThat(visitor.get("/").words()).contains("Nothing. Every line on the rack is covered");
    assertThat(visitor.get("/fleet").words()).contains("No units yet.");
    assertThat(visitor.get("/ahead").words()).contains("Nothing is expected to be used.");
    assertThat(visitor.get("/trays").words()).contains("No tray is open.");
    assertThat(visitor.get("/book").words()).contains("No stock has moved yet.");
    assertThat(visitor.get("/bench").status()).as("only where it is wanted").isEqualTo(404);
    assertThat(visitor.get("/find?q=PL4107").words()).contains("No item, unit, bin or tray");
  }

  private static Visitor.Page setUp(Map<String, String> changes) {
    Map<String, String> typed = new HashMap<>();
    typed.put("setUpCode", SERVER.bean(FirstStartDesk.class).code());
    typed.put("storeName", "Net Loft");
    typed.put("currency", "EUR");
    typed.put("timeZone", "Atlantic/Azores");
    typed.put("name", "harbour master");
    typed.put("password", PASSWORD);
    typed.putAll(changes);
    Visitor visitor = SERVER.stranger();
    return visitor.submit(visitor.get("/first-start").form("/first-start"), typed);
  }
}
