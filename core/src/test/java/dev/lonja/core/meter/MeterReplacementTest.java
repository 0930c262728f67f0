package dev.lonja.core.meter;

import static dev.lonja.core.meter.Fleets.hours;
import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.quantity.MeterValue;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Exchanged meters, readings ruled on by a person, and readings that correct others. */
class MeterReplacementTest {

  private static final Reading FEBRUARY = hours(1, "2027-02-01", "1400");
  private static final Reading END = hours(2, "2027-03-01", "1450");
  private static final Reading AFTER = hours(3, "2027-03-11", "28");

  /** The old meter ends at 1,450 h, the new one starts at 3: at 28 h the life is 1,475 h. */
  @Test
  void lifeGoesOnOverAnExchange() {
    ReadingLog log = ReadingLog.judge(notes(FEBRUARY, END, AFTER).with(replacement(END, "3")));
    assertThat(lives(log)).containsExactly("1,400 h", "1,450 h", "1,475 h");
    assertThat(log.offset().shown(MeterValue.ofHours("1500"))).contains(MeterValue.ofHours("53"));
    assertThat(log.offset().shown(MeterValue.ofHours("1446.9"))).isEmpty();
  }

  /** Without the exchange on file, 28 h after 1,450 h run backwards. */
  @Test
  void anExchangeNotedLaterReadmitsWhatWasFlagged() {
    assertThat(ReadingLog.judge(notes(FEBRUARY, END, AFTER)).readings().get(2).flag())
        .contains(ReadingFlag.BACKWARDS);
  }

  /** The old end lies below 1,400 h and is refused: life goes on from 1,400, to 1,400 + 28 − 3. */
  @Test
  void anEndThatIsRefusedAddsNothing() {
    Reading wrongEnd = hours(2, "2027-03-01", "1350");
    ReadingLog log =
        ReadingLog.judge(notes(FEBRUARY, wrongEnd, AFTER).with(replacement(wrongEnd, "3")));
    assertThat(lives(log)).containsExactly("1,400 h", "1,425 h");
    assertThat(log.readings().get(1).flag()).contains(ReadingFlag.BACKWARDS);
  }

  /** A used meter that shows 5,000 h was put in; 5,010 h then are a life of 1,460 h. */
  @Test
  void aUsedMeterMayStartAboveTheLife() {
    Reading later = hours(3, "2027-03-11", "5010");
    ReadingLog log = ReadingLog.judge(notes(END, later).with(replacement(END, "5000")));
    assertThat(lives(log)).containsExactly("1,450 h", "1,460 h");
  }

  @Test
  void belowItsStartAReadingIsNotOfTheNewMeter() {
    Reading below = hours(3, "2027-03-11", "2.9");
    MeterNotes notes = notes(END, below).with(replacement(END, "3"));
    assertThat(ReadingLog.judge(notes).readings().get(1).flag()).contains(ReadingFlag.BELOW_START);
    assertThat(ReadingLog.judge(notes.with(accept(1, below))).readings().get(1).accepted())
        .isFalse();
  }

  /** A used machine came in on 1 January showing 812 h: 811.9 h is a slip, whoever accepts it. */
  @Test
  void belowWhatItsMachineCameInWithAReadingIsRefused() {
    LifePoint start =
        new LifePoint(LocalDate.parse("2027-01-01"), Optional.empty(), MeterValue.ofHours("812"));
    Reading slip = hours(1, "2027-03-01", "811.9");
    Reading same = hours(2, "2027-03-01", "812");
    MeterNotes notes =
        new MeterNotes(Optional.of(start), List.of(slip, same), List.of(), List.of());
    List<JudgedReading> judged = ReadingLog.judge(notes.with(accept(1, slip))).readings();
    assertThat(judged.get(0).flag()).contains(ReadingFlag.BELOW_START);
    assertThat(judged.get(0).accepted()).isFalse();
    assertThat(judged.get(0).against()).contains(start);
    assertThat(judged.get(1).accepted()).isTrue();
  }

  /** From 1 to 11 March 11 × 24 = 264 h are possible; the new meter may reach 267, not 267.1. */
  @Test
  void whatIsPossibleIsHeldAgainstLifeOverTheExchange() {
    assertThat(flagAfterExchange("267")).isEmpty();
    assertThat(flagAfterExchange("267.1")).contains(ReadingFlag.IMPOSSIBLE);
  }

  private static Optional<ReadingFlag> flagAfterExchange(String shown) {
    Reading later = hours(3, "2027-03-11", shown);
    return ReadingLog.judge(notes(END, later).with(replacement(END, "3"))).readings().get(1).flag();
  }

  /** 1,300 h on 10 February is accepted by a person: 1,400 h before it would let life fall. */
  @Test
  void anAcceptedReadingRefusesThoseThatWouldLetLifeFall() {
    Reading lower = hours(3, "2027-02-10", "1300");
    MeterNotes notes = notes(FEBRUARY, lower, END);
    assertThat(lives(ReadingLog.judge(notes))).containsExactly("1,400 h", "1,450 h");
    ReadingLog ruled = ReadingLog.judge(notes.with(accept(1, lower)));
    assertThat(lives(ruled)).containsExactly("1,300 h", "1,450 h");
    assertThat(ruled.readings().get(0).flag()).contains(ReadingFlag.OVERRULED);
    assertThat(ruled.readings().get(0).against().map(LifePoint::day))
        .contains(LocalDate.parse("2027-02-10"));
  }

  /** Two accepted readings that cannot both hold: the later ruling stands. */
  @Test
  void ofRulingsThatCannotBothHoldTheLaterOneStands() {
    Reading lower = hours(3, "2027-02-10", "1300");
    MeterNotes notes = notes(FEBRUARY, lower).with(accept(1, lower)).with(accept(2, FEBRUARY));
    assertThat(lives(ReadingLog.judge(notes))).containsExactly("1,400 h");
  }

  /** A reading that would be impossible counts once accepted, and keeps its flag to be seen. */
  @Test
  void anImpossibleReadingCanBeAccepted() {
    Reading far = hours(2, "2027-02-03", "1600");
    ReadingLog log = ReadingLog.judge(notes(FEBRUARY, far).with(accept(1, far)));
    assertThat(log.readings().get(1).accepted()).isTrue();
    assertThat(log.readings().get(1).flag()).contains(ReadingFlag.IMPOSSIBLE);
  }

  /** Set aside, then accepted again: the last ruling holds. */
  @Test
  void theLastRulingOnAReadingHolds() {
    MeterNotes refused = notes(FEBRUARY, END).with(new Ruling(1, 2, false, "misread", "auditor"));
    assertThat(ReadingLog.judge(refused).readings().get(1).flag()).contains(ReadingFlag.REFUSED);
    assertThat(lives(ReadingLog.judge(refused.with(accept(2, END)))))
        .containsExactly("1,400 h", "1,450 h");
  }

  /** 1,540 h was meant to be 1,450: the new reading cites it, and the next one fits again. */
  @Test
  void aCorrectionTakesThePlaceOfTheReadingItCites() {
    Reading wrong = hours(2, "2027-03-01", "1540");
    Reading next = hours(3, "2027-03-05", "1460");
    Reading right =
        new Reading(4, wrong.day(), Optional.empty(), MeterValue.ofHours("1450"), Optional.of(2L));
    ReadingLog log = ReadingLog.judge(notes(FEBRUARY, wrong, next, right));
    assertThat(lives(log)).containsExactly("1,400 h", "1,450 h", "1,460 h");
    assertThat(log.readings().get(1).flag()).contains(ReadingFlag.CORRECTED);
  }

  private static MeterNotes notes(Reading... readings) {
    return MeterNotes.of(List.of(readings));
  }

  private static MeterReplacement replacement(Reading end, String start) {
    return new MeterReplacement(1, end.id(), MeterValue.ofHours(start));
  }

  private static Ruling accept(long id, Reading reading) {
    return new Ruling(id, reading.id(), true, "seen with own eyes", "storekeeper");
  }

  private static List<String> lives(ReadingLog log) {
    return log.accepted().stream().map(point -> point.life().display()).toList();
  }
}
