package dev.lonja.store.place;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.person.PersonId;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.store.ExampleStore;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** A satellite on the north pier. */
class PlaceRepositoryTest {

  @RegisterExtension final ExampleStore store = new ExampleStore();

  private SatelliteId add(String name) {
    return store.write(s -> s.places().add(name));
  }

  private Map<SatelliteId, String> satellites() {
    return store.read(s -> s.places().satellites());
  }

  @Test
  void namesMayBeSwapped() {
    SatelliteId north = add("North pier");
    SatelliteId south = add("South pier");
    store.change(s -> s.places().rename(Map.of(north, "South pier", south, "North pier")));
    assertThat(satellites())
        .containsOnly(Map.entry(north, "South pier"), Map.entry(south, "North pier"));
    assertThat(store.<Map<Place, String>>read(s -> s.places().names()))
        .containsEntry(Place.of(north), "South pier")
        .hasSize(3);
  }

  /** Bins and machines that name it keep it from being taken away. */
  @Test
  void whatBelongsToAPlaceNamesIt() {
    SatelliteId pier = add("North pier");
    BinId shelf = new BinId(9);
    assertThat(store.<Set<SatelliteId>>read(s -> s.places().used())).doesNotContain(pier);
    store.change(s -> s.places().placeBins(List.of(shelf), Place.of(pier)));
    assertThat(store.<Set<BinId>>read(s -> s.places().bins(Place.of(pier)))).containsExactly(shelf);
    assertThat(store.<Set<BinId>>read(s -> s.places().bins(Place.MAIN)))
        .doesNotContain(shelf)
        .hasSize(11);
    assertThat(store.<Map<BinId, Place>>read(s -> s.places().ofBins()))
        .containsEntry(shelf, Place.of(pier));
    assertThat(store.<Set<SatelliteId>>read(s -> s.places().used())).contains(pier);
    store.change(
        s -> {
          s.places().placeBins(List.of(shelf), Place.MAIN);
          s.places().placeUnits(List.of(new UnitId(4)), Place.of(pier));
        });
    assertThat(store.<Set<SatelliteId>>read(s -> s.places().used())).contains(pier);
    store.change(
        s -> {
          s.places().placeUnits(List.of(new UnitId(4)), Place.MAIN);
          s.places().remove(List.of(pier));
        });
    assertThat(satellites()).isEmpty();
  }

  /** Nowhere in particular means everywhere. */
  @Test
  void aPersonMayWorkWhereItIsGranted() {
    PersonId workshop = new PersonId(2);
    Place pier = Place.of(add("North pier"));
    store.change(s -> s.places().grant(workshop, Set.of(pier, Place.MAIN)));
    assertThat(store.<Map<PersonId, Set<Place>>>read(s -> s.places().granted()))
        .containsOnly(Map.entry(workshop, Set.of(pier, Place.MAIN)));
    store.change(s -> s.places().grant(workshop, Set.of()));
    assertThat(store.<Map<PersonId, Set<Place>>>read(s -> s.places().granted())).isEmpty();
  }
}
