package dev.lonja.app;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Rooms of a liveable size: a package that grows beyond this is about more than one thing. */
class RoomsTest {

  private static final int MOST_FILES = 25;

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
}
