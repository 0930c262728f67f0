package dev.lonja.app.command;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.desk.person.FirstStartDesk;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/**
 * A manager sets a store up with five people, loses the disk, and is back with last night's copy,
 * step by step as docs/operations.md has it.
 */
class LostDiskTest {

  private static final String PASSWORD = "four gulls on a mast";
  private static final List<String> PEOPLE = List.of("Ana", "Bruno", "Carla", "Dario", "Elena");

  @TempDir private Path folder;

  @Test
  void fivePeopleAreBackFromTheCopyOfTheOtherDisk() throws Exception {
    Path otherDisk = folder.resolve("other");
    LonjaServer server = LonjaServer.empty(Map.of("lonja.second-backups", otherDisk.toString()));
    server.start();
    Path lost = server.store().file();
    try {
      setUp(server);
      Visitor manager = server.stranger();
      manager.signIn("manager", PASSWORD);
      PEOPLE.forEach(name -> add(server, manager, name));
      manager.submit(manager.get("/setup/backups").form("/setup/backups"), Map.of());
    } finally {
      // the disk is gone, and with it the folder
      server.stop();
    }
    assertThat(lost).doesNotExist();
    Path copy = only(otherDisk);
    Path newDisk = folder.resolve("new");
    assertThat(
            LonjaCommand.commandLine()
                .execute("restore", copy.toString(), "--data", newDisk.toString()))
        .isZero();
    LonjaServer again = LonjaServer.on(newDisk.resolve("lonja.db"));
    again.start();
    try {
      for (String name : PEOPLE) {
        assertThat(again.stranger().signIn(name, PASSWORD + name).path()).isEqualTo("/");
      }
      Visitor manager = again.stranger();
      manager.signIn("manager", PASSWORD);
      assertThat(manager.get("/setup/audit?who=operator").words()).contains("restored");
    } finally {
      again.stop();
    }
  }

  private static Path only(Path folder) throws IOException {
    try (var files = Files.list(folder)) {
      return files.findFirst().orElseThrow();
    }
  }

  private static void setUp(LonjaServer server) {
    Visitor visitor = server.stranger();
    visitor.submit(
        visitor.get("/first-start").form("/first-start"),
        Map.of(
            "setUpCode",
            server.bean(FirstStartDesk.class).code(),
            "storeName",
            "Net Loft",
            "name",
            "manager",
            "password",
            PASSWORD));
  }

  private static void add(LonjaServer server, Visitor manager, String name) {
    Visitor.Page added =
        manager.submit(
            manager.get("/setup/people").form("/setup/people"),
            Map.of("name", name, "roles", "storekeeper"));
    String code = manager.submit(added.form("/code"), Map.of()).text(".notice .text-xl");
    Visitor theirs = server.stranger();
    theirs.submit(
        theirs.get("/new-password").form("/new-password"),
        Map.of("name", name, "oneTimeCode", code, "newPassword", PASSWORD + name));
  }
}
