package dev.lonja.web.meter;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.MeterReplacement;
import dev.lonja.core.meter.MeterStanding;
import dev.lonja.core.meter.ReadingFlag;
import dev.lonja.core.meter.UsageRate;
import dev.lonja.desk.meter.UnitMetersDesk;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.Words;
import dev.lonja.web.unitclass.MonthBars;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Says in words what was noted of one unit's meters. */
final class UnitMetersWording {

  private static final int MOST_READINGS = 30;

  private final LocalDate today;

  private UnitMetersWording(LocalDate today) {
    this.today = today;
  }

  static UnitMetersView view(UnitMetersDesk.UnitMeters file, LocalDate today) {
    return new UnitMetersWording(today).view(file);
  }

  private UnitMetersView view(UnitMetersDesk.UnitMeters file) {
    Unit unit = file.unit();
    return new UnitMetersView(
        unit.code(),
        unit.name(),
        file.meters().stream().map(this::block).toList(),
        file.layUps().stream()
            .map(
                stored ->
                    new UnitMetersView.LayUpRow(
                        stored.id(),
                        Words.day(stored.layUp().first(), today)
                            + " to "
                            + Words.day(stored.layUp().last(), today)))
            .toList(),
        MonthBars.named(
                file.calendar().monthlyFactors(), "How " + unit.unitClass().name() + " are used")
            .svg(),
        unit.unitClass().name(),
        unit.unitClass().code(),
        today.toString());
  }

  private UnitMetersView.MeterBlock block(JudgedMeter meter) {
    MeterStanding standing = meter.standing();
    List<JudgedReading> all = meter.log().readings();
    List<UnitMetersView.ReadingRow> rows = new ArrayList<>();
    for (int i = all.size() - 1; i >= Math.max(0, all.size() - MOST_READINGS); i--) {
      rows.add(row(meter, all.get(i)));
    }
    return new UnitMetersView.MeterBlock(
        standing.file().meter().id(),
        standing.file().meter().name(),
        standing.file().meter().measure().symbol(),
        standing.expectedToShow(today).display(),
        isExchanged(meter) ? standing.outlook().on(today).rounded().display() : "",
        new UnitMetersView.Rate(
            RateWording.words(standing.outlook().rate()),
            standing.file().meter().declaredRate().map(UsageRate::exactText).orElse("")),
        standing.isStale(today)
            ? Optional.of(State.note("silent for " + standing.silentDays(today) + " days"))
            : Optional.empty(),
        meter.log().lastAccepted().map(j -> j.reading().value().display()).orElse(""),
        rows,
        meter.notes().replacements().stream().map(c -> replacement(meter, c)).toList());
  }

  private static boolean isExchanged(JudgedMeter meter) {
    return !meter.notes().replacements().isEmpty();
  }

  private UnitMetersView.ReadingRow row(JudgedMeter meter, JudgedReading judged) {
    boolean ends =
        meter.notes().replacements().stream()
            .anyMatch(change -> change.endReadingId() == judged.reading().id());
    boolean corrected = judged.flag().filter(ReadingFlag.CORRECTED::equals).isPresent();
    return new UnitMetersView.ReadingRow(
        judged.reading().id(),
        Words.day(judged.reading().day(), today),
        judged.reading().value().display() + (ends ? ", the old meter's last" : ""),
        isExchanged(meter) ? judged.counted().map(p -> p.life().display()).orElse("") : "",
        state(judged),
        why(judged),
        judged.accepted(),
        !ends && !corrected);
  }

  private static State state(JudgedReading judged) {
    if (judged.accepted()) {
      return judged.ruling().isEmpty() ? State.ready("counts") : State.ready("counts, accepted");
    }
    return State.note(ReadingWording.flag(judged.flag().orElseThrow()));
  }

  private static String why(JudgedReading judged) {
    String against = judged.flag().isPresent() ? ReadingWording.why(judged) + " " : "";
    return judged.accepted() && judged.ruling().isPresent()
        ? against + "Accepted by " + ReadingWording.ruled(judged) + "."
        : against;
  }

  private UnitMetersView.ReplacementRow replacement(JudgedMeter meter, MeterReplacement change) {
    JudgedReading end =
        meter.log().readings().stream()
            .filter(judged -> judged.reading().id() == change.endReadingId())
            .findFirst()
            .orElseThrow();
    return new UnitMetersView.ReplacementRow(
        change.id(),
        "Exchanged on "
            + Words.day(end.reading().day(), today)
            + ": the old one ended at "
            + end.reading().value().display()
            + ", the new one started at "
            + change.start().display()
            + ".");
  }
}
