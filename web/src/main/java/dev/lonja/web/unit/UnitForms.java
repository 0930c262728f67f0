package dev.lonja.web.unit;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.meter.Meter;
import dev.lonja.core.quantity.MeterValue;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.unit.UnitDesk;
import dev.lonja.desk.unit.UnitRefusal;
import dev.lonja.web.meter.MeterEntry;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** The forms that take units into the fleet, edit them, and take them out. */
final class UnitForms {

  private static final int LONGEST_NAME = Lengths.NAME;
  private static final int LONGEST_REASON = Lengths.REASON;

  /** A field for what a meter stands at is called by this and the meter's name. */
  private static final String START = "start-";

  private static final Cases<UnitRefusal, Problem> WORDS =
      Cases.<UnitRefusal, Problem>over(UnitRefusal.class)
          .when(
              UnitRefusal.NoModel.class,
              none -> new Problem("like", "Choose a unit that the new one is like."))
          .when(
              UnitRefusal.BadCode.class,
              bad ->
                  new Problem(
                      "code",
                      "\""
                          + bad.code()
                          + "\" cannot be a code; write up to 20 letters, digits and hyphens, such"
                          + " as RT-11."))
          .when(
              UnitRefusal.CodeTaken.class,
              taken -> new Problem("code", "There is a unit " + taken.code() + " already."))
          .when(
              UnitRefusal.InFuture.class,
              future -> Problem.inFuture("inService", future.day(), future.today()))
          .when(UnitRefusal.UnknownClass.class, UnitForms::unknownClass)
          .when(
              UnitRefusal.UnknownVariant.class,
              none -> new Problem("table", "There is no variant \"" + none.name() + "\"."))
          .when(
              UnitRefusal.LacksMeter.class,
              lacks ->
                  new Problem(
                      START + lacks.meter(),
                      "Its tasks count by a meter called "
                          + lacks.meter()
                          + ", which is not among its own."))
          .when(
              UnitRefusal.OtherMeasure.class,
              other ->
                  new Problem(
                      START + other.meter(),
                      "The meter "
                          + other.meter()
                          + " of this variant counts "
                          + other.symbol()
                          + "."))
          .when(
              UnitRefusal.LeavesTooSoon.class,
              soon ->
                  new Problem(
                      "on",
                      soon.day()
                          + " is before its first day of service; allowed is "
                          + soon.inServiceOn()
                          + " or later."))
          .when(
              UnitRefusal.TrayOpen.class,
              open ->
                  Problem.ofWhole("Tray " + open.number() + " is open for it. Put it back first."))
          .when(
              UnitRefusal.Nothing.class, nothing -> Problem.ofWhole("There is no unit to take in."))
          .when(UnitRefusal.BadRow.class, bad -> words(bad.why()))
          .all();

  /** Why the desk refused. */
  static final RefusalWording REFUSED = RefusalWording.of(UnitRefusal.class, WORDS);

  private UnitForms() {}

  static Problem words(UnitRefusal refusal) {
    return WORDS.apply(refusal);
  }

  private static Problem unknownClass(UnitRefusal.UnknownClass none) {
    return new Problem(
        "unitClass",
        none.known().isEmpty()
            ? "Choose a class of units."
            : "There is no class \""
                + none.code()
                + "\"; there are "
                + String.join(", ", none.known())
                + ".");
  }

  /** A new unit as typed. */
  record NewUnit(String like, String code, String name, String inService) {

    /**
     * Empty, with the problems noted, if it cannot be read.
     *
     * @param fields all of the form, for what its meters stand at
     */
    Optional<Outcome> send(
        UnitDesk desk, Sent sent, List<Meter> meters, Map<String, String> fields, Typed typed) {
      Optional<String> called = typed.text("name", "The name", name, LONGEST_NAME);
      Optional<LocalDate> day = typed.day("inService", inService);
      Map<String, MeterValue> starts = new TreeMap<>();
      for (Meter meter : meters) {
        String field = START + meter.name();
        MeterEntry.value(
                typed,
                field,
                "What the " + meter.name() + " meter stands at",
                fields.getOrDefault(field, ""),
                meter.measure())
            .ifPresent(value -> starts.put(meter.name(), value));
      }
      return typed.all(
          () ->
              desk.add(
                  sent,
                  new UnitDesk.NewUnit(
                      like,
                      code.strip().toUpperCase(Locale.ROOT),
                      called.orElseThrow(),
                      day.orElseThrow(),
                      starts)));
    }
  }

  /** A unit as it is edited. */
  public record Edit(String name, String unitClass, String inService) {

    /** Empty, with the problems noted, if it cannot be read. */
    Optional<Outcome> send(UnitDesk desk, Sent sent, String code, long version, Typed typed) {
      Optional<String> called = typed.text("name", "The name", name, LONGEST_NAME);
      Optional<LocalDate> day = typed.day("inService", inService);
      return typed.all(
          () ->
              desk.edit(
                  sent,
                  code,
                  version,
                  new UnitDesk.Edit(called.orElseThrow(), unitClass, day.orElseThrow())));
    }
  }

  /** Why a unit leaves the fleet. */
  static Optional<String> why(Typed typed, String text) {
    return typed.text("why", "The reason", text, LONGEST_REASON);
  }
}
