package dev.lonja.bench;

import dev.lonja.app.demo.DemoStore;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.net.HttpURLConnection;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A storekeeper with a browser. It waits for each answer in the thread that asked, since a client
 * with threads of its own would take the processor from the server that is measured.
 */
final class SignedIn {

  private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\"[^>]*value=\"([^\"]+)\"");

  private final String base;
  private final String session;

  SignedIn(String base) {
    this.base = base;
    HttpURLConnection page = open("/sign-in", "");
    Matcher token = TOKEN.matcher(body(page, HttpURLConnection.HTTP_OK));
    if (!token.find()) {
      throw new IllegalStateException("the sign-in page has no token");
    }
    HttpURLConnection form = open("/sign-in", sessionOf(page).orElse(""));
    form.setDoOutput(true);
    form.setInstanceFollowRedirects(false);
    send(form, "name=storekeeper&password=" + DemoStore.PASSWORD + "&_csrf=" + token.group(1));
    body(form, HttpURLConnection.HTTP_MOVED_TEMP);
    this.session = sessionOf(form).orElseThrow();
  }

  String get(String path) {
    return body(open(path, session), HttpURLConnection.HTTP_OK);
  }

  /** What the forms of a page carry so that they are known to come from it. */
  String token(String path) {
    Matcher token = TOKEN.matcher(get(path));
    if (!token.find()) {
      throw new IllegalStateException(path + " has no token");
    }
    return token.group(1);
  }

  /** Sends a form; anything but a way on to the next page is a failure. */
  void post(String path, String form) {
    HttpURLConnection connection = open(path, session);
    connection.setDoOutput(true);
    connection.setInstanceFollowRedirects(false);
    send(connection, form);
    body(connection, HttpURLConnection.HTTP_MOVED_TEMP);
  }

  private HttpURLConnection open(String path, String cookie) {
    try {
      HttpURLConnection connection =
          (HttpURLConnection) URI.create(base + path).toURL().openConnection();
      connection.setRequestProperty("Cookie", cookie);
      return connection;
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static void send(HttpURLConnection connection, String form) {
    try {
      connection.getOutputStream().write(form.getBytes(StandardCharsets.UTF_8));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static String body(HttpURLConnection connection, int expected) {
    try {
      int status = connection.getResponseCode();
      if (status != expected) {
        throw new IllegalStateException(connection.getURL() + " answers " + status);
      }
      try (InputStream body = connection.getInputStream()) {
        return new String(body.readAllBytes(), StandardCharsets.UTF_8);
      }
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private static Optional<String> sessionOf(HttpURLConnection connection) {
    // the device is remembered by another cookie
    return connection.getHeaderFields().getOrDefault("Set-Cookie", List.of()).stream()
        .filter(header -> header.startsWith("lonja="))
        .map(header -> header.substring(0, header.indexOf(';')))
        .findFirst();
  }
}
