package dev.lonja.web.unitclass;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fleet.Outline;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.variant.ClassDesk;
import dev.lonja.web.frame.Words;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.Month;
import java.time.format.TextStyle;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** The forms of classes of units, read, and refused in words. */
final class ClassForms {

  private static final int LONGEST_NAME = Lengths.NAME;
  private static final String CODE = "[A-Z0-9][A-Z0-9-]{0,19}";

  static final RefusalWording REFUSED =
      RefusalWording.of(
          ClassDesk.Refused.class,
          Cases.<ClassDesk.Refused, Problem>over(ClassDesk.Refused.class)
              .when(
                  ClassDesk.CodeTaken.class,
                  taken -> new Problem("code", "There is a class " + taken.code() + " already."))
              .when(
                  ClassDesk.NoOriginal.class,
                  none -> new Problem("like", "The class to copy is not on file any more."))
              .when(
                  ClassDesk.HasUnits.class,
                  units ->
                      Problem.ofWhole(
                          "It cannot be deleted: "
                              + Words.count(units.units(), "unit belongs", "units belong")
                              + " to it. Retired ones count too."))
              .when(
                  ClassDesk.NeverRuns.class,
                  never ->
                      new Problem(
                          "month-1",
                          "All twelve months are 0; a machine that never runs has no months."
                              + " Retire it, or note a lay-up."))
              .all());

  private ClassForms() {}

  static Optional<String> name(Typed typed, String text) {
    return typed.text("name", "The name", text, LONGEST_NAME);
  }

  static Optional<String> code(Typed typed, String text) {
    String code = text.strip().toUpperCase(Locale.ROOT);
    if (!code.matches(CODE)) {
      typed.refuse(
          "code", "\"" + code + "\" cannot be a code; write up to 20 letters, digits and hyphens.");
      return Optional.empty();
    }
    return Optional.of(code);
  }

  static Optional<Outline> outline(Typed typed, String text) {
    Optional<Outline> outline =
        Arrays.stream(Outline.values()).filter(o -> o.name().equals(text)).findFirst();
    if (outline.isEmpty()) {
      typed.refuse("outline", "Choose how its machines are drawn.");
    }
    return outline;
  }

  /** Twelve weights from 0 to 12, January first. */
  static List<BigDecimal> weights(Typed typed, Map<String, String> fields) {
    List<BigDecimal> weights = new ArrayList<>();
    for (Month month : Month.values()) {
      String field = "month-" + month.getValue();
      String text = fields.getOrDefault(field, "");
      String name = month.getDisplayName(TextStyle.FULL, Locale.ENGLISH);
      weights.add(
          typed.decimalFromZero(field, name, text, Limits.MONTH_FACTOR).orElse(BigDecimal.ZERO));
    }
    return weights;
  }
}
