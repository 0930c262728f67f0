package dev.lonja.app.server;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;
import org.jsoup.Jsoup;
import org.jsoup.nodes.Document;
import org.jsoup.nodes.Element;
import org.jsoup.nodes.FormElement;

/** Someone who asks for pages and sends their forms over HTTP, with cookies. */
public final class Visitor {

  private final String base;
  private final CookieManager cookies;
  private final HttpClient client;

  /** What came back, after redirects. */
  public record Page(int status, String path, HttpResponse<String> response, Document document) {

    /** The words of the page, without its frame. */
    public String words() {
      Element main = document.selectFirst("main");
      return main == null ? document.text() : main.text();
    }

    public String text(String css) {
      return document.select(css).text();
    }

    /** The form that goes to a path ending so; a page without it fails the test. */
    public FormElement form(String actionEnd) {
      return (FormElement)
          document.select("form").stream()
              .filter(form -> form.attr("action").endsWith(actionEnd))
              .findFirst()
              .orElseThrow(() -> new AssertionError("no form to …" + actionEnd + " on " + path));
    }

    public boolean hasForm(String actionEnd) {
      return document.select("form").stream()
          .anyMatch(form -> form.attr("action").endsWith(actionEnd));
    }
  }

  private boolean saysWhere;

  public Visitor(String base) {
    this(base, new CookieManager());
  }

  /**
   * @param cookies kept from here on, and maybe shared with others
   */
  Visitor(String base, CookieManager cookies) {
    this.base = base;
    this.cookies = cookies;
    this.client =
        HttpClient.newBuilder()
            .cookieHandler(cookies)
            .followRedirects(HttpClient.Redirect.NORMAL)
            .build();
  }

  /** From now on the visitor says with each request that it comes from a page of this site. */
  public Visitor fromHere() {
    saysWhere = true;
    return this;
  }

  public Page get(String path) {
    return send(request(path).GET().build());
  }

  /** What a page or its worker asks for by itself: anything, not a page. */
  public Page ask(String path) {
    return send(request(path).setHeader("Accept", "*/*").GET().build());
  }

  /** Fills a form's fields, the rest as the page shows them, and sends it. */
  public Page submit(FormElement form, Map<String, String> typed) {
    return post(form.attr("action"), filled(form, typed));
  }

  /** What a form sends when these fields are typed. */
  public static Map<String, String> filled(FormElement form, Map<String, String> typed) {
    Map<String, String> fields = new LinkedHashMap<>();
    form.formData().forEach(field -> fields.put(field.key(), field.value()));
    fields.putAll(typed);
    return fields;
  }

  public Page post(String path, Map<String, String> fields) {
    return send(
        request(path)
            .header("Content-Type", "application/x-www-form-urlencoded")
            .POST(HttpRequest.BodyPublishers.ofString(query(fields)))
            .build());
  }

  /** Sends a form that was filled in without a network, so long ago. */
  public Page postLater(FormElement form, Map<String, String> typed, String secondsAgo) {
    return send(
        request(form.attr("action"))
            .header("Content-Type", "application/x-www-form-urlencoded")
            .header("Lonja-Seconds-Ago", secondsAgo)
            .POST(HttpRequest.BodyPublishers.ofString(query(filled(form, typed))))
            .build());
  }

  /** Fields as an address or a form carries them. */
  public static String query(Map<String, String> fields) {
    return fields.entrySet().stream()
        .map(field -> encode(field.getKey()) + "=" + encode(field.getValue()))
        .collect(Collectors.joining("&"));
  }

  /** Fills a form's fields and sends a file along, as a browser does. */
  public Page upload(FormElement form, Map<String, String> typed, String field, byte[] content) {
    String boundary = "lonja-test-boundary";
    ByteArrayOutputStream body = new ByteArrayOutputStream();
    Map<String, String> fields = filled(form, typed);
    fields.remove(field);
    fields.forEach(
        (name, value) ->
            part(
                body,
                boundary,
                "form-data; name=\"" + name + "\"",
                value.getBytes(StandardCharsets.UTF_8)));
    part(body, boundary, "form-data; name=\"" + field + "\"; filename=\"file\"", content);
    body.writeBytes(("--" + boundary + "--\r\n").getBytes(StandardCharsets.UTF_8));
    return send(
        request(form.attr("action"))
            .header("Content-Type", "multipart/form-data; boundary=" + boundary)
            .POST(HttpRequest.BodyPublishers.ofByteArray(body.toByteArray()))
            .build());
  }

  private static void part(
      ByteArrayOutputStream body, String boundary, String disposition, byte[] content) {
    String head = "--" + boundary + "\r\nContent-Disposition: " + disposition + "\r\n\r\n";
    body.writeBytes(head.getBytes(StandardCharsets.UTF_8));
    body.writeBytes(content);
    body.writeBytes("\r\n".getBytes(StandardCharsets.UTF_8));
  }

  public Page signIn(String name, String password) {
    Page page = get("/sign-in");
    return submit(page.form("/sign-in"), Map.of("name", name, "password", password));
  }

  public CookieManager cookies() {
    return cookies;
  }

  /** What a path answers, byte by byte. */
  public byte[] bytes(String path) {
    try {
      return client
          .send(request(path).GET().build(), HttpResponse.BodyHandlers.ofByteArray())
          .body();
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private HttpRequest.Builder request(String path) {
    HttpRequest.Builder request =
        HttpRequest.newBuilder(URI.create(base + path)).header("Accept", "text/html");
    return saysWhere ? request.header("Sec-Fetch-Site", "same-origin") : request;
  }

  private Page send(HttpRequest request) {
    try {
      HttpResponse<String> response =
          client.send(request, HttpResponse.BodyHandlers.ofString(StandardCharsets.UTF_8));
      URI end = response.uri();
      String path = end.getPath() + (end.getQuery() == null ? "" : "?" + end.getQuery());
      Document document = Jsoup.parse(response.body(), base);
      return new Page(response.statusCode(), path, response, document);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new IllegalStateException(e);
    }
  }

  private static String encode(String text) {
    return URLEncoder.encode(text, StandardCharsets.UTF_8);
  }
}
