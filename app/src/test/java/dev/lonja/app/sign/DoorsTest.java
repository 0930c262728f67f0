package dev.lonja.app.sign;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import java.io.IOException;
import java.io.OutputStream;
import java.net.Socket;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is announced too large, without a length, or by whom it may not come, is never read. */
class DoorsTest {

  @RegisterExtension static final LonjaServer SERVER = LonjaServer.forReading();

  private static final long MEGABYTE = 1 << 20;

  /** Sends only the head of a request and says with which line the server answers. */
  private static String answerToHead(String... head) throws IOException {
    URI server = URI.create(SERVER.url());
    try (Socket socket = new Socket(server.getHost(), server.getPort())) {
      socket.setSoTimeout(10_000);
      OutputStream out = socket.getOutputStream();
      out.write(
          (String.join("\r\n", head) + "\r\nHost: " + server.getAuthority() + "\r\n\r\n")
              .getBytes(StandardCharsets.US_ASCII));
      out.flush();
      return new String(socket.getInputStream().readNBytes(12), StandardCharsets.US_ASCII);
    }
  }

  private static String cookie(String name) {
    return "Cookie: "
        + SERVER.newlySignedInAs(name).cookies().getCookieStore().getCookies().stream()
            .filter(cookie -> cookie.getName().equals("lonja"))
            .findFirst()
            .orElseThrow();
  }

  @ParameterizedTest
  @CsvSource({
    "/sign-in, 66000, 413",
    "/first-start, 9000, 413",
    "/new-password, 9000, 413",
    "/items/1/issue, 2100000, 413",
    "/items/1/picture, 8400000, 413",
    "/find/lists, 68000000, 413",
    "/find/lists, -5, 400",
  })
  void whatIsAnnouncedTooLargeIsNotRead(String path, String length, String status)
      throws IOException {
    assertThat(
            answerToHead(
                "POST " + path + " HTTP/1.1",
                "Content-Type: application/x-www-form-urlencoded",
                "Content-Length: " + length,
                cookie("storekeeper")))
        .isEqualTo("HTTP/1.1 " + status);
  }

  @Test
  void whatHasNoLengthIsNotRead() throws IOException {
    assertThat(
            answerToHead(
                "POST /items/1/issue HTTP/1.1",
                "Content-Type: application/x-www-form-urlencoded",
                "Transfer-Encoding: chunked",
                cookie("storekeeper")))
        .isEqualTo("HTTP/1.1 411");
  }

  /** Neither a stranger nor who may only read sends files, and nobody sends them elsewhere. */
  @ParameterizedTest
  @CsvSource({
    "/find/lists, buyer, 403",
    "/items/1/picture, workshop, 403",
    "/items/1/issue, storekeeper, 415",
  })
  void filesAreReadOnlyOfThoseWhoMaySendThem(String path, String name, String status)
      throws IOException {
    assertThat(
            answerToHead(
                "POST " + path + " HTTP/1.1",
                "Content-Type: multipart/form-data; boundary=x",
                "Content-Length: " + MEGABYTE,
                cookie(name)))
        .isEqualTo("HTTP/1.1 " + status);
  }

  @Test
  void nothingOfARefusedListStays() throws IOException {
    Visitor keeper = SERVER.newlySignedInAs("storekeeper");
    List<Path> before = lists();
    keeper.upload(
        keeper.get("/find/lists").form("/find/lists"),
        java.util.Map.of("source", "catalogue", "saidOn", "2199-01-01"),
        "file",
        "make,number\r\n".getBytes(StandardCharsets.UTF_8));
    assertThat(lists()).isEqualTo(before);
  }

  private static List<Path> lists() throws IOException {
    try (var files = Files.list(Path.of(System.getProperty("java.io.tmpdir")))) {
      return files
          .filter(file -> file.getFileName().toString().startsWith("lonja-list"))
          .sorted()
          .toList();
    }
  }

  /** Where one goes on does not follow a name that the visitor made up. */
  @Test
  void noRedirectFollowsTheHostThatWasSent() throws IOException {
    URI server = URI.create(SERVER.url());
    try (Socket socket = new Socket(server.getHost(), server.getPort())) {
      socket
          .getOutputStream()
          .write(
              "GET /fleet HTTP/1.1\r\nHost: elsewhere.example\r\nX-Forwarded-Host: evil.example\r\nConnection: close\r\n\r\n"
                  .getBytes(StandardCharsets.US_ASCII));
      String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
      assertThat(answer).contains("Location: /sign-in").doesNotContain("example");
    }
  }

  @Test
  void aListForASpreadsheetHoldsNoFormulas() {
    Visitor keeper = SERVER.newlySignedInAs("storekeeper");
    assertThat(keeper.get("/find/lists.csv?spreadsheet=true").response().headers().map())
        .extractingByKey("content-disposition")
        .asString()
        .contains("cross-references-spreadsheet.csv");
    assertThat(keeper.get("/find/lists.csv").response().headers().map())
        .extractingByKey("content-disposition")
        .asString()
        .contains("cross-references.csv");
  }
}
