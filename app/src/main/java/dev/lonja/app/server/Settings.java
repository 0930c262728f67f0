package dev.lonja.app.server;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.regex.Pattern;

/** Settings of the server that belong together. */
public final class Settings {

  private Settings() {}

  /** What named proxies say of the visitor is believed, and nobody else's word. */
  public static Map<String, Object> ofProxy(String... addresses) {
    return encrypted(
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
    return encrypted(
        "server.ssl.enabled",
        "true",
        "server.ssl.key-store",
        keystore.toAbsolutePath().toUri().toString(),
        "server.ssl.key-store-type",
        "PKCS12",
        "server.ssl.key-store-password",
        password,
        "server.ssl.enabled-protocols",
        "TLSv1.3,TLSv1.2");
  }

  /** Where the way is encrypted, cookies say by their name that they never went another one. */
  private static Map<String, Object> encrypted(String... namesAndValues) {
    Map<String, Object> settings = new HashMap<>();
    settings.put("server.servlet.session.cookie.name", "__Host-lonja");
    settings.put("server.servlet.session.cookie.secure", true);
    settings.put("server.servlet.session.cookie.path", "/");
    for (int i = 0; i < namesAndValues.length; i += 2) {
      settings.put(namesAndValues[i], namesAndValues[i + 1]);
    }
    return settings;
  }

  /** As the words of a command line, which count before what the application brings along. */
  public static String[] words(Map<String, Object> settings) {
    return settings.entrySet().stream()
        .map(setting -> "--" + setting.getKey() + "=" + setting.getValue())
        .toArray(String[]::new);
  }
}
