package dev.lonja.app.demo;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What a compartment of the demo's machines demands, written as a manual would. */
final class DemoSpec {

  private record GradeLine(String grade, @Nullable String lowest, @Nullable String highest) {}

  private record ClassLine(int group, String organisation, String name) {}

  private final String fluid;
  private final List<GradeLine> grades = new ArrayList<>();
  private final List<ClassLine> classes = new ArrayList<>();
  private final List<String> approvals = new ArrayList<>();
  private String mode = "or_class";
  private int groups;
  private @Nullable String ash;
  private @Nullable String zinc;
  private String modifier = "any";
  private boolean wetClutch;
  private boolean biodegradable;
  private @Nullable String chemistry;
  private @Nullable String base;

  private DemoSpec(String fluid) {
    this.fluid = fluid;
  }

  static DemoSpec of(String fluid) {
    return new DemoSpec(fluid);
  }

  /** A grade from one ambient temperature to another; either may be open. */
  DemoSpec grade(String grade, @Nullable String lowest, @Nullable String highest) {
    grades.add(new GradeLine(grade, lowest, highest));
    return this;
  }

  /** A group of classes that will do, all of them together. */
  DemoSpec meeting(String organisation, String... names) {
    groups++;
    for (String name : names) {
      classes.add(new ClassLine(groups, organisation, name));
    }
    return this;
  }

  DemoSpec approved(String... codes) {
    approvals.addAll(List.of(codes));
    return this;
  }

  /** Only an approval will do. */
  DemoSpec listedOnly() {
    mode = "listed";
    return this;
  }

  DemoSpec ashUpTo(String percent) {
    ash = percent;
    return this;
  }

  DemoSpec zincFrom(String milligrams) {
    zinc = milligrams;
    return this;
  }

  DemoSpec modifierRequired() {
    modifier = "required";
    return this;
  }

  DemoSpec onWetClutch() {
    wetClutch = true;
    return this;
  }

  DemoSpec biodegradable() {
    biodegradable = true;
    return this;
  }

  DemoSpec family(String family) {
    chemistry = family;
    return this;
  }

  DemoSpec base(String name) {
    base = name;
    return this;
  }

  /** Lays the compartment down with everything that it demands. */
  long addTo(DemoSheets sheets, long variant, String name, String kind, long item, String hint) {
    long id =
        sheets.compartments.add(
            variant,
            name,
            kind,
            item,
            hint,
            fluid,
            mode,
            ash,
            zinc,
            modifier,
            wetClutch,
            biodegradable,
            chemistry,
            base);
    grades.forEach(g -> sheets.specGrades.add(id, g.grade(), g.lowest(), g.highest()));
    classes.forEach(c -> sheets.specClasses.add(id, c.group(), c.organisation(), c.name()));
    approvals.forEach(code -> sheets.specApprovals.add(id, code));
    return id;
  }
}
