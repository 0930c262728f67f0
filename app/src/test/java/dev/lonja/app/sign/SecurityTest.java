package dev.lonja.app.sign;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.net.HttpCookie;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class SecurityTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  @ParameterizedTest
  @ValueSource(
      strings = {
        "/",
        "/fleet",
        "/fleet/RT-01",
        "/find?q=x",
        "/trays",
        "/trays/1",
        "/ahead",
        "/items/1",
        "/book"
      })
  void strangersAreLedToTheDoor(String path) {
    assertThat(SERVER.stranger().get(path).path()).isEqualTo("/sign-in");
  }

  @Test
  void theContentPolicyAllowsOwnFilesOnly() {
    Visitor.Page page = SERVER.newlySignedInAs("storekeeper").get("/");
    assertThat(page.response().headers().firstValue("Content-Security-Policy"))
        .contains(
            "default-src 'self'; object-src 'none'; base-uri 'none'; form-action 'self'; "
                + "frame-ancestors 'none'");
    assertThat(page.document().select("[style], style, script:not([src])")).isEmpty();
    assertThat(page.response().headers().firstValue("X-Content-Type-Options")).contains("nosniff");
  }

  @Test
  void theCookieIsForHttpAndThisSiteOnly() {
    Visitor visitor = SERVER.stranger();
    Visitor.Page page = visitor.get("/sign-in");
    HttpCookie before = visitor.cookies().getCookieStore().getCookies().get(0);
    assertThat(page.response().headers().firstValue("Set-Cookie").orElseThrow())
        .contains("HttpOnly", "SameSite=Strict");
    visitor.signIn("storekeeper", "lonja-demo");
    HttpCookie after = visitor.cookies().getCookieStore().getCookies().get(0);
    assertThat(after.getValue()).as("a fresh session").isNotEqualTo(before.getValue());
  }

  @Test
  void aFormWithoutItsTokenIsRefused() {
    Visitor visitor = SERVER.newlySignedInAs("storekeeper");
    Visitor.Page answer =
        visitor.post("/items/1/issue", Map.of("requestKey", "abcdefgh", "quantity", "1"));
    assertThat(answer.status()).isEqualTo(403);
    assertThat(answer.words()).contains("Nothing was changed");
  }

  @Test
  void auditorsAndBuyersReadAndDoNotBook() {
    for (String name : List.of("auditor", "administrator")) {
      assertThat(SERVER.newlySignedInAs(name).get("/book").status()).isEqualTo(200);
    }
    Visitor auditor = SERVER.newlySignedInAs("auditor");
    Visitor.Page item = auditor.get("/items/1");
    assertThat(item.hasForm("/issue")).isFalse();
    Visitor.Page refused =
        auditor.post("/items/1/issue", withToken(item, "quantity", "1", "reason", "none"));
    assertThat(refused.status()).isEqualTo(403);
    assertThat(refused.words()).contains("Your role does not allow this");
    Visitor.Page tray = auditor.get("/trays/1");
    assertThat(auditor.post("/trays/1/scan", withToken(tray, "code", "x")).status()).isEqualTo(403);
    assertThat(
            auditor
                .post("/trays/1/hand-over", withToken(tray, "version", "0", "mechanic", "me"))
                .status())
        .isEqualTo(403);
    assertThat(SERVER.isSound()).isTrue();
  }

  /** The workshop has its trays and the machines, not the store's plans and books. */
  @Test
  void theWorkshopSeesItsOwnTraysOnly() {
    Visitor workshop = SERVER.newlySignedInAs("workshop");
    assertThat(workshop.get("/").path()).isEqualTo("/trays");
    assertThat(workshop.get("/trays").words()).contains("No tray is open");
    assertThat(workshop.get("/trays/8").status()).isEqualTo(404);
    assertThat(workshop.get("/ahead").status()).isEqualTo(403);
    assertThat(workshop.get("/book").status()).isEqualTo(403);
    assertThat(workshop.get("/fleet/FL-2").status()).isEqualTo(200);
    assertThat(workshop.get("/items/1").text("main")).doesNotContain("Worth");
  }

  @Test
  void signingOutEndsTheSession() {
    Visitor visitor = SERVER.newlySignedInAs("storekeeper");
    Visitor.Page out = visitor.submit(visitor.get("/").form("/sign-out"), Map.of());
    assertThat(out.words()).contains("You have signed out");
    assertThat(visitor.get("/fleet").path()).isEqualTo("/sign-in");
  }

  @Test
  void aPageThatIsNotThereSaysSo() {
    Visitor visitor = SERVER.newlySignedInAs("storekeeper");
    assertThat(visitor.get("/items/99999").status()).isEqualTo(404);
    assertThat(visitor.get("/fleet/XX-1").words()).contains("There is no such page");
    assertThat(visitor.get("/trays/99999").status()).isEqualTo(404);
    assertThat(visitor.get("/ahead/99999").status()).isEqualTo(404);
    assertThat(visitor.get("/items/abc").status()).isEqualTo(400);
  }

  private static Map<String, String> withToken(Visitor.Page page, String... fields) {
    Map<String, String> all = new java.util.HashMap<>();
    all.put("_csrf", page.form("/sign-out").select("[name=_csrf]").attr("value"));
    all.put("requestKey", "security-test-1");
    for (int i = 0; i < fields.length; i += 2) {
      all.put(fields[i], fields[i + 1]);
    }
    return all;
  }
}
