package dev.lonja.store.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.store.StoreFiles;
import dev.lonja.store.Stores;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ZipImportTest {

  private static final byte[] ZEROES = new byte[1 << 20];

  @TempDir private Path folder;
  private boolean accepted;

  @AfterEach
  void onlyWhatIsAcceptedIsStored() {
    assertThat(Files.exists(folder.resolve("lonja.db"))).isEqualTo(accepted);
    assertThat(folder.getParent().resolve("outside.csv")).doesNotExist();
  }

  @Test
  void aZipOfTheFilesIsAsGoodAsTheFolder() throws IOException {
    Path zip = folder.resolve("store.zip");
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip));
        var files = Files.list(Stores.EXAMPLE)) {
      for (Path file : files.toList()) {
        out.putNextEntry(new ZipEntry(file.getFileName().toString()));
        Files.copy(file, out);
      }
    }
    accepted = true;
    assertThat(load(zip)).isEmpty();
  }

  /** 128 MB of zeroes pack to some 128 KB; unpacking stops at 200 times the zip's size. */
  @Test
  void aZipThatUnpacksToAThousandTimesItsSizeIsRefused() throws IOException {
    Path zip = folder.resolve("bomb.zip");
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
      out.putNextEntry(new ZipEntry("items.csv"));
      for (int i = 0; i < 128; i++) {
        out.write(ZEROES);
      }
    }
    assertThat(load(zip)).singleElement().asString().contains("items.csv", "unpacks to more than");
  }

  @Test
  void aZipThatReachesOutsideIsRefused() throws IOException {
    assertThat(load(zipWith("../outside.csv")))
        .containsExactly(
            "../outside.csv: \"../outside.csv\"; allowed is a plain file name such as items.csv");
    assertThat(load(zipWith("/outside.csv"))).hasSize(1);
    assertThat(load(zipWith("a\\outside.csv"))).hasSize(1);
  }

  @Test
  void tooManyFilesAreRefused() throws IOException {
    Path zip = folder.resolve("many.zip");
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
      for (int i = 0; i < 129; i++) {
        out.putNextEntry(new ZipEntry("a" + "b".repeat(i % 30) + "c".repeat(i / 30) + ".csv"));
      }
    }
    assertThat(load(zip)).singleElement().asString().contains("129 files", "at most 128");
  }

  @Test
  void whatIsNoZipIsRefused() throws IOException {
    Path text = Files.writeString(folder.resolve("store.zip"), "not a zip");
    assertThat(load(text)).singleElement().asString().contains("not a zip, or empty");
    assertThat(load(folder.resolve("nowhere")))
        .singleElement()
        .asString()
        .contains("nothing there");
  }

  private Path zipWith(String name) throws IOException {
    Path zip = folder.resolve("evil.zip");
    try (ZipOutputStream out = new ZipOutputStream(Files.newOutputStream(zip))) {
      out.putNextEntry(new ZipEntry(name));
      out.write('x');
    }
    return zip;
  }

  private List<String> load(Path source) {
    return StoreFiles.load(source, folder.resolve("lonja.db"), false, session -> {}).stream()
        .map(ExchangeProblem::display)
        .toList();
  }
}
