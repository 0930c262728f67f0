package dev.lonja.web.spec;

import dev.lonja.core.fluid.ApprovalCode;
import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.mixture.Protection;
import dev.lonja.core.quantity.PlainDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/** What a spec demands, in a few words each. */
final class SpecWording {

  private SpecWording() {}

  /** Everything but the grades. */
  static List<String> demands(Spec spec) {
    List<String> words = new ArrayList<>();
    if (!spec.classGroups().isEmpty()) {
      words.add(
          spec.classGroups().stream()
              .map(
                  group ->
                      group.stream()
                          .sorted()
                          .map(ServiceClass::text)
                          .collect(Collectors.joining(" and ")))
              .collect(Collectors.joining(" or ")));
    }
    if (!spec.approvals().isEmpty()) {
      words.add(
          spec.approvals().stream().map(ApprovalCode::text).collect(Collectors.joining(" or "))
              + (spec.mode() == Spec.ApprovalMode.LISTED ? " listed, nothing less" : " or class"));
    }
    Spec.Limits limits = spec.limits();
    limits.mostAsh().ifPresent(ash -> words.add("ash at most " + ash.display()));
    limits.leastZincMilligrams().ifPresent(z -> words.add("zinc at least " + z + " mg/kg"));
    if (limits.frictionModifier() != Spec.FrictionModifier.ANY) {
      words.add(
          limits.frictionModifier() == Spec.FrictionModifier.REQUIRED
              ? "friction modifier wanted"
              : "no friction modifier");
    }
    if (limits.wetClutch()) {
      words.add("wet clutch, JASO MA");
    }
    if (limits.biodegradable()) {
      words.add("readily biodegradable");
    }
    limits.chemistry().map(Chemistry::words).ifPresent(words::add);
    limits.base().map(BrakeBase::words).ifPresent(words::add);
    Protection protection = limits.protection();
    protection.downTo().ifPresent(frost -> words.add("stands frost to " + frost.display()));
    protection
        .share()
        .ifPresent(share -> words.add(PlainDecimal.of(share.movePointRight(2)) + " % concentrate"));
    return words;
  }

  /** "15W-40 from −15 °C to 45 °C". */
  static String grade(GradeRow row) {
    return row.grade().text()
        + row.lowest().map(t -> " from " + t.display()).orElse("")
        + row.highest().map(t -> (" to ") + t.display()).orElse("")
        + (row.lowest().isEmpty() && row.highest().isEmpty() ? " at any temperature" : "");
  }
}
