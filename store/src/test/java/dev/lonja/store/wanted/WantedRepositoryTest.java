package dev.lonja.store.wanted;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.core.wanted.Finding;
import dev.lonja.core.wanted.FindingId;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.store.ExampleStore;
import dev.lonja.store.Session;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * WB-2 (unit 2) wants two hose clips (item 38) by 18 March for a cracked hose, and the workshop
 * three packs of rags (item 39) at once.
 */
class WantedRepositoryTest {

  private static final UnitId BOAT = new UnitId(2);
  private static final TaskId FILTER = new TaskId(2);
  private static final ItemId OIL_FILTER = new ItemId(8);
  private static final LocalDate DAY = LocalDate.parse("2027-03-15");
  private static final Instant NOW = Instant.parse("2027-03-15T09:00:00Z");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private List<WantedPart> open() {
    return store.read(session -> session.wanted().open());
  }

  @Test
  void whatIsWantedAtOnceComesFirst() {
    assertThat(open())
        .extracting(WantedPart::itemId)
        .containsExactly(new ItemId(39), new ItemId(38));
    assertThat(open().get(0).unit()).isEmpty();
    assertThat(open().get(0).cause())
        .isEqualTo(new WantedPart.Cause.Asked("workshop", "spring cleaning"));
    assertThat(open().get(1).cause())
        .isEqualTo(
            new WantedPart.Cause.OfFinding(new FindingId(2), "raw water hose cracked at the clip"));
  }

  /** Struck, cleared or bought again: as long as no tray brings it, it is wanted. */
  @Test
  void itIsOpenAgainIfItsLineIsStruckOrItsTrayCleared() {
    WantedPart clips = open().get(1);
    TrayId first = tray("Hose");
    store.write(
        session -> {
          session.wanted().bring(clips.id(), line(session, first, clips).id());
          return true;
        });
    assertThat(open()).extracting(WantedPart::itemId).containsExactly(new ItemId(39));
    store.write(
        session -> {
          session
              .trayLines()
              .removeLine(session.trays().byId(first).orElseThrow().lines().get(0).id());
          return true;
        });
    assertThat(open()).hasSize(2);
    store.write(
        session -> {
          session.wanted().bring(clips.id(), line(session, first, clips).id());
          return session.trays().clear(first, 0);
        });
    assertThat(open()).hasSize(2);
  }

  @Test
  void whatATrayWentOutWithoutNamesItAndItsTask() {
    TrayId tray = service();
    store.write(
        session -> {
          TrayLine line = session.trays().byId(tray).orElseThrow().lines().get(0);
          session.trayLines().setLeftOut(line.id(), Optional.of("none to be had"));
          session.wanted().add(leftOut(line), "storekeeper", NOW);
          return true;
        });
    WantedPart part = store.read(session -> session.wanted().openLeftOutOf(tray)).get(0);
    assertThat(part.cause())
        .isEqualTo(new WantedPart.Cause.LeftOut("T-0001", Optional.of(FILTER), "none to be had"));
    assertThat(part.taskId()).contains(FILTER);
    store.write(
        session -> {
          session.wanted().strikeLeftOutOf(tray);
          return true;
        });
    assertThat(open()).hasSize(2);
  }

  @Test
  void whatLiesOnAnotherTrayIsNamed() {
    TrayId tray = service();
    TrayId next = tray("Filter at last");
    store.write(
        session -> {
          TrayLine line = session.trays().byId(tray).orElseThrow().lines().get(0);
          session.trayLines().setLeftOut(line.id(), Optional.of("none to be had"));
          session.wanted().add(leftOut(line), "storekeeper", NOW);
          WantedPart part = session.wanted().openLeftOutOf(tray).get(0);
          session.wanted().bring(part.id(), line(session, next, part).id());
          return true;
        });
    assertThat(store.<Optional<String>>read(session -> session.wanted().broughtBy(tray)))
        .contains("T-0002");
    assertThat(store.<Optional<String>>read(session -> session.wanted().broughtBy(next))).isEmpty();
  }

  @Test
  void whatWasDroppedIsNotDroppedTwiceNorPutOnATray() {
    WantedPart rags = open().get(0);
    assertThat(store.<Boolean>write(s -> s.wanted().drop(rags.id(), "found some"))).isTrue();
    assertThat(store.<Boolean>write(s -> s.wanted().drop(rags.id(), "found some"))).isFalse();
    assertThat(store.<Optional<WantedPart>>read(s -> s.wanted().open(rags.id()))).isEmpty();
  }

  @Test
  void aFindingIsSettledOnlyAsItWasRead() {
    Finding read = store.read(s -> s.findings().byId(new FindingId(1)).orElseThrow());
    assertThat(read.state()).isEqualTo(Finding.State.WATCHED);
    assertThat(store.<Boolean>write(s -> s.findings().set(read, Finding.State.CLOSED, "dry now")))
        .isTrue();
    assertThat(store.<Boolean>write(s -> s.findings().set(read, Finding.State.OPEN, ""))).isFalse();
    assertThat(store.<List<Finding>>read(s -> s.findings().standing()))
        .extracting(Finding::id)
        .containsExactly(new FindingId(2));
  }

  /**
   * One cause and one only; what is on a tray is not dropped; a watched one says what is watched.
   */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "update wanted_part set asked_why = 'x' where id = 1",
        "update wanted_part set finding_id = null where id = 1",
        "update wanted_part set task_id = 2 where id = 1",
        "update wanted_part set quantity_micro = 0",
        "update finding set why = ''  where id = 1",
        "update finding set why = 'x' where id = 2"
      })
  void halfAWordIsRefused(String change) {
    assertThatThrownBy(() -> store.tamper(change)).hasMessageContaining("CHECK");
  }

  private TrayId tray(String title) {
    return store.write(
        session -> session.trays().add(Optional.of(BOAT), TrayPurpose.BREAKDOWN, title, DAY));
  }

  private TrayId service() {
    return store.write(
        session -> {
          TrayId tray = session.trays().add(BOAT, "Oil", DAY, List.of(FILTER));
          session
              .trayLines()
              .addLine(
                  tray,
                  OIL_FILTER,
                  "Port oil filter",
                  new LineReason.Part(""),
                  Quantity.pieces(1),
                  Destination.NONE,
                  Optional.of(FILTER));
          return tray;
        });
  }

  private static WantedRepository.NewWanted leftOut(TrayLine line) {
    return new WantedRepository.NewWanted(
        Optional.of(BOAT),
        line.itemId(),
        line.wanted(),
        line.place(),
        Destination.NONE,
        Optional.empty(),
        new WantedRepository.Why.LeftOut(line));
  }

  private static TrayLine line(Session session, TrayId tray, WantedPart part) {
    long id =
        session
            .trayLines()
            .addLine(
                tray,
                part.itemId(),
                part.place(),
                new LineReason.Wanted(),
                part.quantity(),
                Destination.NONE);
    return session.trays().byId(tray).orElseThrow().lines().stream()
        .filter(line -> line.id() == id)
        .findFirst()
        .orElseThrow();
  }
}
