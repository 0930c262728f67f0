package dev.lonja.app.command;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.store.StoreFault;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class LateLookTest {

  @TempDir private Path folder;

  private List<StoreFault> found(Path database) throws InterruptedException {
    List<StoreFault> found = new ArrayList<>();
    LateLook.begin(database, found::addAll).join();
    return found;
  }

  @Test
  void onlyADamagedFileIsToldOf() throws Exception {
    LonjaServer.putExample(folder);
    Path database = folder.resolve("lonja.db");
    assertThat(found(database)).isEmpty();
    byte[] bytes = Files.readAllBytes(database);
    Arrays.fill(bytes, bytes.length / 2, bytes.length / 2 + 40_000, (byte) 0x5A);
    Files.write(database, bytes);
    assertThat(found(database)).isNotEmpty().hasOnlyElementsOfType(StoreFault.Damaged.class);
  }
}
