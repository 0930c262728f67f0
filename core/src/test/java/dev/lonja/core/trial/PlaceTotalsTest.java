package dev.lonja.core.trial;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Ten trials of 30 weeks, all alike. */
class PlaceTotalsTest {

  private static final ItemId CLIP = new ItemId(3);
  private static final Place SLIPWAY = Place.of(new SatelliteId(1));
  private static final Place YARD = Place.of(new SatelliteId(2));
  private static final int TRIALS = 10;

  private final PlaceTotals totals =
      new PlaceTotals(new TrialRules(1, TRIALS, LocalDate.parse("2027-03-15"), 30));

  private static void use(TrialSink sink, int week, long pieces) {
    for (int trial = 0; trial < TRIALS; trial++) {
      sink.take(CLIP, trial, week, pieces * 1_000);
    }
  }

  private static Quantity by(Band band, int week) {
    return band.quantile(week, 0.5);
  }

  private Band at(Place place) {
    return totals.band(List.of(CLIP), Measure.PIECES, place);
  }

  private Band all() {
    return totals.band(List.of(CLIP), Measure.PIECES);
  }

  /** 3 at the main store, 2 and 1 at the slipway, 5 at the yard: 11 of which 3 are left. */
  @Test
  void whatFallsAtASatelliteIsPartOfAll() {
    use(totals.at(Place.MAIN), 0, 3);
    use(totals.at(SLIPWAY), 0, 2);
    totals.at(SLIPWAY).column(CLIP).take(0, 1, 1_000);
    use(totals.at(YARD), 1, 5);
    assertThat(by(all(), 0)).isEqualTo(Quantity.pieces(5));
    assertThat(by(all(), 1)).isEqualTo(Quantity.pieces(10));
    assertThat(by(at(Place.MAIN), 1)).isEqualTo(Quantity.pieces(3));
    assertThat(by(at(SLIPWAY), 1)).isEqualTo(Quantity.pieces(2));
    assertThat(at(SLIPWAY).quantile(1, 1)).isEqualTo(Quantity.pieces(3));
    assertThat(at(Place.MAIN).quantile(1, 1)).isEqualTo(Quantity.pieces(3));
    assertThat(by(at(YARD), 1)).isEqualTo(Quantity.pieces(5));
  }

  /** The 26th week is the last that is kept of a place. */
  @Test
  void whatLiesFarAheadIsKeptOfAllAlone() {
    use(totals.at(SLIPWAY), 25, 2);
    use(totals.at(SLIPWAY), 26, 4);
    totals.at(SLIPWAY).column(CLIP).take(0, 29, 1_000);
    assertThat(all().weeks()).isEqualTo(30);
    assertThat(by(all(), 29)).isEqualTo(Quantity.pieces(6));
    assertThat(at(SLIPWAY).weeks()).isEqualTo(26);
    assertThat(by(at(SLIPWAY), 25)).isEqualTo(Quantity.pieces(2));
    assertThat(by(at(Place.MAIN), 25)).isEqualTo(Quantity.pieces(0));
  }

  /** A unit that moves is taken off where it was; what was drawn before stays as it is. */
  @Test
  void whatIsTakenOffAtAPlaceIsGoneThere() {
    use(totals.at(SLIPWAY), 0, 2);
    PlaceTotals next = totals.goOn();
    use(next.at(SLIPWAY).takingOff(), 0, 2);
    use(next.at(YARD), 0, 2);
    List<ItemId> clip = List.of(CLIP);
    assertThat(by(next.band(clip, Measure.PIECES), 0)).isEqualTo(Quantity.pieces(2));
    assertThat(by(next.band(clip, Measure.PIECES, SLIPWAY), 0)).isEqualTo(Quantity.pieces(0));
    assertThat(by(next.band(clip, Measure.PIECES, YARD), 0)).isEqualTo(Quantity.pieces(2));
    assertThat(by(at(SLIPWAY), 0)).isEqualTo(Quantity.pieces(2));
    assertThat(by(at(YARD), 0)).isEqualTo(Quantity.pieces(0));
  }
}
