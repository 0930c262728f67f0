package dev.lonja.desk.meter;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.ReadingFlag;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.desk.Cage;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;

/** Readings of the pressure washer PW-1: its meter, number 9, showed 3.4 h on 22 February 2027. */
class MeterDeskTest {

  private static final MeterId WASHER = new MeterId(9);

  @RegisterExtension private final Cage cage = new Cage();
  private MeterDesk desk;

  @BeforeEach
  void open() {
    desk = new MeterDesk(cage.store(), cage.clock(), cage.once());
  }

  private static MeterDesk.Entry entry(MeterId meter, String day, String hours) {
    return new MeterDesk.Entry(meter, LocalDate.parse(day), MeterValue.ofHours(hours));
  }

  private static MeterDesk.Entry today(String hours) {
    return entry(WASHER, Cage.TODAY.toString(), hours);
  }

  private List<JudgedReading> readings() {
    return cage.read(
        session -> {
          MeterStanding meter = FleetPicture.load(session, Cage.TODAY).meters().get(WASHER);
          JudgedMeter judged = FleetPicture.judged(session, meter);
          return judged.log().readings();
        });
  }

  @Test
  void aReadingThatFitsIsNoted() {
    assertThat(desk.note(cage.sent(), "PW-1", today("12.2"), false))
        .isInstanceOf(Outcome.Done.class);
    assertThat(readings()).hasSize(2).allMatch(JudgedReading::accepted);
  }

  @Test
  void oneThatRunsBackwardsIsRefusedUnlessItIsWantedAllTheSame() {
    assertThat(Cage.reasons(desk.note(cage.sent(), "PW-1", today("3.3"), false)))
        .singleElement()
        .isInstanceOfSatisfying(
            ReadingRefusal.SetAside.class,
            aside -> assertThat(aside.judged().flag()).contains(ReadingFlag.BACKWARDS));
    assertThat(readings()).hasSize(1);
    desk.note(cage.sent(), "PW-1", today("3.3"), true);
    assertThat(readings()).extracting(JudgedReading::accepted).containsExactly(true, false);
  }

  /** 20 h on 1 March would set aside 12.2 h on 15 March. */
  @Test
  void oneThatSetsALaterOneAsideIsRefused() {
    desk.note(cage.sent(), "PW-1", today("12.2"), false);
    assertThat(
            Cage.reasons(desk.note(cage.sent(), "PW-1", entry(WASHER, "2027-03-01", "20"), false)))
        .isEqualTo(List.of(new ReadingRefusal.SetsOthersAside(WASHER, 1)));
  }

  @Test
  void noDayStillToComeAndNoMeterOfAnotherUnit() {
    LocalDate tomorrow = Cage.TODAY.plusDays(1);
    MeterDesk.Entry early = entry(WASHER, tomorrow.toString(), "12.2");
    assertThat(Cage.reasons(desk.note(cage.sent(), "PW-1", early, true)))
        .isEqualTo(List.of(new ReadingRefusal.InFuture(WASHER, tomorrow, Cage.TODAY)));
    assertThat(Cage.reasons(desk.note(cage.sent(), "WB-1", today("12.2"), true)))
        .isEqualTo(List.of(new ReadingRefusal.UnknownMeter(WASHER)));
  }

  /** The second is below the first; the others are held against the first. */
  @Test
  void ofManyTheGoodOnesAreKeptIfThatIsWanted() {
    List<MeterDesk.Entry> sheet =
        List.of(
            entry(WASHER, "2027-03-01", "6"),
            entry(WASHER, "2027-03-02", "5.9"),
            entry(new MeterId(77), "2027-03-02", "5.9"),
            entry(WASHER, "2027-03-03", "7"));
    List<Refusal> bad = Cage.reasons(desk.note(cage.sent(), sheet, false));
    assertThat(bad).extracting(refusal -> ((MeterDesk.Bad) refusal).entry()).containsExactly(1, 2);
    assertThat(desk.check(sheet)).isEqualTo(bad);
    assertThat(readings()).hasSize(1);
    assertThat(desk.note(cage.sent(), sheet, true)).isEqualTo(new Outcome.Done("2"));
    assertThat(readings()).hasSize(3);
  }

  @Test
  void whereNothingIsGoodNothingIsNoted() {
    List<MeterDesk.Entry> sheet = List.of(entry(WASHER, "2027-03-01", "1"));
    assertThat(Cage.reasons(desk.note(cage.sent(), sheet, true)))
        .isEqualTo(List.of(new MeterDesk.NothingToNote()));
  }
}
