package dev.lonja.core.meter;

import static dev.lonja.core.meter.Fleets.hours;
import static dev.lonja.core.meter.Fleets.hoursAt;
import static dev.lonja.core.meter.Fleets.kilometres;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class ReadingLogTest {

  @Test
  void aReadingBelowTheLastAcceptedOneIsBackwards() {
    ReadingLog log =
        ReadingLog.judge(
            MeterNotes.of(
                List.of(
                    hours(1, "2027-03-01", "1410"),
                    hours(2, "2027-03-04", "1400.5"),
                    hours(3, "2027-03-05", "1410"))));
    assertThat(flags(log))
        .containsExactly(Optional.empty(), Optional.of(ReadingFlag.BACKWARDS), Optional.empty());
    assertThat(log.readings().get(1).against().map(LifePoint::day))
        .contains(LocalDate.parse("2027-03-01"));
    assertThat(log.lastAccepted().map(judged -> judged.reading().id())).contains(3L);
  }

  /** Without instants whole days + 1 count: from 1 to 3 March, 3 × 24 = 72 h are possible. */
  @Test
  void exactlyTwentyFourHoursADayIsPossible() {
    Reading first = hours(1, "2027-03-01", "100");
    assertThat(flagOfSecond(first, hours(2, "2027-03-03", "172"))).isEmpty();
    assertThat(flagOfSecond(first, hours(2, "2027-03-03", "172.1")))
        .contains(ReadingFlag.IMPOSSIBLE);
  }

  /** With instants ten hours apart, 10.0 h are possible and 10.1 h are not. */
  @Test
  void instantsBoundMoreTightlyThanDays() {
    Reading first = hoursAt(1, "2027-03-01T06:00:00Z", "100");
    assertThat(flagOfSecond(first, hoursAt(2, "2027-03-01T16:00:00Z", "110"))).isEmpty();
    assertThat(flagOfSecond(first, hoursAt(2, "2027-03-01T16:00:00Z", "110.1")))
        .contains(ReadingFlag.IMPOSSIBLE);
  }

  /** 1,500 km a day over one day + 1 = 3,000 km. */
  @Test
  void kilometresHaveTheirOwnLimit() {
    Reading first = kilometres(1, "2027-03-01", "50000");
    assertThat(flagOfSecond(first, kilometres(2, "2027-03-02", "53000"))).isEmpty();
    assertThat(flagOfSecond(first, kilometres(2, "2027-03-02", "53000.1")))
        .contains(ReadingFlag.IMPOSSIBLE);
  }

  /** A late reading of 20 February re-judges that of 1 March, which now lies below it. */
  @Test
  void aLateReadingRejudgesThoseAfterIt() {
    Reading january = hours(1, "2027-01-01", "1000");
    Reading march = hours(2, "2027-03-01", "1100");
    Reading late = hours(3, "2027-02-20", "1150");
    assertThat(flags(ReadingLog.judge(MeterNotes.of(List.of(january, march)))))
        .containsExactly(Optional.empty(), Optional.empty());
    ReadingLog log = ReadingLog.judge(MeterNotes.of(List.of(january, march, late)));
    assertThat(log.readings().stream().map(judged -> judged.reading().id()))
        .containsExactly(1L, 3L, 2L);
    assertThat(log.readings().get(2).flag()).contains(ReadingFlag.BACKWARDS);
  }

  @Test
  void onOneDayTheOrderOfEntryDecides() {
    ReadingLog log =
        ReadingLog.judge(
            MeterNotes.of(List.of(hours(2, "2027-03-01", "101"), hours(1, "2027-03-01", "102"))));
    assertThat(log.readings().get(1).flag()).contains(ReadingFlag.BACKWARDS);
  }

  private static Optional<ReadingFlag> flagOfSecond(Reading first, Reading second) {
    return ReadingLog.judge(MeterNotes.of(List.of(first, second))).readings().get(1).flag();
  }

  private static List<Optional<ReadingFlag>> flags(ReadingLog log) {
    return log.readings().stream().map(JudgedReading::flag).toList();
  }
}
