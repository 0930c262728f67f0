package dev.lonja.desk.place;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.desk.Cage;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** The example store has racks K, L and M, and among its machines BH-1 and SW-1. */
class PlacesDeskTest {

  private static final SatelliteId FIRST = new SatelliteId(1);
  private static final Place SLIPWAY = Place.of(FIRST);

  @RegisterExtension private final Cage cage = new Cage();
  private PlacesDesk desk;

  @BeforeEach
  void open() {
    desk = new PlacesDesk(cage.store(), cage.once(), cage.clock());
  }

  @Test
  void wholeRacksAndSingleBinsStandInASatelliteAndItServesMachines() {
    assertThat(set(fresh("Slipway", List.of("m", "L-04"), List.of("bh-1"))))
        .isEqualTo(Outcome.done());
    assertThat(desk.setup().binsOf(SLIPWAY).stream().map(Item.Bin::address))
        .containsExactly("L-04", "M-1", "M-2");
    assertThat(desk.setup().unitsOf(SLIPWAY).stream().map(Unit::code)).containsExactly("BH-1");
    assertThat(desk.setup().binsOf(Place.MAIN)).hasSize(9);
  }

  @Test
  void whatASatelliteNamesNoMoreIsTheMainStoresAgain() {
    set(fresh("Slipway", List.of("M"), List.of("BH-1")));
    assertThat(set(known("Slipway", List.of("M-2"), List.of(), false))).isEqualTo(Outcome.done());
    assertThat(desk.setup().binsOf(SLIPWAY).stream().map(Item.Bin::address)).containsExactly("M-2");
    assertThat(desk.setup().unitsOf(SLIPWAY)).isEmpty();
  }

  @Test
  void whatIsNotThereOrThereTwiceIsNamedAndNothingIsSet() {
    assertThat(
            Cage.reasons(
                set(
                    fresh("Slipway", List.of("Z", "M"), List.of("XX-9")),
                    fresh("slipway", List.of("M-1"), List.of()))))
        .containsExactly(
            new PlaceRefusal.NoBin("", "Z"),
            new PlaceRefusal.NoUnit("", "XX-9"),
            new PlaceRefusal.BinTwice("", "M-1"),
            new PlaceRefusal.SameName("", "slipway"));
    assertThat(desk.setup().names()).isEmpty();
  }

  @Test
  void aPlaceHasANameAndNotThatOfTheMainStore() {
    String main = desk.setup().main();
    assertThat(Cage.reasons(set(fresh(main, List.of(), List.of()))))
        .containsExactly(new PlaceRefusal.SameName("", main));
    assertThat(Cage.reasons(set(fresh(" ", List.of(), List.of()))))
        .singleElement()
        .isInstanceOf(PlaceRefusal.BadName.class);
  }

  @Test
  void oneThatNothingIsBoundToMayBeTakenAway() {
    set(fresh("Slipway", List.of("M"), List.of()));
    assertThat(Cage.reasons(set(known("Slipway", List.of(), List.of(), true))))
        .containsExactly(new PlaceRefusal.Used("1", "Slipway"));
    set(known("Slipway", List.of(), List.of(), false));
    assertThat(set(known("Slipway", List.of(), List.of(), true))).isEqualTo(Outcome.done());
    assertThat(desk.setup().names()).isEmpty();
  }

  @Test
  void whoSetsUpWhatSomebodyElseHasChangedMeanwhileIsTold() {
    String before = desk.setup().stamp();
    set(fresh("Slipway", List.of("M"), List.of()));
    assertThat(desk.set(cage.sent(), before, List.of()))
        .isEqualTo(Outcome.refused(RequestRefusal.CHANGED_MEANWHILE));
  }

  private Outcome set(PlacesDesk.Wanted... wanted) {
    return desk.set(cage.sent(), desk.setup().stamp(), List.of(wanted));
  }

  private static PlacesDesk.Wanted fresh(String name, List<String> bins, List<String> units) {
    return new PlacesDesk.Wanted(Optional.empty(), name, bins, units, false);
  }

  private static PlacesDesk.Wanted known(
      String name, List<String> bins, List<String> units, boolean isGone) {
    return new PlacesDesk.Wanted(Optional.of(FIRST), name, bins, units, isGone);
  }
}
