package dev.lonja.bench;

import dev.lonja.app.demo.DemoStore;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** A storekeeper with a browser. */
final class SignedIn {

  private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");
  private static final int OK = 200;

  private final String base;
  private final HttpClient client =
      HttpClient.newBuilder()
          .cookieHandler(new CookieManager())
          .followRedirects(HttpClient.Redirect.NORMAL)
          .build();

  SignedIn(String base) {
    this.base = base;
    Matcher token = TOKEN.matcher(get("/sign-in"));
    if (!token.find()) {
      throw new IllegalStateException("the sign-in page has no token");
    }
    String form = "name=storekeeper&password=" + DemoStore.PASSWORD + "&_csrf=" + token.group(1);
    send(
        request("/sign-in")
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString(form))
            .build());
  }

  String get(String path) {
    return send(request(path).GET().build());
  }

  private HttpRequest.Builder request(String path) {
    return HttpRequest.newBuilder(URI.create(base + path));
  }

  private String send(HttpRequest request) {
    try {
      HttpResponse<String> answer = client.send(request, HttpResponse.BodyHandlers.ofString());
      if (answer.statusCode() != OK) {
        throw new IllegalStateException(request.uri() + " answers " + answer.statusCode());
      }
      return answer.body();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }
}
