package dev.lonja.core.wanted;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class WantedPartTest {

  private static final LocalDate TODAY = LocalDate.parse("2027-03-15");

  private static WantedPart neededOn(String day) {
    return Wanted.asked(new ItemId(1), Quantity.pieces(1), Optional.ofNullable(day));
  }

  @Test
  void itIsDemandOnItsDayAndTodayIfNoneIsSaidOrItIsPast() {
    assertThat(neededOn("2027-03-16").demandedOn(TODAY)).isEqualTo("2027-03-16");
    assertThat(neededOn("2027-03-15").demandedOn(TODAY)).isEqualTo(TODAY);
    assertThat(neededOn("2027-03-14").demandedOn(TODAY)).isEqualTo(TODAY);
    assertThat(neededOn(null).demandedOn(TODAY)).isEqualTo(TODAY);
  }

  @Test
  void itBelongsOnTheTrayOfItsUnitThatIsForItsDayOrLater() {
    UnitId unit = new UnitId(7);
    assertThat(neededOn(null).belongsOn(unit, TODAY)).isTrue();
    assertThat(neededOn("2027-03-15").belongsOn(unit, TODAY)).isTrue();
    assertThat(neededOn("2027-03-16").belongsOn(unit, TODAY)).isFalse();
    assertThat(neededOn(null).belongsOn(new UnitId(8), TODAY)).isFalse();
  }

  @Test
  void onlyWhatWasLeftOutOfATaskNamesIt() {
    assertThat(
            Wanted.leftOut(
                    new ItemId(1), Quantity.pieces(1), Optional.of(new TaskId(3)), Optional.empty())
                .taskId())
        .contains(new TaskId(3));
    assertThat(neededOn(null).taskId()).isEmpty();
  }

  @Test
  void nothingIsNotWanted() {
    assertThatThrownBy(() -> Wanted.asked(new ItemId(1), Quantity.pieces(0), Optional.empty()))
        .isInstanceOf(IllegalArgumentException.class)
        .hasMessageContaining("allowed is more than 0");
  }
}
