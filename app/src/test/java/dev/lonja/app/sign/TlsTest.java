package dev.lonja.app.sign;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Settings;
import java.io.IOException;
import java.io.InputStream;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.KeyStore;
import javax.net.ssl.SSLContext;
import javax.net.ssl.TrustManagerFactory;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Lonja's own TLS, with a key that the JDK's tool makes. */
class TlsTest {

  private static final String PASSWORD = "of the key store";
  private static final Path KEYS = keys();

  @RegisterExtension
  static final LonjaServer SERVER = LonjaServer.withDemo(Settings.ofTls(KEYS, PASSWORD));

  private static Path keys() {
    try {
      Path file = Files.createTempDirectory("lonja-tls").resolve("keys.p12");
      Process made =
          new ProcessBuilder(
                  Path.of(System.getProperty("java.home"), "bin", "keytool").toString(),
                  "-genkeypair",
                  "-alias",
                  "lonja",
                  "-keyalg",
                  "EC",
                  "-dname",
                  "CN=localhost",
                  "-ext",
                  "SAN=dns:localhost",
                  "-storetype",
                  "PKCS12",
                  "-keystore",
                  file.toString(),
                  "-storepass",
                  PASSWORD)
              .inheritIO()
              .start();
      assertThat(made.waitFor()).isZero();
      return file;
    } catch (IOException | InterruptedException e) {
      throw new IllegalStateException(e);
    }
  }

  private static SSLContext trusting() throws Exception {
    KeyStore keys = KeyStore.getInstance("PKCS12");
    try (InputStream in = Files.newInputStream(KEYS)) {
      keys.load(in, PASSWORD.toCharArray());
    }
    KeyStore trusted = KeyStore.getInstance("PKCS12");
    trusted.load(null, null);
    trusted.setCertificateEntry("lonja", keys.getCertificate("lonja"));
    TrustManagerFactory trust =
        TrustManagerFactory.getInstance(TrustManagerFactory.getDefaultAlgorithm());
    trust.init(trusted);
    SSLContext context = SSLContext.getInstance("TLS");
    context.init(null, trust.getTrustManagers(), null);
    return context;
  }

  @Test
  void theDoorIsEncryptedAndItsCookiesAreForThatOnly() throws Exception {
    HttpResponse<String> answer =
        HttpClient.newBuilder()
            .sslContext(trusting())
            .build()
            .send(
                HttpRequest.newBuilder(
                        URI.create(SERVER.url().replace("http:", "https:") + "/sign-in"))
                    .build(),
                HttpResponse.BodyHandlers.ofString());
    assertThat(answer.statusCode()).isEqualTo(200);
    assertThat(answer.headers().firstValue("Strict-Transport-Security")).isPresent();
    assertThat(answer.headers().firstValue("Set-Cookie").orElseThrow())
        .contains("__Host-lonja=", "Secure");
  }
}
