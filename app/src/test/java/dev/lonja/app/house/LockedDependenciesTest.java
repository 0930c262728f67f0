package dev.lonja.app.house;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/**
 * What is shipped is what was looked at: each library that Maven puts into the jar stands in {@code
 * dependencies.lock} with its checksum. After a change that is wanted, copy the file that this test
 * writes under {@code target} over it and look at the difference.
 */
class LockedDependenciesTest {

  private static final Path SHIPPED = Path.of("target", "shipped.txt");
  private static final Path LOCK = Path.of("dependencies.lock");

  /** "group:name:jar:version:scope:file -- module …", a classifier behind "jar" if there is one. */
  private static final Pattern LIBRARY =
      Pattern.compile(
          "\\s+([^:]+):([^:]+):jar:(?:[^:]+:)?([^:]+):(?:compile|runtime):(.+?\\.jar)(?: -- .*)?");

  /** By group, name and version, the SHA-256 of each library. */
  private static Map<String, String> shipped() throws IOException {
    Map<String, String> shipped = new TreeMap<>();
    for (String line : Files.readAllLines(SHIPPED)) {
      Matcher library = LIBRARY.matcher(line);
      if (library.matches()) {
        shipped.put(
            library.group(1) + ":" + library.group(2) + ":" + library.group(3),
            sha256(Path.of(library.group(4))));
      }
    }
    return shipped;
  }

  private static String sha256(Path file) throws IOException {
    try {
      MessageDigest digest = MessageDigest.getInstance("SHA-256");
      return HexFormat.of().formatHex(digest.digest(Files.readAllBytes(file)));
    } catch (NoSuchAlgorithmException e) {
      throw new IllegalStateException(e);
    }
  }

  @Test
  void everyLibraryIsLocked() throws IOException {
    Map<String, String> shipped = shipped();
    StringBuilder lines = new StringBuilder();
    shipped.forEach((name, sum) -> lines.append(name).append(' ').append(sum).append('\n'));
    Files.writeString(Path.of("target", "dependencies.lock"), lines);
    assertThat(shipped).hasSizeGreaterThan(60);
    assertThat(Files.readAllLines(LOCK))
        .containsExactlyElementsOf(lines.toString().lines().toList());
  }
}
