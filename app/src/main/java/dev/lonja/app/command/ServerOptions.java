package dev.lonja.app.command;

import dev.lonja.app.server.Settings;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.ParameterException;
import picocli.CommandLine.Spec;

/** How the server is reached and what it keeps beside its data. */
final class ServerOptions {

  @Spec(Spec.Target.MIXEE)
  private @Nullable CommandSpec spec;

  @Option(
      names = "--port",
      defaultValue = "8080",
      description = "port to listen on (default: ${DEFAULT-VALUE})")
  private int port;

  @Option(
      names = "--address",
      paramLabel = "ADDRESS",
      description = "address to listen on (default: every one of this machine; demo: this machine)")
  private @Nullable String address;

  @Option(
      names = "--proxy",
      paramLabel = "ADDRESS",
      description =
          "the reverse proxy in front of it, whose word on the visitor's address and on https counts")
  private List<String> proxies = new ArrayList<>();

  @Option(
      names = "--tls-keystore",
      paramLabel = "FILE",
      description = "PKCS #12 file with a key and its certificate, for https without a proxy")
  private @Nullable Path keystore;

  @Option(
      names = "--tls-password-file",
      paramLabel = "FILE",
      description = "file whose first line is the password of the key store")
  private @Nullable Path keystorePassword;

  @Option(
      names = "--second-backups",
      paramLabel = "DIR",
      description = "a second folder for the daily copies, on another disk")
  private @Nullable Path secondBackups;

  @Option(
      names = "--despite-damage",
      description = "starts even if the file of the store is damaged, to look at what is left")
  private boolean despiteDamage;

  int port() {
    return port;
  }

  /** Where it is found from this machine. */
  String url() {
    return (keystore == null ? "http" : "https") + "://localhost:" + port;
  }

  /**
   * As the application reads them.
   *
   * @param usualAddress to listen on if none was named; empty for every one
   */
  Map<String, Object> settings(String usualAddress) {
    Map<String, Object> settings = new HashMap<>();
    settings.put("server.port", port);
    settings.put("lonja.despite-damage", despiteDamage);
    String listening = address == null ? usualAddress : address;
    if (!listening.isEmpty()) {
      settings.put("server.address", listening);
    }
    if (secondBackups != null) {
      settings.put("lonja.second-backups", secondBackups.toString());
    }
    if (!proxies.isEmpty()) {
      settings.putAll(Settings.ofProxy(proxies.toArray(String[]::new)));
    }
    if (keystore != null) {
      settings.putAll(tls(keystore));
    }
    return settings;
  }

  private Map<String, Object> tls(Path store) {
    if (Files.notExists(store)) {
      throw wrong("--tls-keystore is " + store + "; there is no such file");
    }
    return Settings.ofTls(store, password());
  }

  private String password() {
    if (keystorePassword == null) {
      return "";
    }
    try (var lines = Files.lines(keystorePassword)) {
      return lines.findFirst().orElse("");
    } catch (IOException e) {
      throw wrong("--tls-password-file is " + keystorePassword + "; it cannot be read");
    }
  }

  private ParameterException wrong(String words) {
    return new ParameterException(java.util.Objects.requireNonNull(spec).commandLine(), words);
  }
}
