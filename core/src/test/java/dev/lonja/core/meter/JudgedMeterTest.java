package dev.lonja.core.meter;

import static dev.lonja.core.meter.Fleets.hours;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import dev.lonja.core.quantity.MeterValue;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** What would become of a reading before it is noted. Each machine started on 1 January 2026. */
class JudgedMeterTest {

  private static final Reading FEBRUARY = hours(1, "2027-02-01", "1400");
  private static final Reading MARCH = hours(2, "2027-03-01", "1450");

  private static JudgedMeter meter(MeterNotes notes) {
    return JudgedMeter.of(MeterStandingTest.standing(notes), notes);
  }

  private static JudgedMeter meter(Reading... readings) {
    return meter(MeterNotes.of(List.of(readings)));
  }

  private static NewReading seen(String day, String value) {
    return new NewReading(LocalDate.parse(day), Optional.empty(), MeterValue.ofHours(value));
  }

  private static Optional<ReadingFlag> flag(JudgedMeter.Trial trial) {
    return trial.judged().flag();
  }

  @Test
  void aReadingThatFitsIsClean() {
    JudgedMeter.Trial trial = meter(FEBRUARY, MARCH).trying(seen("2027-03-11", "1460"));
    assertThat(trial.isClean()).isTrue();
    assertThat(trial.judged().accepted()).isTrue();
  }

  @Test
  void trialsLeaveTheMeterAsItIs() {
    JudgedMeter meter = meter(FEBRUARY, MARCH);
    meter.trying(seen("2027-03-11", "1460"));
    assertThat(meter.log().readings()).hasSize(2);
    assertThat(flag(meter.trying(seen("2027-03-11", "1449")))).contains(ReadingFlag.BACKWARDS);
  }

  /**
   * At the end of February nobody knew of March; a ruling on what was known holds whenever it was
   * made.
   */
  @Test
  void notesUpToADayKnowNothingLater() {
    MeterNotes notes =
        MeterNotes.of(List.of(FEBRUARY, MARCH))
            .with(new Ruling(1, 2, false, "misread", "storekeeper"))
            .with(new Ruling(2, 1, true, "seen", "storekeeper"));
    MeterNotes february = notes.until(LocalDate.parse("2027-02-28"));
    assertThat(february.readings()).containsExactly(FEBRUARY);
    assertThat(february.rulings()).extracting(Ruling::readingId).containsExactly(1L);
    assertThat(notes.until(LocalDate.parse("2027-03-01"))).isEqualTo(notes);
  }

  /**
   * Between the two, 1,470 h on 15 February fits what was before it (14 days × 24 = 336 h are
   * possible), but 1,450 h on 1 March would then run backwards: one reading is set aside.
   */
  @Test
  void aReadingThatSetsALaterOneAsideIsNotClean() {
    JudgedMeter.Trial trial = meter(FEBRUARY, MARCH).trying(seen("2027-02-15", "1470"));
    assertThat(trial.judged().accepted()).isTrue();
    assertThat(trial.setAside()).isEqualTo(1);
    assertThat(trial.isClean()).isFalse();
  }

  /** 1,540 h was misread for 1,450: what is corrected does not count as set aside. */
  @Test
  void aCorrectionIsCleanThoughTheCorrectedCountsNoMore() {
    NewReading right =
        new NewReading(
            LocalDate.parse("2027-03-01"),
            Optional.empty(),
            MeterValue.ofHours("1450"),
            Optional.of(2L));
    assertThat(meter(FEBRUARY, hours(2, "2027-03-01", "1540")).trying(right).isClean()).isTrue();
  }

  /** Of three on one sheet the second is below the first; the third is held against the first. */
  @Test
  void readingsEnteredTogetherAreHeldAgainstEachOther() {
    List<JudgedReading> judged =
        meter(FEBRUARY)
            .trying(
                List.of(
                    seen("2027-03-01", "1450"),
                    seen("2027-03-05", "1440"),
                    seen("2027-03-09", "1455")));
    assertThat(judged).extracting(JudgedReading::accepted).containsExactly(true, false, true);
    assertThat(judged.get(1).flag()).contains(ReadingFlag.BACKWARDS);
  }

  /**
   * The old meter ends at 1,450 h and the new one starts at 3 h: the end is judged as any reading.
   */
  @Test
  void theLastReadingOfAnExchangedMeterIsJudged() {
    JudgedMeter meter = meter(FEBRUARY);
    MeterValue start = MeterValue.ofHours("3");
    assertThat(meter.tryingExchange(seen("2027-03-01", "1450"), start).isClean()).isTrue();
    assertThat(flag(meter.tryingExchange(seen("2027-03-01", "1399.9"), start)))
        .contains(ReadingFlag.BACKWARDS);
  }

  /**
   * An exchange noted late: 1,480 h on 20 March was read off the new meter, whose life it was; with
   * an old end of 1,450 h and a start of 1,490 h it lies below the start and counts no more.
   */
  @Test
  void anExchangeNotedLateMaySetReadingsAside() {
    JudgedMeter meter = meter(FEBRUARY, hours(2, "2027-03-20", "1480"));
    JudgedMeter.Trial trial =
        meter.tryingExchange(seen("2027-03-10", "1450"), MeterValue.ofHours("1490"));
    assertThat(trial.setAside()).isEqualTo(1);
    assertThat(trial.isClean()).isFalse();
  }

  /** Below what its meter started at a reading cannot count, whoever accepts it. */
  @Test
  void acceptingAReadingBelowTheStartOfItsMeterDoesNotMakeItCount() {
    Reading below = hours(3, "2027-03-11", "2.9");
    MeterNotes notes =
        MeterNotes.of(List.of(FEBRUARY, MARCH, below))
            .with(new MeterReplacement(1, MARCH.id(), MeterValue.ofHours("3")));
    assertThat(meter(notes).trying(new Ruling.Wanted(3, true, "seen it", "auditor")).accepted())
        .isFalse();
  }

  @Test
  void aRulingIsTriedOnTheReadingItIsAbout() {
    JudgedMeter meter = meter(FEBRUARY, hours(2, "2027-02-10", "1300"));
    assertThat(meter.trying(new Ruling.Wanted(2, true, "new gauge", "auditor")).accepted())
        .isTrue();
    assertThat(meter.trying(new Ruling.Wanted(1, false, "misread", "auditor")).flag())
        .contains(ReadingFlag.REFUSED);
    assertThatThrownBy(() -> meter.trying(new Ruling.Wanted(9, true, "", "auditor")))
        .hasMessageContaining("9");
  }

  @Test
  void aReadingIsFoundByItsId() {
    JudgedMeter meter = meter(FEBRUARY, MARCH);
    assertThat(meter.reading(2).map(JudgedReading::reading)).contains(MARCH);
    assertThat(meter.reading(7)).isEmpty();
  }
}
