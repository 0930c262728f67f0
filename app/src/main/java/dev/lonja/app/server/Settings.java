package dev.lonja.app.server;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.Map;
import java.util.regex.Pattern;

/** Settings of the server that belong together. */
public final class Settings {

  private Settings() {}

  /** What named proxies say of the visitor is believed, and nobody else's word. */
  public static Map<String, Object> ofProxy(String... addresses) {
    return Map.of(
        "server.forward-headers-strategy",
        "native",
        "server.tomcat.remoteip.remote-ip-header",
        "x-forwarded-for",
        "server.tomcat.remoteip.protocol-header",
        "x-forwarded-proto",
        "server.tomcat.remoteip.internal-proxies",
        String.join("|", Arrays.stream(addresses).map(Pattern::quote).toList()));
  }

  /** TLS by a key and its certificate in a PKCS #12 file. */
  public static Map<String, Object> ofTls(Path keystore, String password) {
    return Map.of(
        "server.ssl.enabled",
        true,
        "server.ssl.key-store",
        keystore.toAbsolutePath().toUri().toString(),
        "server.ssl.key-store-type",
        "PKCS12",
        "server.ssl.key-store-password",
        password,
        "server.ssl.enabled-protocols",
        "TLSv1.3,TLSv1.2");
  }
}
