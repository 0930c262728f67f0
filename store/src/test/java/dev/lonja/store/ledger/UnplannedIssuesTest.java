package dev.lonja.store.ledger;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.UnplannedUse;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Booking;
import dev.lonja.core.ledger.ItemStock;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.core.pour.NewTopUp;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.quantity.Volume;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.store.ExampleStore;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/**
 * The example's item 5, of which 15 L came on 1 December 2026, looked back on from Monday 15 March
 * 2027: 26 whole weeks, the last of which begins on 8 March.
 */
class UnplannedIssuesTest {

  private static final ItemId OIL = new ItemId(5);
  private static final Place SLIPWAY = Place.of(new SatelliteId(1));
  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private void book(String day, String reference, Function<ItemStock, Booking> rule) {
    store.book(OIL, reference, Instant.parse(day + "T10:00:00Z"), rule);
  }

  private void issue(String day, String reference, String litres) {
    book(
        day,
        reference,
        stock -> Ledger.issue(stock, Quantity.litres(litres), Quantity.litres("0"), TODAY));
  }

  private long latest() {
    return store.read(session -> session.ledger().latest(OIL, 1)).get(0).id();
  }

  private List<UnplannedUse> uses() {
    return store.read(session -> session.unplanned().uses(TODAY));
  }

  private static List<String> used(UnplannedUse use) {
    return use.weeks().stream().map(Quantity::exactText).toList();
  }

  /**
   * Three trays for top-ups took 1 L each; what of it is on the machine's record has a use of its
   * own, until that is withdrawn.
   */
  @Test
  void whatATrayToppedUpCountsAsThat() {
    TrayId[] trays = new TrayId[3];
    for (int i = 0; i < trays.length; i++) {
      trays[i] = topUp();
      String number = number(trays[i]);
      issue("2027-03-0" + (i + 1), number, "1");
    }
    assertThat(issued()).isEqualTo(3);
    store.change(
        s ->
            s.pours()
                .addTopUp(
                    new UnitId(1),
                    new NewTopUp(
                        new CompartmentId(2),
                        OIL,
                        Volume.ofLitres("1"),
                        TODAY,
                        Optional.empty(),
                        "",
                        "storekeeper"),
                    Optional.of(trays[0]),
                    Instant.parse("2027-03-15T09:00:00Z")));
    // of two issues nothing is forecast
    assertThat(uses()).isEmpty();
    assertThat(store.<Volume>read(s -> s.pours().addedWith(trays[0], OIL)))
        .isEqualTo(Volume.ofLitres("1"));
    store.change(
        s ->
            s.pours()
                .withdrawTopUpsOf(
                    trays[0], "wrong boat", "storekeeper", Instant.parse("2027-03-15T09:05:00Z")));
    assertThat(issued()).isEqualTo(3);
    assertThat(store.<Volume>read(s -> s.pours().addedWith(trays[0], OIL))).isEqualTo(Volume.ZERO);
  }

  private int issued() {
    return uses().get(0).issues();
  }

  private TrayId topUp() {
    return store.write(
        s -> s.trays().add(Optional.of(new UnitId(1)), TrayPurpose.TOP_UP, "low", TODAY));
  }

  private String number(TrayId tray) {
    return store.read(s -> s.trays().byId(tray).orElseThrow().number());
  }

  /**
   * 1 L on 11 January, 2 L on the 12th of which half a litre came back in March, 3 L on 8 March.
   * What a top-up took has a use of its own, and so has what went out for a service.
   */
  @Test
  void issuesWithoutAServiceAreNettedInTheirWeek() {
    issue("2027-01-11", "", "1");
    issue("2027-01-12", "WB-1", "2");
    long second = latest();
    issue("2027-02-01", "TU-7", "0.5");
    issue("2027-03-08", "counter", "3");
    book(
        "2027-03-10",
        "counter",
        stock ->
            Ledger.takeBack(
                stock,
                store.read(session -> session.pastMovements().undoneTogether(second)),
                Quantity.litres("0.5")));
    service("T-0900");
    issue("2027-03-09", "T-0900", "1");
    List<UnplannedUse> uses = uses();
    assertThat(uses).extracting(UnplannedUse::itemId).containsExactly(OIL);
    UnplannedUse use = uses.get(0);
    assertThat(use.issues()).isEqualTo(3);
    assertThat(use.weeks()).hasSize(26);
    // the week of 11 January is the eighth before the last, which begins on 8 March
    assertThat(used(use).get(25 - 8)).isEqualTo("2.5");
    assertThat(used(use).get(25)).isEqualTo("3");
    assertThat(used(use).stream().filter(week -> !week.equals("0"))).hasSize(2);
  }

  /** A return that was corrected never was one, and an issue that was corrected neither. */
  @Test
  void whatWasCorrectedCountsForNothing() {
    issue("2027-01-11", "", "1");
    long first = latest();
    issue("2027-01-12", "", "2");
    issue("2027-01-13", "", "1");
    book(
        "2027-01-14",
        "",
        stock ->
            Ledger.takeBack(
                stock,
                store.read(session -> session.pastMovements().undoneTogether(first)),
                Quantity.litres("1")));
    assertThat(uses()).isEmpty();
    long back = latest();
    book(
        "2027-01-15",
        "",
        stock ->
            Ledger.correct(
                stock, store.read(session -> session.pastMovements().undoneTogether(back))));
    assertThat(used(uses().get(0)).get(25 - 8)).isEqualTo("4");
  }

  /**
   * The slipway is where boat 1 is at home. What a tray took for the boat was used there, wherever
   * it lay; what was issued over the counter was used where it lay: three issues each.
   */
  @Test
  void eachPlaceHasAUseOfItsOwn() {
    store.tamper("INSERT INTO satellite (name) VALUES ('Slipway')");
    store.tamper("UPDATE unit SET satellite_id = 1 WHERE id = 1");
    tray("T-0901", "LEAK");
    for (String day : List.of("2027-03-09", "2027-03-10", "2027-03-11")) {
      issue(day, "T-0901", "1");
      issue(day, "", "2");
    }
    assertThat(uses()).extracting(UnplannedUse::place).containsExactly(Place.MAIN, SLIPWAY);
    assertThat(used(uses().get(0)).get(25)).isEqualTo("6");
    assertThat(used(uses().get(1)).get(25)).isEqualTo("3");
  }

  private void service(String number) {
    tray(number, "SERVICE");
  }

  private void tray(String number, String purpose) {
    store.tamper(
        "INSERT INTO tray (number, unit_id, purpose, title, planned_on, state) VALUES ('"
            + number
            + "', "
            + new UnitId(1)
            + ", '"
            + purpose
            + "', 'Small service', '2027-03-09', 'OPEN')");
  }
}
