package dev.lonja.web.kept;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** What is kept stands in files of its own, and asks for nothing that cannot be hidden from it. */
class PiecesTest {

  private static final Path TEMPLATES = Path.of("src/main/resources/templates");
  private static final Pattern KEPT = Pattern.compile("kept:insert=\"~\\{([^ ]+) ::");
  private static final Pattern OF_THE_REQUEST =
      Pattern.compile("\\b(param|session|application|_csrf)\\b\\s*[.\\[]|\\$\\{[^}]*#");

  private static List<Path> templates() throws IOException {
    try (Stream<Path> files = Files.walk(TEMPLATES)) {
      return files.filter(file -> file.toString().endsWith(".html")).toList();
    }
  }

  private static String text(Path file) {
    try {
      return Files.readString(file);
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  @Test
  void allThatIsKeptStandsAmongThePieces() throws IOException {
    List<String> files =
        templates().stream()
            .flatMap(file -> KEPT.matcher(text(file)).results().map(found -> found.group(1)))
            .toList();
    assertThat(files).isNotEmpty().allMatch(file -> file.endsWith("/pieces"));
  }

  @Test
  void noPieceAsksForWhatIsOfTheRequest() throws IOException {
    assertThat(templates())
        .filteredOn(file -> file.endsWith("pieces.html"))
        .isNotEmpty()
        .noneMatch(file -> OF_THE_REQUEST.matcher(text(file)).find());
  }
}
