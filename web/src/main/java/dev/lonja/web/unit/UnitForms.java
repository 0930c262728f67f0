package dev.lonja.web.unit;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.desk.unit.UnitDesk;
import dev.lonja.desk.unit.UnitRefusal;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Typed;
import java.time.LocalDate;
import java.util.Optional;

/** The forms that edit units and take them out of the fleet, and why any is refused. */
final class UnitForms {

  private static final int LONGEST_NAME = Lengths.NAME;
  private static final int LONGEST_REASON = Lengths.REASON;

  private static final String METERS = "meters";

  private static final Cases<UnitRefusal, Problem> WORDS =
      Cases.<UnitRefusal, Problem>over(UnitRefusal.class)
          .when(
              UnitRefusal.NoVariant.class,
              none -> new Problem("variant", "That variant is not on file any more."))
          .when(
              UnitRefusal.MeterTwice.class,
              twice -> new Problem(METERS, "Two of its meters are called " + twice.meter() + "."))
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
                      METERS,
                      "Its tasks count by a meter called "
                          + lacks.meter()
                          + ", which is not among its own."))
          .when(
              UnitRefusal.OtherMeasure.class,
              other ->
                  new Problem(
                      METERS,
                      "The meter "
                          + other.meter()
                          + " of this variant counts "
                          + other.symbol()
                          + "."))
          .when(
              UnitRefusal.FellSince.class,
              fell ->
                  new Problem(
                      METERS,
                      "The meter "
                          + fell.meter()
                          + " stood at "
                          + fell.start().display()
                          + " that day and cannot show "
                          + fell.shows().display()
                          + " today."))
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
