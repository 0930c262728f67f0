package dev.lonja.app.sign;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Settings;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Whose word counts on where a visitor is and whether the way is encrypted. */
class ProxyTest {

  @RegisterExtension static final LonjaServer ALONE = LonjaServer.withDemo();

  /** Behind a proxy on this very machine. */
  @RegisterExtension
  static final LonjaServer BEHIND = LonjaServer.withDemo(Settings.ofProxy("127.0.0.1"));

  private static HttpResponse<String> door(LonjaServer server) throws Exception {
    return HttpClient.newHttpClient()
        .send(
            HttpRequest.newBuilder(
                    URI.create(server.url().replace("localhost", "127.0.0.1") + "/sign-in"))
                .header("X-Forwarded-Proto", "https")
                .header("X-Forwarded-For", "203.0.113.9")
                .build(),
            HttpResponse.BodyHandlers.ofString());
  }

  @Test
  void aVisitorsOwnWordCountsForNothing() throws Exception {
    HttpResponse<String> answer = door(ALONE);
    assertThat(answer.headers().firstValue("Strict-Transport-Security")).isEmpty();
    assertThat(answer.headers().firstValue("Set-Cookie").orElseThrow()).doesNotContain("Secure");
  }

  @Test
  void theNamedProxysDoes() throws Exception {
    HttpResponse<String> answer = door(BEHIND);
    assertThat(answer.headers().firstValue("Strict-Transport-Security").orElseThrow())
        .contains("max-age=31536000");
    assertThat(answer.headers().firstValue("Set-Cookie").orElseThrow())
        .contains("__Host-lonja=", "Secure", "HttpOnly", "SameSite=Strict");
  }
}
