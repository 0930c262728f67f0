package dev.lonja.desk.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.forecast.CertainDemand;
import dev.lonja.core.forecast.Demand;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayPurpose;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.desk.Cage;
import dev.lonja.desk.forecast.Forecast;
import dev.lonja.desk.person.Pins;
import dev.lonja.desk.person.Receiver;
import dev.lonja.desk.person.Secrets;
import dev.lonja.desk.person.Tries;
import dev.lonja.desk.person.WorkPlaces;
import dev.lonja.desk.request.Outcome;
import dev.lonja.store.tray.Tray;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.security.crypto.bcrypt.BCryptPasswordEncoder;

/**
 * Trays for work that nobody planned. WB-2 wants two hose clips (item 38) by 18 March, the workshop
 * three packs of rags (item 39) at once.
 */
class UnplannedTrayTest {

  private static final ItemId CLIP = new ItemId(38);
  private static final ItemId RAGS = new ItemId(39);
  private static final ItemId OTHER_FILTER = new ItemId(10);
  private static final ItemId OTHER_WASHER = new ItemId(26);

  @RegisterExtension private final Cage cage = new Cage();
  private TrayStartDesk start;
  private TrayDesk trays;

  @BeforeEach
  void open() {
    start = new TrayStartDesk(cage.store(), cage.once(), cage.clock());
    trays =
        new TrayDesk(
            cage.once(),
            cage.clock(),
            new Receiver(
                new Pins(new Secrets(new BCryptPasswordEncoder(4)), new Tries(cage.clock()))));
  }

  private Outcome start(TrayPurpose purpose, String unit, String day) {
    return start(purpose, unit, day, Optional.empty());
  }

  private Outcome start(TrayPurpose purpose, String unit, String day, Optional<Place> at) {
    return start.start(
        cage.sent(),
        new TrayStartDesk.Unplanned(
            purpose,
            unit.isEmpty() ? Optional.empty() : Optional.of(unit),
            "hose burst",
            LocalDate.parse(day),
            at));
  }

  private TrayId started(TrayPurpose purpose, String unit, String day) {
    Outcome outcome = start(purpose, unit, day);
    assertThat(outcome).isInstanceOf(Outcome.Done.class);
    return TrayId.valueOf(((Outcome.Done) outcome).answer());
  }

  private Tray tray(TrayId id) {
    return cage.read(session -> session.trays().byId(id).orElseThrow());
  }

  /** At the home of its machine, or where one says; supplies at the main store unless one does. */
  @Test
  void itIsLaidAtThePlaceThatIsChosen() {
    Place slipway = slipway();
    assertThat(placeOf(start(TrayPurpose.LEAK, "WB-1", "2027-03-16"))).isEqualTo(slipway);
    assertThat(placeOf(start(TrayPurpose.LEAK, "WB-1", "2027-03-16", Optional.of(Place.MAIN))))
        .isEqualTo(Place.MAIN);
    assertThat(placeOf(start(TrayPurpose.SUPPLIES, "", "2027-03-16"))).isEqualTo(Place.MAIN);
    assertThat(placeOf(start(TrayPurpose.SUPPLIES, "", "2027-03-16", Optional.of(slipway))))
        .isEqualTo(slipway);
    Optional<Place> nowhere = Optional.of(Place.of(new SatelliteId(9)));
    assertThat(start(TrayPurpose.SUPPLIES, "", "2027-03-16", nowhere))
        .isEqualTo(Outcome.refused(new TrayRefusal.UnknownPlace()));
  }

  /** Whoever works at the slipway alone starts, and makes ahead, no tray of the main store. */
  @Test
  void nobodyStartsATrayWhereTheyDoNotWork() {
    Place slipway = slipway();
    cage.write(
        session ->
            session
                .places()
                .grant(session.people().byName("storekeeper").orElseThrow().id(), Set.of(slipway)));
    assertThat(Cage.reasons(start(TrayPurpose.LEAK, "WB-2", "2027-03-16")))
        .containsExactly(new WorkPlaces.NotYours("storekeeper", "Boatyard Cage"));
    assertThat(start.startAhead(cage.sent())).isEqualTo(Outcome.done());
    assertThat(cage.<List<Tray>>read(session -> session.trays().open()))
        .allSatisfy(tray -> assertThat(tray.place()).isEqualTo(slipway));
  }

  /** The slipway, where boat 1 is at home. */
  private Place slipway() {
    Place slipway = Place.of(new SatelliteId(1));
    cage.write(
        session -> {
          session.places().add("Slipway");
          session.places().placeUnits(Set.of(new UnitId(1)), slipway);
        });
    return slipway;
  }

  private Place placeOf(Outcome outcome) {
    return tray(TrayId.valueOf(((Outcome.Done) outcome).answer())).place();
  }

  @Test
  void whatIsWantedForTheMachineByThatDayIsOnItFromTheStart() {
    Tray hose = tray(started(TrayPurpose.BREAKDOWN, "wb-2", "2027-03-18"));
    assertThat(hose.unitCode()).contains("WB-2");
    assertThat(hose.lines()).hasSize(1);
    assertThat(hose.lines().get(0).itemId()).isEqualTo(CLIP);
    assertThat(hose.lines().get(0).wanted()).isEqualTo(Quantity.pieces(2));
    assertThat(hose.lines().get(0).reason()).isEqualTo(new LineReason.Wanted());
  }

  /** The clips are needed on the 18th, so a tray for the day before does not wait for them. */
  @Test
  void whatIsWantedLaterIsNotAndOnlyWhatIsOpenIsPutOn() {
    TrayId hose = started(TrayPurpose.BREAKDOWN, "WB-2", "2027-03-17");
    assertThat(tray(hose).lines()).isEmpty();
    List<WantedPart> open = cage.read(session -> session.wanted().open());
    WantedPart clips = open.get(1);
    assertThat(trays.putOnWanted(cage.sent(), hose, clips.id())).isInstanceOf(Outcome.Done.class);
    assertThat(tray(hose).lines()).hasSize(1);
    assertThat(Cage.reasons(trays.putOnWanted(cage.sent(), hose, clips.id())))
        .containsExactly(new TrayRefusal.NotWantedHere());
    assertThat(Cage.reasons(trays.putOnWanted(cage.sent(), hose, open.get(0).id())))
        .as("the workshop's rags on a machine's tray")
        .containsExactly(new TrayRefusal.NotWantedHere());
  }

  @Test
  void aTrayIsForAMachineUnlessItIsForTheWorkshopItself() {
    assertThat(Cage.reasons(start(TrayPurpose.SUPPLIES, "WB-2", "2027-03-15")))
        .containsExactly(new TrayRefusal.UnitAgainstPurpose(TrayPurpose.SUPPLIES));
    assertThat(Cage.reasons(start(TrayPurpose.LEAK, "", "2027-03-15")))
        .containsExactly(new TrayRefusal.UnitAgainstPurpose(TrayPurpose.LEAK));
    assertThat(Cage.reasons(start(TrayPurpose.LEAK, "XX-1", "2027-03-15")))
        .containsExactly(new TrayRefusal.UnknownUnit("XX-1"));
    assertThat(Cage.reasons(start(TrayPurpose.SERVICE, "WB-2", "2027-03-15")))
        .containsExactly(new TrayRefusal.NotByHand());
    assertThat(tray(started(TrayPurpose.SUPPLIES, "", "2027-03-15")).unit()).isEmpty();
  }

  @Test
  void itsDayIsTodayToTwoYearsAhead() {
    LocalDate last = LocalDate.parse("2029-03-15");
    assertThat(Cage.reasons(start(TrayPurpose.LEAK, "WB-2", "2027-03-14")))
        .containsExactly(
            new TrayRefusal.OutsidePlan(LocalDate.parse("2027-03-14"), Cage.TODAY, last));
    assertThat(Cage.reasons(start(TrayPurpose.LEAK, "WB-2", "2029-03-16"))).hasSize(1);
    assertThat(start(TrayPurpose.LEAK, "WB-2", "2029-03-15")).isInstanceOf(Outcome.Done.class);
  }

  /** WB-2's filters are of items 8 and 13; nobody has said anything of item 10 there. */
  @Test
  void aFilterThatFitsNowhereOnTheMachineIsRefused() {
    TrayId leak = started(TrayPurpose.LEAK, "WB-2", "2027-03-15");
    assertThat(Cage.reasons(putOn(leak, OTHER_FILTER, "as a spare")))
        .singleElement()
        .isInstanceOfSatisfying(
            TrayRefusal.FitsNowhere.class,
            not ->
                assertThat(not.places())
                    .containsExactly(
                        "Port oil filter",
                        "Port fuel filter",
                        "Starboard oil filter",
                        "Starboard fuel filter"));
    TrayId supplies = started(TrayPurpose.SUPPLIES, "", "2027-03-15");
    assertThat(putOn(supplies, OTHER_FILTER, "")).isInstanceOf(Outcome.Done.class);
  }

  @Test
  void aWasherThatIsNotKnownToFitNeedsAWordThatStays() {
    TrayId leak = started(TrayPurpose.LEAK, "WB-2", "2027-03-15");
    assertThat(Cage.reasons(putOn(leak, OTHER_WASHER, "")))
        .singleElement()
        .isInstanceOf(TrayRefusal.SayWhatFor.class);
    assertThat(putOn(leak, OTHER_WASHER, "bilge pump")).isInstanceOf(Outcome.Done.class);
    assertThat(tray(leak).lines().get(0).reason()).isEqualTo(new LineReason.ByHand("bilge pump"));
    assertThat(putOn(leak, CLIP, "")).as("clips go anywhere").isInstanceOf(Outcome.Done.class);
  }

  /** A compartment that is not the machine's is refused, and so is one for a part. */
  @Test
  void intoGoesOnlyAFluidAndOnlyWhereThereIsOne() {
    TrayId[] tray = new TrayId[1];
    cage.write(
        session ->
            tray[0] =
                session
                    .trays()
                    .add(Optional.of(new UnitId(1)), TrayPurpose.BREAKDOWN, "leaks", Cage.TODAY));
    for (ByHand.Said said :
        List.of(
            new ByHand.Said("clips", Optional.of(new CompartmentId(99_999))),
            new ByHand.Said("clips", Optional.of(new CompartmentId(1))))) {
      assertThat(
              Cage.reasons(trays.putOn(cage.sent(), tray[0], new ItemId(38), BigDecimal.ONE, said)))
          .hasOnlyElementsOfType(TrayRefusal.NoSuchCompartment.class);
    }
  }

  private Outcome putOn(TrayId tray, ItemId item, String why) {
    return trays.putOn(cage.sent(), tray, item, BigDecimal.ONE, ByHand.Said.why(why));
  }

  /** Whether wanted by itself or waited for on a tray, the two clips are demand once. */
  @Test
  void whatIsWantedIsDemandOnceWhereverItStands() {
    assertThat(certain(CLIP)).containsExactly(Quantity.pieces(2));
    TrayId hose = started(TrayPurpose.BREAKDOWN, "WB-2", "2027-03-18");
    assertThat(certain(CLIP)).containsExactly(Quantity.pieces(2));
    trays.lay(cage.sent(), hose, tray(hose).lines().get(0).id());
    assertThat(certain(CLIP)).as("laid").isEmpty();
    trays.clear(cage.sent(), hose);
    assertThat(certain(CLIP)).as("cleared").containsExactly(Quantity.pieces(2));
    assertThat(certain(RAGS)).containsExactly(Quantity.pieces(3));
  }

  private List<Quantity> certain(ItemId item) {
    return cage.read(
        session ->
            Forecast.load(session, Cage.TODAY, 4).plan().demandsOf(item).stream()
                .filter(CertainDemand.class::isInstance)
                .map(Demand::quantity)
                .toList());
  }
}
