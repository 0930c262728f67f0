package dev.lonja.app.house;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Rooms of a liveable size: a package that grows beyond this is about more than one thing. */
class RoomsTest {

  private static final int MOST_FILES = 25;
  private static final int LONGEST_LINE = 160;

  @ParameterizedTest
  @ValueSource(strings = {"core", "store", "desk", "web", "app", "bench"})
  void noRoomHoldsTooMuch(String module) throws IOException {
    Map<String, Long> rooms;
    try (Stream<Path> files = Files.walk(Path.of("..", module, "src", "main", "java"))) {
      rooms =
          files
              .filter(file -> file.toString().endsWith(".java"))
              .filter(file -> !file.endsWith("package-info.java"))
              .collect(Collectors.groupingBy(f -> f.getParent().toString(), Collectors.counting()));
    }
    List<String> full =
        rooms.entrySet().stream()
            .filter(room -> room.getValue() > MOST_FILES)
            .map(room -> room.getKey() + " " + room.getValue())
            .toList();
    assertThat(rooms).isNotEmpty();
    assertThat(full).isEmpty();
  }

  /** Templates lie in rooms too, and a line of one is read without scrolling. */
  @Test
  void templatesLieInRoomsAndKeepTheirLinesShort() throws IOException {
    Path templates = Path.of("..", "web", "src", "main", "resources", "templates");
    List<String> wrong = new ArrayList<>();
    try (Stream<Path> files = Files.walk(templates)) {
      for (Path file : files.filter(f -> f.toString().endsWith(".html")).toList()) {
        Path name = templates.relativize(file);
        if (name.getNameCount() == 1 && !name.endsWith("error.html")) {
          wrong.add(name + " is in no room");
        }
        List<String> lines = Files.readAllLines(file);
        for (int i = 0; i < lines.size(); i++) {
          if (lines.get(i).length() > LONGEST_LINE) {
            wrong.add(name + " line " + (i + 1));
          }
        }
      }
    }
    assertThat(wrong).isEmpty();
  }
}
