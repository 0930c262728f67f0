package dev.lonja.web.meter;

import dev.lonja.core.calendar.LayUp;
import dev.lonja.core.cases.Cases;
import dev.lonja.core.meter.JudgedMeter;
import dev.lonja.core.meter.JudgedReading;
import dev.lonja.core.meter.MeterId;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.meter.ReadingRefusal;
import dev.lonja.desk.meter.UnitMetersDesk;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.Optional;

/** The forms on one unit's meters: what was typed, read, and refused in words. */
final class UnitMetersForms {

  private static final int LONGEST_REASON = Lengths.REASON;

  private static final Cases<UnitMetersDesk.Refused, Problem> REFUSED =
      Cases.<UnitMetersDesk.Refused, Problem>over(UnitMetersDesk.Refused.class)
          .when(
              UnitMetersDesk.UnknownReading.class,
              none -> Problem.ofWhole(none.unit() + " has no such reading."))
          .when(
              UnitMetersDesk.CannotCount.class,
              cannot -> Problem.ofWhole("It cannot count: " + ReadingWording.why(cannot.judged())))
          .when(
              UnitMetersDesk.EndsMeter.class,
              ends ->
                  Problem.ofWhole(
                      "This reading ends a meter. Withdraw the exchange and note it anew."))
          .when(
              UnitMetersDesk.RanOn.class,
              on ->
                  new Problem(
                      "day",
                      on.readings()
                          + (on.readings() == 1 ? " reading" : " readings")
                          + " after that day would be set aside; the old meter seems to have run"
                          + " on."))
          .when(
              UnitMetersDesk.UnknownExchange.class,
              none -> Problem.ofWhole("That exchange is not on file any more."))
          .when(
              UnitMetersDesk.UnknownLayUp.class,
              none -> Problem.ofWhole("That lay-up is not on file any more."))
          .when(
              UnitMetersDesk.TooMuchADay.class,
              much -> new Problem("perDay", ReadingWording.tooMuch(much)))
          .when(
              UnitMetersDesk.Overlaps.class,
              overlap ->
                  new Problem(
                      "first",
                      "It overlaps the lay-up from "
                          + overlap.other().first()
                          + " to "
                          + overlap.other().last()
                          + ". Take that one off first."))
          .all();

  private UnitMetersForms() {}

  /** Why the desk refused; {@code valueField} is that of the reading. */
  static RefusalWording refusals(String valueField) {
    return RefusalWording.of(UnitMetersDesk.Refused.class, REFUSED)
        .and(ReadingWording.at("day", valueField));
  }

  /**
   * What is to become of a reading.
   *
   * @param what accept, refuse or correct
   * @param value the right value, for a correction
   */
  record OnReading(long readingId, String what, String value, String reason) {

    Optional<Outcome> send(
        UnitMetersDesk desk, Sent sent, UnitMetersDesk.UnitMeters unit, Typed typed) {
      Optional<String> because = why(typed, reason);
      String code = unit.unit().code();
      if (what.equals("correct")) {
        Optional<MeterValue> right =
            unit.meterOf(readingId)
                .flatMap(m -> read(typed, "value", "The right reading", value, m));
        return typed.problems().isEmpty() && right.isPresent()
            ? Optional.of(desk.correct(sent, code, readingId, right.get(), because.orElseThrow()))
            : noSuchReading(desk, sent, code, typed);
      }
      if (!what.equals("accept") && !what.equals("refuse")) {
        typed.refuse("what", "Choose whether to count it, set it aside or correct it.");
      }
      return typed.all(
          () -> desk.rule(sent, code, readingId, what.equals("accept"), because.orElseThrow()));
    }

    /** What cannot be read is a problem already; a reading that is gone is one now. */
    private Optional<Outcome> noSuchReading(
        UnitMetersDesk desk, Sent sent, String code, Typed typed) {
      return typed.all(() -> Outcome.refused(new UnitMetersDesk.UnknownReading(code)));
    }
  }

  /** An exchanged meter as typed. */
  record Replacement(MeterId meterId, String day, String end, String start, String reason) {

    Optional<Outcome> send(
        UnitMetersDesk desk, Sent sent, UnitMetersDesk.UnitMeters unit, Typed typed) {
      Optional<JudgedMeter> meter = unit.meter(meterId);
      if (meter.isEmpty()) {
        return Optional.of(Outcome.refused(new ReadingRefusal.UnknownMeter(meterId)));
      }
      Optional<LocalDate> on = typed.day("day", day);
      Optional<MeterValue> last = Optional.empty();
      if (end.isBlank()) {
        typed.refuse("end", "The old meter's last reading is missing. " + lastKnown(meter.get()));
      } else {
        last = read(typed, "end", "The old meter's last reading", end, meter.get());
      }
      Optional<MeterValue> first =
          read(typed, "start", "The new meter's first reading", start, meter.get());
      Optional<String> because = why(typed, reason);
      Optional<MeterValue> ended = last;
      return typed.all(
          () ->
              desk.replace(
                  sent,
                  unit.unit().code(),
                  new UnitMetersDesk.Exchange(
                      meterId,
                      on.orElseThrow(),
                      ended.orElseThrow(),
                      first.orElseThrow(),
                      because.orElseThrow())));
    }
  }

  /** Days on which a unit does not run, as typed. */
  record Rest(String first, String last) {

    Optional<Outcome> send(UnitMetersDesk desk, Sent sent, String code, Typed typed) {
      Optional<LocalDate> from = typed.day("first", first);
      Optional<LocalDate> to = typed.day("last", last);
      if (from.isPresent() && to.isPresent() && from.get().isAfter(to.get())) {
        typed.refuse(
            "last", "The last day, " + to.get() + ", lies before the first, " + from.get() + ".");
      }
      return typed.all(
          () -> desk.layUp(sent, code, new LayUp(from.orElseThrow(), to.orElseThrow())));
    }
  }

  static Optional<String> why(Typed typed, String reason) {
    return typed.text("reason", "The reason", reason, LONGEST_REASON);
  }

  private static Optional<MeterValue> read(
      Typed typed, String field, String what, String text, JudgedMeter meter) {
    return MeterEntry.value(typed, field, what, text, meter.standing().file().meter().measure());
  }

  private static String lastKnown(JudgedMeter meter) {
    return meter
        .log()
        .lastAccepted()
        .map(JudgedReading::reading)
        .map(
            last ->
                "If it cannot be read any more, write the last accepted one, "
                    + last.value().display()
                    + " on "
                    + last.day()
                    + ".")
        .orElse("If it was never read, write what it stood at when it went into service.");
  }
}
