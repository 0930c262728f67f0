package dev.lonja.app.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.app.command.LonjaCommand;
import dev.lonja.app.server.LonjaServer;
import dev.lonja.app.server.Visitor;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.person.PersonName;
import dev.lonja.core.person.Role;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.Posting;
import dev.lonja.store.request.RequestLog;
import dev.lonja.store.tray.Tray;
import dev.lonja.store.verification.Verification;
import java.io.IOException;
import java.net.ServerSocket;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Queue;
import java.util.Set;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Tag;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/**
 * A server in a process of its own, killed without warning while several people hand over. What was
 * acknowledged must be in the ledger, and what was not must be there whole or not at all.
 */
class KilledServerTest {

  private static final int TRAYS = 60;
  private static final int PEOPLE = 4;
  private static final int ACKNOWLEDGED_BEFORE_THE_KILL = 12;
  private static final ItemId HOSE_CLIPS = new ItemId(38);
  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  @TempDir private Path folder;
  private final Queue<TrayId> acknowledged = new ConcurrentLinkedQueue<>();

  @Test
  void everyAcknowledgedHandOverSurvivesAndNoneIsHalfDone() throws Exception {
    killAgainAndAgain(1);
  }

  /** On the same store: a server that was killed is followed by one that is as well. */
  @Test
  @Tag("long")
  void andThatTwentyTimes() throws Exception {
    killAgainAndAgain(20);
  }

  private void killAgainAndAgain(int times) throws Exception {
    List<TrayId> trays = prepare(times * TRAYS);
    for (int i = 0; i < times; i++) {
      kill(trays.subList(i * TRAYS, (i + 1) * TRAYS));
      try (LonjaStore store = LonjaStore.open(database())) {
        store.read(
            session -> {
              check(session, trays);
              return true;
            });
      }
    }
  }

  /** Kills a server while people hand these trays over. */
  private void kill(List<TrayId> trays) throws Exception {
    int before = acknowledged.size();
    int port = freePort();
    Process server = start(port);
    ExecutorService people = Executors.newFixedThreadPool(PEOPLE);
    try {
      String url = "http://localhost:" + port;
      await(url);
      for (int i = 0; i < PEOPLE; i++) {
        List<TrayId> own = new ArrayList<>();
        for (int tray = i; tray < trays.size(); tray += PEOPLE) {
          own.add(trays.get(tray));
        }
        people.submit(() -> handOver(url, own));
      }
      Instant limit = Instant.now().plus(Duration.ofMinutes(2));
      while (acknowledged.size() - before < ACKNOWLEDGED_BEFORE_THE_KILL) {
        assertThat(Instant.now()).as("the burst goes on").isBefore(limit);
        Thread.sleep(5);
      }
    } finally {
      server.destroyForcibly().waitFor();
      people.shutdownNow();
      people.awaitTermination(1, TimeUnit.MINUTES);
    }
    assertThat(acknowledged.size() - before).isLessThan(TRAYS);
  }

  private void check(Session session, List<TrayId> trays) {
    assertThat(session.verification().findings()).extracting(Verification.Finding::text).isEmpty();
    for (TrayId id : trays) {
      Tray tray = session.trays().byId(id).orElseThrow();
      List<PastMovement> issues =
          session
              .pastMovements()
              .issuesOf(tray.number())
              .getOrDefault(StockKey.ofNew(HOSE_CLIPS), List.of());
      boolean handedOver = tray.state() == Tray.State.HANDED_OVER;
      assertThat(issues).as(tray.number()).hasSize(handedOver ? 1 : 0);
      assertThat(handedOver || !acknowledged.contains(id))
          .as(tray.number() + " was acknowledged, so it is handed over")
          .isTrue();
    }
  }

  /** Trays for breakdowns with one hose clip each, laid and ready; nobody has to read a meter. */
  private List<TrayId> prepare(int trays) {
    LonjaServer.putExample(folder);
    try (LonjaStore store = LonjaStore.open(database())) {
      return store.write(
          session -> {
            session.settings().set("Boatyard Cage", Currency.getInstance("EUR"), ZoneId.of("UTC"));
            String hash = new BCryptPasswordEncoder(4).encode("a good password");
            session
                .people()
                .setPassword(
                    session.people().add(new PersonName("keeper"), Set.of(Role.ADMINISTRATOR)),
                    hash);
            receiveClips(session, trays);
            List<TrayId> ids = new ArrayList<>();
            for (int i = 0; i < trays; i++) {
              TrayId id =
                  session
                      .trays()
                      .add(Optional.of(new UnitId(1)), TrayPurpose.BREAKDOWN, "Hose " + i, TODAY);
              session
                  .trayLines()
                  .addLine(
                      id,
                      HOSE_CLIPS,
                      "extra",
                      new LineReason.ByHand(""),
                      Quantity.pieces(1),
                      Destination.NONE);
              long line = session.trays().byId(id).orElseThrow().lines().get(0).id();
              session.trayLines().setLaid(line, Quantity.pieces(1));
              ids.add(id);
            }
            return ids;
          });
    }
  }

  private static void receiveClips(Session session, int pieces) {
    var stock = session.ledger().stockOf(HOSE_CLIPS);
    var booking =
        Ledger.receive(
            stock,
            stock.lots().get(0).place(),
            Quantity.pieces(pieces),
            new Money(7_200, stock.value().currency()));
    Instant at = Instant.parse("2027-03-15T08:00:00Z");
    session
        .requests()
        .add("killed-test-1", new RequestLog.Entry("x", ""), "keeper", RequestLog.Times.at(at));
    session
        .ledger()
        .append(
            ((Booking.Booked) booking).lines(),
            new Posting("delivery", "", "killed-test-1", "keeper", at),
            1);
  }

  private void handOver(String url, List<TrayId> trays) {
    Visitor visitor = new Visitor(url);
    visitor.signIn("keeper", "a good password");
    for (TrayId id : trays) {
      Visitor.Page page = visitor.get("/trays/" + id);
      Visitor.Page answer = visitor.submit(page.form("/hand-over"), Map.of("mechanic", "workshop"));
      if (answer.text(".title").contains("to workshop on")) {
        acknowledged.add(id);
      }
    }
  }

  private Process start(int port) throws IOException {
    return new ProcessBuilder(
            Path.of(System.getProperty("java.home"), "bin", "java").toString(),
            "-XX:TieredStopAtLevel=1",
            "-cp",
            System.getProperty("java.class.path"),
            LonjaCommand.class.getName(),
            "serve",
            "--data",
            folder.toString(),
            "--port",
            String.valueOf(port))
        .redirectErrorStream(true)
        .redirectOutput(folder.resolve("server.log").toFile())
        .start();
  }

  private static void await(String url) throws InterruptedException {
    for (int i = 0; i < 600; i++) {
      try {
        if (new Visitor(url).get("/sign-in").status() == 200) {
          return;
        }
      } catch (java.io.UncheckedIOException notYet) {
        Thread.sleep(100);
      }
    }
    throw new AssertionError("the server did not start");
  }

  private Path database() {
    return folder.resolve("lonja.db");
  }

  private static int freePort() throws IOException {
    try (ServerSocket socket = new ServerSocket(0)) {
      return socket.getLocalPort();
    }
  }
}
