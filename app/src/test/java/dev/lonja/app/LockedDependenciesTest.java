package dev.lonja.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What is shipped is what was looked at: each library of the bill of materials stands in {@code
 * dependencies.lock} with its checksum. After a change that is wanted, copy the file that this test
 * writes under {@code target} over it and look at the difference.
 */
class LockedDependenciesTest {

  private static final String BILL = "/META-INF/sbom/application.cdx.json";
  private static final Path LOCK = Path.of("dependencies.lock");

  /** By group, name and version, the SHA-256 of each library. */
  private static Map<String, String> shipped() throws IOException {
    Map<String, String> shipped = new TreeMap<>();
    try (InputStream bill = LonjaApplication.class.getResourceAsStream(BILL)) {
      JsonNode components = JsonMapper.builder().build().readTree(bill).get("components");
      for (JsonNode component : components) {
        String group = component.path("group").asString("");
        if (!group.equals("dev.lonja")) {
          shipped.put(
              group
                  + ":"
                  + component.get("name").asString()
                  + ":"
                  + component.get("version").asString(),
              sha256(component));
        }
      }
    }
    return shipped;
  }

  private static String sha256(JsonNode component) {
    for (JsonNode hash : component.path("hashes")) {
      if (hash.get("alg").asString().equals("SHA-256")) {
        return hash.get("content").asString();
      }
    }
    throw new AssertionError("no checksum of " + component);
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
