package dev.lonja.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import dev.lonja.core.forecast.CertainDemand;
import dev.lonja.core.forecast.PlanLine;
import dev.lonja.core.forecast.UnplannedUse;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.wanted.WantedPart;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What is used beside services in 8,000 trials of three weeks from Wednesday 17 March 2027. */
class BesideTrialsTest {

  private static final ItemId CLIP = new ItemId(1);
  private static final LocalDate TODAY = LocalDate.parse("2027-03-17");
  private static final int TRIALS = 8_000;
  private static final TrialRules RULES = new TrialRules(42, TRIALS, TODAY, 3);

  private static Band drawn(PlanLine.Beside beside) {
    TrialTotals totals = new TrialTotals(RULES);
    BesideTrials trials = new BesideTrials(beside, RULES);
    trials.draw(TRIALS / 2, TRIALS, totals);
    trials.draw(0, TRIALS / 2, totals);
    return totals.band(List.of(CLIP), Measure.PIECES);
  }

  /** Six of 26 weeks used 7 pieces: of the part of this week that is left, 5. */
  @Test
  void everyWeekIsOneOfThoseThatLieBehind() {
    List<Quantity> weeks = new ArrayList<>(Collections.nCopies(20, Quantity.pieces(0)));
    weeks.addAll(Collections.nCopies(6, Quantity.pieces(7)));
    Band band =
        drawn(
            new PlanLine.Beside(
                List.of(), List.of(), List.of(new UnplannedUse(CLIP, Place.MAIN, weeks, 6))));
    double chance = 6 / 26.0;
    double error = 4 * Math.sqrt(chance * (1 - chance) / TRIALS);
    assertThat(band.quantile(0, 0.5)).isEqualTo(Quantity.pieces(0));
    assertThat(band.quantile(0, 0.9)).isEqualTo(Quantity.pieces(5));
    assertThat(band.chanceOfMoreThan(Quantity.pieces(0), 0)).isCloseTo(chance, within(error));
    // in none of three weeks: (20/26)³ = 0.4552
    assertThat(1 - band.chanceOfMoreThan(Quantity.pieces(0), 2)).isCloseTo(0.4552, within(error));
    assertThat(band.quantile(2, 1)).isEqualTo(Quantity.pieces(19));
  }

  /** On its day in every trial; what is wanted after the weeks is left aside. */
  @Test
  void whatIsWantedIsCertain() {
    Band band =
        drawn(
            new PlanLine.Beside(
                List.of(), List.of(wanted("2027-03-23", 2), wanted("2027-04-05", 8)), List.of()));
    assertThat(band.quantile(0, 1)).isEqualTo(Quantity.pieces(0));
    assertThat(band.quantile(1, 0.01)).isEqualTo(Quantity.pieces(2));
    assertThat(band.quantile(2, 1)).isEqualTo(Quantity.pieces(2));
  }

  private static CertainDemand wanted(String day, long pieces) {
    return new CertainDemand(
        CLIP,
        LocalDate.parse(day),
        Quantity.pieces(pieces),
        Optional.empty(),
        "",
        new CertainDemand.Because.Wanted(new WantedPart.Cause.Asked("x", "clip torn off")));
  }

  /** What is taken off again leaves nothing, and what it was taken off from stays as it was. */
  @Test
  void whatIsTakenOffIsGone() {
    PlanLine.Beside beside =
        new PlanLine.Beside(List.of(), List.of(wanted("2027-03-23", 2)), List.of());
    TrialTotals first = new TrialTotals(RULES);
    new BesideTrials(beside, RULES).draw(0, TRIALS, first);
    TrialTotals second = first.goOn();
    new BesideTrials(beside, RULES).draw(0, TRIALS, second.takingOff());
    assertThat(second.band(List.of(CLIP), Measure.PIECES).quantile(2, 1))
        .isEqualTo(Quantity.pieces(0));
    assertThat(first.band(List.of(CLIP), Measure.PIECES).quantile(2, 1))
        .isEqualTo(Quantity.pieces(2));
  }
}
