package dev.lonja.core.choice;

import static dev.lonja.core.forecast.Demands.fill;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * From 15 March, a plan of 100 days to 23 June: 6 L on the day itself, 6 L on 20 March (day 5), 4 L
 * on 23 June (day 100).
 */
class PlannedUseTest {

  private static final LocalDate DAY = LocalDate.parse("2027-03-15");

  /** The day's own use is past; 200 days at the pace of 10 L in 100 are 20 L, 150 are 15. */
  @ParameterizedTest
  @CsvSource({"0, 0", "4, 0", "5, 6", "99, 6", "100, 10", "150, 15", "200, 20"})
  void countsWhatIsPlannedAndGoesOnAtThatPace(int days, String litres) {
    PlannedUse use =
        new PlannedUse(
            List.of(
                fill(1, "2027-03-15", "6"), fill(1, "2027-03-20", "6"), fill(1, "2027-06-23", "4")),
            DAY,
            LocalDate.parse("2027-06-23"));
    assertThat(use.within(days)).isEqualTo(Volume.ofLitres(litres));
  }

  /** For ever is a great many days; a million litres is the most that is reckoned with. */
  @ParameterizedTest
  @CsvSource({"2027-06-23", "2027-03-15"})
  void forEverHasAnEnd(LocalDate lastDay) {
    PlannedUse use = new PlannedUse(List.of(fill(1, "2027-03-16", "6")), DAY, lastDay);
    assertThat(use.within(FutureUse.EVER)).isEqualTo(Volume.ofLitres("1000000"));
  }
}
