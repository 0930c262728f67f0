package dev.lonja.app.sign;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.demo.DemoStore;
import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.web.sign.LiveSessions;
import java.util.Map;
import org.jsoup.nodes.FormElement;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** What was typed when a session ends is kept, and sent again by hand, by whoever typed it. */
class SessionOverTest {

  private static final String CLAMP = "HC 12-16";

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.withDemo();

  /** A form that somebody filled while their session ended. */
  private static Visitor.Page sentTooLate(Visitor visitor) {
    Visitor.Page item = visitor.get("/items/" + SERVER.itemId(CLAMP));
    FormElement issue = item.form("/issue");
    SERVER
        .bean(LiveSessions.class)
        .of(SERVER.personId("storekeeper"))
        .forEach(live -> SERVER.bean(LiveSessions.class).end(live.id()));
    return visitor.submit(issue, Map.of("quantity", "1", "reason", "for the hoist"));
  }

  @Test
  void whatWasTypedIsKeptAndSentAgainAfterTheSignIn() {
    Quantity before = SERVER.onHand(CLAMP);
    Visitor visitor = SERVER.newlySignedInAs("storekeeper").fromHere();
    Visitor.Page over = sentTooLate(visitor);
    assertThat(over.status()).isEqualTo(401);
    assertThat(over.words()).contains("What you sent is kept; nothing of it was done yet.");
    Visitor.Page wrong = visitor.submit(over.form("/sign-in"), typed("not that"));
    assertThat(wrong.words()).contains("Name or password is wrong. What you sent is still kept.");
    Visitor.Page again = visitor.submit(wrong.form("/sign-in"), typed(DemoStore.PASSWORD));
    assertThat(again.path()).isEqualTo("/sign-in/again");
    assertThat(again.words()).contains("for the hoist");
    assertThat(SERVER.onHand(CLAMP)).isEqualTo(before);
    Visitor.Page done = visitor.submit(again.form("/issue"), Map.of());
    assertThat(done.status()).isEqualTo(200);
    assertThat(SERVER.onHand(CLAMP)).isEqualTo(before.minus(Quantity.pieces(1)));
  }

  private static Map<String, String> typed(String password) {
    return Map.of("name", "storekeeper", "password", password);
  }

  @Test
  void nobodyElseSendsIt() {
    Quantity before = SERVER.onHand(CLAMP);
    Visitor visitor = SERVER.newlySignedInAs("storekeeper").fromHere();
    Visitor.Page over = sentTooLate(visitor);
    Visitor.Page again =
        visitor.submit(
            over.form("/sign-in"), Map.of("name", "administrator", "password", DemoStore.PASSWORD));
    assertThat(visitor.submit(again.form("/issue"), Map.of()).words())
        .contains("This form was shown to somebody else, who alone may send it.");
    assertThat(SERVER.onHand(CLAMP)).isEqualTo(before);
  }

  /** The page that was asked for, not what it or its worker asks for by itself meanwhile. */
  @Test
  void aSignInLeadsToThePageThatWasWanted() {
    Visitor visitor = SERVER.stranger();
    assertThat(visitor.ask("/aisle").response().previousResponse().orElseThrow().headers().map())
        .doesNotContainKey("set-cookie");
    Visitor.Page door = visitor.get("/fleet/RT-04");
    assertThat(door.path()).isEqualTo("/sign-in");
    visitor.ask("/aisle");
    assertThat(visitor.submit(door.form("/sign-in"), typed(DemoStore.PASSWORD)).path())
        .startsWith("/fleet/RT-04");
  }

  /** What another site sends in somebody's name is not kept for them. */
  @Test
  void whatComesFromElsewhereIsRefused() {
    Visitor visitor = SERVER.stranger();
    assertThat(visitor.post("/items/1/issue", Map.of("quantity", "1")).status()).isEqualTo(403);
  }
}
