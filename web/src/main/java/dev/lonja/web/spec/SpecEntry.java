package dev.lonja.web.spec;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.fluid.ApprovalCode;
import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.FluidReference;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.grade.Grade;
import dev.lonja.core.grade.GradeChart;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.mixture.Protection;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.Limits;
import dev.lonja.core.quantity.Spoken;
import dev.lonja.core.quantity.Temperature;
import dev.lonja.core.text.Lengths;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;

/** Reads the form of a spec; what is wrong is in {@code typed}. */
public final class SpecEntry {

  static final int GRADE_ROWS = 6;
  private static final int LONGEST_GRADE = Lengths.GRADE;
  private static final int LONGEST_CODE = Lengths.SHORT;

  private static final int COLDEST_TENTHS = -800;

  private final Map<String, String> form;
  private final FluidReference reference;
  private final Typed typed;

  SpecEntry(Map<String, String> form, FluidReference reference, Typed typed) {
    this.form = form;
    this.reference = reference;
    this.typed = typed;
  }

  private String text(String field) {
    return form.getOrDefault(field, "").strip();
  }

  /** The spec of the form; empty if something is wrong. */
  Optional<Spec> spec() {
    Optional<FluidKind> kind =
        Arrays.stream(FluidKind.values()).filter(k -> k.name().equals(text("kind"))).findFirst();
    if (kind.isEmpty()) {
      typed.refuse("kind", "Choose the kind of fluid.");
      return Optional.empty();
    }
    GradeChart chart = new GradeChart(gradeRows());
    chart
        .problems(kind.get(), reference.grades())
        .forEach(problem -> typed.refuse("grade-1", words(problem, kind.get())));
    List<Set<ServiceClass>> groups = groups();
    List<ApprovalCode> codes = codes();
    Spec.ApprovalMode mode =
        typed
            .choiceOrNone("mode", text("mode"), Spec.ApprovalMode.values())
            .orElse(Spec.ApprovalMode.OR_CLASS);
    if (mode == Spec.ApprovalMode.LISTED && codes.isEmpty()) {
      typed.refuse("approvals", "Name the approvals, or let the classes do as well.");
    }
    Spec.Limits limits = limits(kind.get());
    return typed.problems().isEmpty()
        ? Optional.of(new Spec(kind.get(), chart, groups, codes, mode, limits))
        : Optional.empty();
  }

  private List<GradeRow> gradeRows() {
    List<GradeRow> rows = new ArrayList<>();
    for (int no = 1; no <= GRADE_ROWS; no++) {
      String grade = text("grade-" + no);
      if (!grade.isEmpty()) {
        Optional<String> named = typed.text("grade-" + no, "The grade", grade, LONGEST_GRADE);
        Optional<Temperature> low = temperature("low-" + no);
        Optional<Temperature> high = temperature("high-" + no);
        named.ifPresent(text -> rows.add(new GradeRow(new Grade(text), low, high)));
      } else if (!text("low-" + no).isEmpty() || !text("high-" + no).isEmpty()) {
        typed.refuse("grade-" + no, "A range has no grade. Write the grade before it.");
      }
    }
    return rows;
  }

  private Optional<Temperature> temperature(String field) {
    return text(field).isEmpty()
        ? Optional.empty()
        : TemperatureEntry.of(typed, field, text(field));
  }

  private static String words(GradeChart.Problem problem, FluidKind kind) {
    return Cases.<GradeChart.Problem, String>over(GradeChart.Problem.class)
        .when(
            GradeChart.Problem.NotAGrade.class,
            p ->
                "\""
                    + p.grade().text()
                    + "\" is not a grade of "
                    + kind.words()
                    + (kind.isGraded()
                        ? " oil; grades that exist are under Setup, standards."
                        : " fluid, which has none; leave the chart empty."))
        .when(
            GradeChart.Problem.Inverted.class,
            p ->
                "The range of "
                    + p.row().grade().text()
                    + " runs from "
                    + p.row().lowest().orElseThrow().display()
                    + " to "
                    + p.row().highest().orElseThrow().display()
                    + "; the first must not be the higher.")
        .when(
            GradeChart.Problem.Overlapping.class,
            p ->
                "Two ranges of "
                    + p.row().grade().text()
                    + " lie over each other: "
                    + SpecWording.grade(p.other())
                    + ", and "
                    + SpecWording.grade(p.row())
                    + ".")
        .all()
        .apply(problem);
  }

  private List<Set<ServiceClass>> groups() {
    List<Set<ServiceClass>> groups = new ArrayList<>();
    for (String line : text("classes").split("\\R")) {
      Set<ServiceClass> group = new TreeSet<>();
      for (String name : line.split(",")) {
        if (!name.isBlank()) {
          Optional<ServiceClass> known =
              reference
                  .classes()
                  .named(name)
                  .or(() -> reference.classes().read(name).claimed().stream().findFirst());
          known.ifPresentOrElse(
              group::add,
              () ->
                  typed.refuse(
                      "classes",
                      "\""
                          + name.strip()
                          + "\" is not a class that is known. Write one such as API CI-4, or add"
                          + " it under Setup, standards."));
        }
      }
      if (!group.isEmpty() && !groups.contains(group)) {
        groups.add(group);
      }
    }
    if (groups.size() > Limits.GROUPS) {
      typed.refuse(
          "classes", "There are " + groups.size() + " lines; allowed are " + Limits.GROUPS + ".");
    }
    return groups;
  }

  private List<ApprovalCode> codes() {
    return codes(text("approvals"), "approvals", typed);
  }

  /** Codes with a comma or semicolon between them, each once. */
  public static List<ApprovalCode> codes(String text, String field, Typed typed) {
    Map<String, ApprovalCode> codes = new LinkedHashMap<>();
    for (String code : text.split("[,;\\n]")) {
      if (!code.isBlank()) {
        typed
            .text(field, "The approval " + code.strip(), code, LONGEST_CODE)
            .map(ApprovalCode::new)
            .ifPresent(c -> codes.putIfAbsent(c.key(), c));
      }
    }
    return List.copyOf(codes.values());
  }

  private Spec.Limits limits(FluidKind kind) {
    Optional<AshContent> ash =
        text("ash").isEmpty()
            ? Optional.empty()
            : typed
                .decimalFromZero("ash", "The ash in per cent", text("ash"), Limits.PER_CENT)
                .map(AshContent::ofPercent);
    Optional<Integer> zinc =
        text("zinc").isEmpty()
            ? Optional.empty()
            : typed.wholeBetween("zinc", "The zinc in mg/kg", text("zinc"), 0, Limits.MG_KG);
    Spec.FrictionModifier modifier =
        typed
            .choiceOrNone("modifier", text("modifier"), Spec.FrictionModifier.values())
            .orElse(Spec.FrictionModifier.ANY);
    boolean wetClutch = text("wetClutch").equals("yes");
    if (wetClutch && modifier == Spec.FrictionModifier.REQUIRED) {
      typed.refuse("modifier", "A wet clutch slips with a friction modifier; it cannot be wanted.");
    }
    return new Spec.Limits(
        ash,
        zinc,
        modifier,
        wetClutch,
        text("biodegradable").equals("yes"),
        kind == FluidKind.COOLANT
            ? typed.choiceOrNone("chemistry", text("chemistry"), Chemistry.values())
            : Optional.empty(),
        kind == FluidKind.BRAKE_FLUID
            ? typed.choiceOrNone("base", text("base"), BrakeBase.values())
            : Optional.empty(),
        kind.isMixed() ? protection() : Protection.UNSAID);
  }

  private Protection protection() {
    Optional<Temperature> frost =
        text("protectTo").isEmpty()
            ? Optional.empty()
            : Spoken.TEMPERATURE
                .read(text("protectTo"))
                .filter(t -> t.tenthsCelsius() <= 0 && t.tenthsCelsius() >= COLDEST_TENTHS);
    if (frost.isEmpty() && !text("protectTo").isEmpty()) {
      typed.refuse(
          "protectTo",
          "The frost that it must stand is \""
              + text("protectTo")
              + "\"; allowed is 0 to -80 °C, or as much in °F.");
    }
    Optional<BigDecimal> share =
        text("mixShare").isEmpty()
            ? Optional.empty()
            : typed
                .decimalUpTo("mixShare", "The concentrate in it, in %,", text("mixShare"), 100, 2)
                .map(percent -> percent.movePointLeft(2));
    return new Protection(frost, share);
  }
}
