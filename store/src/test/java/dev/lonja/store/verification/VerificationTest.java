package dev.lonja.store.verification;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.item.ItemId;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Stores;
import dev.lonja.store.query.UnitScope;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Breaks the example behind the store's back; the check has to see it. */
class VerificationTest {

  private static final String FREE_MOVEMENTS = "DROP TRIGGER movement_stays";

  @TempDir private Path folder;
  private LonjaStore store;

  @BeforeEach
  void open() {
    store = Stores.example(folder);
  }

  @AfterEach
  void close() {
    store.close();
  }

  @Test
  void theExampleIsSound() {
    assertThat(findings()).isEmpty();
  }

  @Test
  void aKeyThatDoesNotBelongToItsNumber() {
    Stores.tamper(store, "UPDATE part SET number_key = 'X1' WHERE id = 8");
    assertThat(findings()).containsExactly("VM 22-1010 has the key X1");
  }

  /** VM 22-1010 (part 8) replaces part 43; the other way round closes a circle. */
  @Test
  void replacementsInACircle() {
    Stores.tamper(
        store,
        "INSERT INTO statement VALUES (90, 43, 'REPLACES', 8, 'HEARD', '2026-05-01', 6000, '', 'x',"
            + " '2026-05-01T08:00:00Z')");
    assertThat(findings())
        .containsExactlyInAnyOrder(
            "part 8 replaces part 43 in a circle", "part 43 replaces part 8 in a circle");
  }

  /** CH-4 covering CK-4 closes the circle that CK-4 began; eleven months are no year. */
  @Test
  void fluidDataThatDisagree() {
    Stores.tamper(
        store,
        "INSERT INTO reference_change VALUES (1, 'class_covers', 'API CH-4|API CI-4',"
            + " 'API CH-4|API CI-4', 'x', '2027-03-15T08:00:00Z')",
        "DELETE FROM climate_month WHERE id = 7",
        "UPDATE fluid_interval SET fluid_class = 'E99' WHERE id = 1",
        "INSERT INTO sign_off VALUES (1, 1, 5, 8, NULL, 'no', 'me', 'why', 'x',"
            + " '2027-03-15T08:00:00Z')");
    assertThat(findings())
        .containsExactlyInAnyOrder(
            "the temperature year has 11 months, not twelve",
            "API CH-4, API CI-4 cover each other in a circle",
            "row 1 holds while E99, no class, is in",
            "row 1 puts pieces into a compartment",
            "row 1 refers to another variant's compartment");
  }

  /** The schema lets no task be led by one that is itself led, whichever comes first. */
  @Test
  void tasksAreNotLedInAChain() {
    String led =
        "UPDATE task SET with_task_id = %s, every_nth = 2, interval_tenths = NULL,"
            + " interval_months = NULL, first_interval_tenths = NULL, first_interval_months = NULL,"
            + " meter_name = NULL, season_start = NULL, before_lay_up = 0, lead_days = NULL"
            + " WHERE id = %d";
    assertThatThrownBy(() -> Stores.tamper(store, led.formatted("id", 1)))
        .hasMessageContaining("a task that is led leads none");
    Stores.tamper(store, led.formatted("2", 1));
    assertThatThrownBy(() -> Stores.tamper(store, led.formatted("1", 3)))
        .hasMessageContaining("a task that is led leads none");
    assertThatThrownBy(() -> Stores.tamper(store, led.formatted("3", 2)))
        .hasMessageContaining("a task that is led leads none");
  }

  /** The sweeper's meter, 10, was read at 3.1 h last; what is kept of it says 471.1 h. */
  @Test
  void aDigestThatIsNotWhatTheReadingsComeDownTo() {
    store.read(
        session ->
            session
                .meterDigests()
                .of(
                    session.fleet().meters(UnitScope.ALL),
                    session.fleet().calendars(UnitScope.ALL)));
    store.keepDigests();
    assertThat(findings()).isEmpty();
    Stores.tamper(store, "UPDATE meter_digest SET last_shown_tenths = 4711 WHERE meter_id = 10");
    assertThat(findings())
        .containsExactly("what is kept of meter 10 is not what its readings come down to");
  }

  @Test
  void stockThatNoMovementAccountsFor() {
    Stores.tamper(store, "INSERT INTO stock VALUES (8, 8, 2, 1000000)");
    assertThat(findings()).containsExactly("there is stock that no movement accounts for");
  }

  /** Its five pieces came for 94.50 EUR. */
  @Test
  void worthThatNoMovementAccountsFor() {
    Stores.tamper(store, "UPDATE lot_worth SET value_minor = 9451 WHERE lot_id = 8");
    assertThat(findings())
        .containsExactly("what is kept of lot 8 is not what its movements are worth");
    Stores.tamper(store, "DELETE FROM lot_worth WHERE lot_id = 8");
    assertThat(findings())
        .containsExactly("what is kept of lot 8 is not what its movements are worth");
  }

  @Test
  void aMovementChangedLater() {
    Stores.tamper(
        store, FREE_MOVEMENTS, "UPDATE movement SET quantity_micro = 4500000 WHERE item_id = 8");
    assertThat(findings())
        .contains("lot 8 adds up to 4500000, not to its stock", "movement 8 moves part of a piece");
  }

  @Test
  void valueLeftBehindWhenNothingIsOnHand() {
    Stores.tamper(
        store,
        "INSERT INTO movement VALUES (900, 8, 8, 1, 'ISSUE', -5000000, -9000, 0, '', '', NULL,"
            + " 'cage-open-001', 2, 'me', '2027-03-15T08:00:00Z')");
    assertThat(findings()).containsExactly("after movement 900 the item is worth 450 minor");
  }

  @Test
  void moreComingBackThanWentOut() {
    String line = "VALUES (%d, 1, 1, 11, 'RETURN', 9000000, 0, 0, '', '', %d, 'cage-open-001', %d,";
    String who = " 'me', '2027-03-15T08:00:00Z')";
    long issue = store.read(session -> session.ledger().latest(new ItemId(1), 1)).get(0).id();
    Stores.tamper(
        store,
        "INSERT INTO movement " + String.format(line, 901, issue, 2) + who,
        "INSERT INTO movement " + String.format(line, 902, issue, 3) + who);
    assertThat(findings()).containsExactly("more than movement " + issue + " came back");
  }

  @Test
  void anotherItemsLotAndPartsOfAnotherVariant() {
    Stores.tamper(
        store,
        FREE_MOVEMENTS,
        "UPDATE movement SET item_id = 9 WHERE id = 8",
        "UPDATE task SET compartment_id = 5 WHERE id = 1",
        "UPDATE deviation SET compartment_id = 7 WHERE id = 1",
        "DELETE FROM meter WHERE id = 11",
        "INSERT INTO tray VALUES (2, 'T-0002', 1, NULL, 'SERVICE', 'x', '2027-03-15', 'OPEN', NULL, NULL,"
            + " NULL, 0)",
        "INSERT INTO tray VALUES (3, 'T-0003', 1, NULL, 'LEAK', 'x', '2027-03-15', 'OPEN', NULL, NULL,"
            + " NULL, 0)",
        "INSERT INTO tray_task VALUES (2, 3, 1, NULL, '', NULL)",
        "INSERT INTO tray_line (tray_id, item_id, place, reason, wanted_micro, position_id)"
            + " VALUES (3, 8, 'filter', 'BY_HAND', 1000000, 13)",
        "UPDATE wanted_part SET unit_id = 1 WHERE id = 1",
        "UPDATE finding SET tray_id = 3 WHERE id = 2",
        "INSERT INTO tray VALUES (1, 'T-0001', 1, NULL, 'SERVICE', 'x', '2027-03-15', 'OPEN', NULL, NULL, NULL, 0)",
        "INSERT INTO tray_task VALUES (1, 1, 20, NULL, '', NULL)");
    assertThat(findings())
        .contains(
            "movement 8 moves another item's lot",
            "task 1 refers to another variant's compartment",
            "deviation 1 refers to another variant's compartment",
            "AT-9 has no meter called road",
            "T-0001 refers to another variant's task",
            "T-0002 is for a service and serves no task",
            "T-0003 is for no service and serves a task",
            "T-0003 refers to another variant's position",
            "row 1 is for another unit",
            "row 2 is of another unit's tray");
  }

  private List<String> findings() {
    return store.read(session -> session.verification().findings()).stream()
        .map(Verification.Finding::text)
        .toList();
  }
}
