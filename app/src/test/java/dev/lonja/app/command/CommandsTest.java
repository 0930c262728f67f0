package dev.lonja.app.command;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.store.LonjaStore;
import dev.lonja.store.PendingLines;
import dev.lonja.store.StoreLock;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.store.audit.Deed;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.zip.GZIPInputStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The command line on the shipped example, which the demo's code has never seen. */
class CommandsTest {

  private static final String EXAMPLE = Path.of("..", "examples", "boatyard-cage").toString();

  @TempDir private Path folder;
  private String printed = "";

  /**
   * By hand: PW-1 and SW-1 were never serviced, their first oil change was due at 5 h, so both fall
   * due today: (0.6 + 1.1) L × 1.02 = 1.734 L of BS 1030-1 in week 11. SW-1 then runs 1.1 h a day
   * from 96.2 h on 22 February: 119.3 h today; 50 h later, after 46 days, it is 30 April, week 17:
   * 1.1 L × 1.02.
   */
  @Test
  void importAndForecastOfAStoreTheCodeHasNotSeen() {
    assertThat(run("import", EXAMPLE, "--data", data())).isZero();
    assertThat(
            run(
                "forecast",
                "--weeks",
                "26",
                "--format",
                "csv",
                "--today",
                "2027-03-15",
                "--data",
                data()))
        .isZero();
    assertThat(printed.lines())
        .startsWith(
            "make,number,week,quantity,unit",
            "Maretta,BS 1030-1,2027-W11,1.734,L",
            "Maretta,BS 1030-1,2027-W17,1.122,L")
        .contains("Osmere,OS 118,2027-W11,1,pc")
        .allMatch(line -> line.split(",").length == 5);
  }

  @Test
  void exportGivesBackWhatWasImported() throws IOException {
    run("import", EXAMPLE, "--data", data());
    Path out = folder.resolve("out");
    assertThat(run("export", out.toString(), "--data", data())).isZero();
    try (var files = Files.list(Path.of(EXAMPLE))) {
      for (Path file : files.toList()) {
        assertThat(out.resolve(file.getFileName())).hasSameBinaryContentAs(file);
      }
    }
  }

  @Test
  void aRefusedImportSaysWhyAndLeavesNothing() throws IOException {
    Path broken = Files.createDirectory(folder.resolve("broken"));
    Files.writeString(
        broken.resolve("bins.csv"), "id,address,walk_order,satellite_id\r\n1,,x,\r\n");
    assertThat(run("import", broken.toString(), "--data", data())).isEqualTo(1);
    assertThat(printed)
        .contains("bins.csv line 2, column address: \"\"; allowed is text of 1 to 12 characters")
        .contains("items.csv: \"missing file\"")
        .contains("97 problems; nothing was changed");
    assertThat(Path.of(data(), "lonja.db")).doesNotExist();
  }

  @Test
  void aSecondImportNeedsToBeAskedFor() {
    run("import", EXAMPLE, "--data", data());
    assertThat(run("import", EXAMPLE, "--data", data())).isEqualTo(1);
    assertThat(printed).contains("a store that is there already", "--replace");
    assertThat(run("import", EXAMPLE, "--replace", "--data", data())).isZero();
  }

  @Test
  void backupVerifyAndRestore() {
    String backup = folder.resolve("copy.db").toString();
    run("import", EXAMPLE, "--data", data());
    assertThat(run("verify", "--data", data())).isZero();
    assertThat(printed).contains("The store is sound");
    assertThat(run("backup", backup, "--data", data())).isZero();
    assertThat(run("backup", backup, "--data", data())).isEqualTo(1);
    assertThat(printed).contains("is there already");
    assertThat(run("restore", backup, "--data", data())).isZero();
    assertThat(run("restore", EXAMPLE, "--data", data())).isEqualTo(1);
    assertThat(printed).contains("is not a backup of a store", "nothing was changed");
  }

  /** What changes the folder is refused while a server has it; what only reads is not. */
  @Test
  void whileAServerHoldsTheFolderItIsOnlyRead() {
    String backup = folder.resolve("copy.db").toString();
    run("import", EXAMPLE, "--data", data());
    StoreLock server = StoreLock.take(Path.of(data()), "server");
    try (LonjaStore store = LonjaStore.open(Path.of(data(), "lonja.db"))) {
      assertThat(run("backup", backup, "--data", data())).isZero();
      assertThat(run("verify", "--data", data())).isZero();
      assertThat(run("export", folder.resolve("out").toString(), "--data", data())).isZero();
      for (String[] words :
          new String[][] {
            {"restore", backup, "--data", data()},
            {"import", EXAMPLE, "--replace", "--data", data()},
            {"demo", "--data", data()}
          }) {
        assertThat(run(words)).as(words[0]).isEqualTo(1);
        assertThat(printed).contains("is in use by another Lonja (server, process");
      }
      PendingLines.take(Path.of(data()), store);
      assertThat(
              store.<List<AuditLog.Numbered>>read(
                  session ->
                      session
                          .audit()
                          .search(
                              new AuditLog.Filter(
                                  "operator",
                                  Optional.empty(),
                                  Optional.empty(),
                                  Optional.empty(),
                                  Optional.empty()),
                              Optional.empty(),
                              9)))
          .extracting(line -> line.line().deed())
          .containsExactly(Deed.EXPORTED, Deed.BACKED_UP);
    } finally {
      server.close();
    }
  }

  @Test
  void aDamagedStoreIsNamedWithWhatToDo() throws IOException {
    run("import", EXAMPLE, "--data", data());
    Path database = Path.of(data(), "lonja.db");
    byte[] bytes = Files.readAllBytes(database);
    // the middle of the file, as a disk might lose it
    java.util.Arrays.fill(bytes, bytes.length / 2, bytes.length / 2 + 40_000, (byte) 0x5A);
    Files.write(database, bytes);
    assertThat(run("verify", "--data", data())).isEqualTo(1);
    assertThat(printed).contains("is damaged").contains("./lonja restore");
    assertThat(Files.readAllBytes(database)).isEqualTo(bytes);
    assertThat(run("serve", "--data", data(), "--port", "0")).isEqualTo(1);
    assertThat(printed).contains("is damaged").contains("There is no copy beside it");
  }

  @Test
  void wrongWordsAreNamed() {
    assertThat(run("forecast", "--data", data())).isEqualTo(1);
    assertThat(printed).contains("there is no store in");
    for (String command : new String[] {"verify", "export x", "backup y.db"}) {
      String[] words = (command + " --data " + folder.resolve("nowhere")).split(" ");
      assertThat(run(words)).as(command).isEqualTo(1);
      assertThat(printed).contains("there is no store in");
    }
    run("import", EXAMPLE, "--data", data());
    assertThat(run("forecast", "--weeks", "0", "--data", data())).isEqualTo(2);
    assertThat(printed).contains("--weeks is 0; allowed is 1 to 208");
    assertThat(run("forecast", "--format", "xml", "--data", data())).isEqualTo(2);
    assertThat(run("forecast", "--today", "tomorrow", "--data", data())).isEqualTo(2);
    assertThat(run("fly")).isEqualTo(2);
    assertThat(folder.resolve("nowhere")).doesNotExist();
  }

  private String data() {
    return folder.resolve("data").toString();
  }

  private int run(String... words) {
    PrintStream out = System.out;
    PrintStream err = System.err;
    ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    PrintStream both = new PrintStream(bytes, true, StandardCharsets.UTF_8);
    System.setOut(both);
    System.setErr(both);
    try {
      return LonjaCommand.commandLine().execute(words);
    } finally {
      System.setOut(out);
      System.setErr(err);
      printed = bytes.toString(StandardCharsets.UTF_8);
    }
  }

  /** It is looked through as it is, and says what comes first; reading it writes nothing. */
  @Test
  void aStoreOfAnEarlierVersionIsBroughtUpFirst() throws IOException {
    Path database = folder.resolve("data").resolve("lonja.db");
    Files.createDirectories(database.getParent());
    try (InputStream packed =
        new GZIPInputStream(
            Files.newInputStream(
                Path.of(
                    "..",
                    "store",
                    "src",
                    "test",
                    "resources",
                    "dev",
                    "lonja",
                    "store",
                    "released",
                    "v1.db.gz")))) {
      Files.copy(packed, database);
    }
    assertThat(run("verify", "--data", data())).isZero();
    assertThat(run("export", folder.resolve("out").toString(), "--data", data())).isNotZero();
    assertThat(printed)
        .contains("was written by an earlier version of Lonja; start it with ./lonja serve")
        .doesNotContain("./lonja restore");
    assertThat(folder.resolve("out")).doesNotExist();
  }
}
