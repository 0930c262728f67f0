package dev.lonja.core.transfer;

import static dev.lonja.core.quantity.Quantity.litres;
import static dev.lonja.core.quantity.Quantity.pieces;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class RefillTest {

  private static final Place YARD = Place.of(new SatelliteId(1));
  private static final Place DOCK = Place.of(new SatelliteId(2));
  private static final LocalDate SOON = LocalDate.parse("2027-03-17");
  private static final LocalDate LATER = LocalDate.parse("2027-03-24");

  @Test
  void whatIsBelowItsLevelIsFilledUp() {
    // 1 of at least 2; up to 6: five more
    assertThat(of(9, need(YARD, 1, 2, 6, LATER))).isEqualTo(Map.of(YARD, pieces(5)));
  }

  @Test
  void atItsLevelNothingIsNeeded() {
    assertThat(of(9, need(YARD, 2, 2, 6, LATER))).isEmpty();
  }

  @Test
  void theMainStoreGivesOnlyWhatItCanSpare() {
    assertThat(of(3, need(YARD, 1, 2, 6, LATER))).isEqualTo(Map.of(YARD, pieces(3)));
    assertThat(of(0, need(YARD, 1, 2, 6, LATER))).isEmpty();
  }

  @Test
  void whoRunsShortFirstIsFilledUpFirst() {
    // seven: five for the dock, that runs short on the 17th, and two of four for the yard
    assertThat(of(7, need(YARD, 0, 2, 4, LATER), need(DOCK, 1, 3, 6, SOON)))
        .isEqualTo(Map.of(DOCK, pieces(5), YARD, pieces(2)));
  }

  @Test
  void ofTwoOfOneDayTheOneWhoseNameComesFirst() {
    assertThat(of(4, need(YARD, 0, 2, 4, SOON), need(DOCK, 0, 2, 4, SOON)))
        .isEqualTo(Map.of(DOCK, pieces(4)));
  }

  @Test
  void whoDoesNotRunShortComesLast() {
    assertThat(of(4, need(DOCK, 0, 2, 4, null), need(YARD, 0, 2, 4, LATER)))
        .isEqualTo(Map.of(YARD, pieces(4)));
  }

  @Test
  void fluidsGoInWholePacks() {
    // 6 L of at least 20 L, up to 50 L, in cans of 20 L: two of them come to 46 L, a third would
    // be too much
    assertThat(fluid("100", "6", "20", "50")).isEqualTo(Map.of(YARD, litres("40")));
    // 35 L of spare are one can
    assertThat(fluid("35", "6", "20", "50")).isEqualTo(Map.of(YARD, litres("20")));
    // up to 20 L there is room for 14 L; a can is needed to reach the level all the same
    assertThat(fluid("35", "6", "20", "20")).isEqualTo(Map.of(YARD, litres("20")));
  }

  @Test
  void nothingIsFilledUpToLessThanItsLevel() {
    assertThatThrownBy(() -> need(YARD, 0, 5, 4, SOON))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("up to 4")
        .hasMessageContaining("5");
  }

  private static Map<Place, Quantity> of(long spare, Refill.Need... needs) {
    return Refill.of(pieces(spare), pieces(1), List.of(needs));
  }

  private static Map<Place, Quantity> fluid(
      String spare, String position, String level, String upTo) {
    return Refill.of(
        litres(spare),
        litres("20"),
        List.of(
            new Refill.Need(
                YARD, "Yard", litres(position), litres(level), litres(upTo), Optional.of(SOON))));
  }

  private static Refill.Need need(
      Place place, long position, long level, long upTo, LocalDate shortOn) {
    return new Refill.Need(
        place,
        place.equals(YARD) ? "Yard" : "Dock",
        pieces(position),
        pieces(level),
        pieces(upTo),
        Optional.ofNullable(shortOn));
  }
}
