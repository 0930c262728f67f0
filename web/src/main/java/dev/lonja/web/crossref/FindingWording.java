package dev.lonja.web.crossref;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.crossref.Allowance;
import dev.lonja.core.crossref.Comparison;
import dev.lonja.core.crossref.Finding;
import dev.lonja.core.crossref.Finding.Agreement;
import dev.lonja.core.crossref.Finding.Weight;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.web.frame.State;
import java.util.ArrayList;
import java.util.List;

/** What a comparison found, in words. */
final class FindingWording {

  private static final Cases<Allowance, String> ALLOWED =
      Cases.<Allowance, String>over(Allowance.class)
          .when(Allowance.Within.class, within -> "within " + within.tolerance().display())
          .when(
              Allowance.WithinBar.class,
              within -> "within " + PlainDecimal.of(within.tolerance()) + " bar")
          .when(
              Allowance.Between.class,
              between ->
                  "at most "
                      + between.more().display()
                      + " more, "
                      + between.less().display()
                      + " less")
          .when(
              Allowance.AtMostTimes.class,
              times -> "at most " + PlainDecimal.of(times.factor()) + " times as coarse")
          .when(Allowance.AtLeast.class, any -> "the same or more")
          .when(Allowance.AtMost.class, any -> "the same or less")
          .when(Allowance.WithinPoints.class, within -> "within " + within.points() + " points")
          .when(Allowance.IfAsked.class, any -> "needed if the other has it")
          .when(Allowance.UpTo.class, most -> "room here for " + most.most().display())
          .when(Allowance.Demanded.class, any -> "needed here")
          .when(Allowance.OneOf.class, list -> "here " + String.join(" or ", list.values()))
          .when(Allowance.Withstands.class, fluid -> "must withstand " + fluid.fluid())
          .when(Allowance.Equal.class, same -> "the same")
          .all();

  private FindingWording() {}

  /** One property on its line: both values, what is allowed, what came of it. */
  record Row(String property, String asked, String offered, String allowed, State state) {}

  static Row row(Finding finding) {
    return new Row(
        finding.property().words(),
        orDash(finding.asked()),
        orDash(finding.offered()),
        allowed(finding.allowance()),
        state(finding));
  }

  private static String orDash(String value) {
    return value.isEmpty() ? "not recorded" : value;
  }

  private static State state(Finding finding) {
    return switch (finding.agreement()) {
      case AGREES -> State.ready("agrees");
      case UNVERIFIED -> State.note("unverified");
      case DIFFERS ->
          finding.weight() == Weight.CHECK ? State.note("differs") : State.ofShort("differs");
    };
  }

  static String allowed(Allowance allowance) {
    return ALLOWED.apply(allowance);
  }

  /** The reasons against a part, and what should be looked at, each in a few words. */
  static List<String> reasons(Comparison comparison) {
    List<String> reasons = new ArrayList<>();
    if (comparison.familiesDiffer()) {
      reasons.add("another kind of part");
    }
    if (comparison.familyUnknown()) {
      reasons.add("its kind is not known, so nothing is compared");
    }
    comparison.findings().stream()
        .filter(Finding::differs)
        .forEach(finding -> reasons.add(difference(finding)));
    List<String> unverified =
        comparison.findings().stream()
            .filter(f -> f.agreement() == Agreement.UNVERIFIED && f.weight() != Weight.CHECK)
            .map(finding -> finding.property().words())
            .distinct()
            .toList();
    if (!unverified.isEmpty()) {
      reasons.add("not verified: " + String.join(", ", unverified));
    }
    return reasons;
  }

  private static String difference(Finding finding) {
    String offered = finding.property().words() + " " + finding.offered();
    if (finding.weight() == Weight.POSITION
        || finding.allowance() instanceof Allowance.Withstands) {
      return offered + ", " + allowed(finding.allowance());
    }
    return offered + " instead of " + finding.asked();
  }
}
