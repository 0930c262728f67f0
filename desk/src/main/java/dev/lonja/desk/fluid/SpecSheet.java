package dev.lonja.desk.fluid;

import dev.lonja.core.fluid.ApprovalCode;
import dev.lonja.core.fluid.ServiceClass;
import dev.lonja.core.fluid.Spec;
import dev.lonja.core.grade.GradeRow;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.PlainDecimal;
import dev.lonja.core.quantity.Temperature;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.stream.Collectors;

/**
 * A spec by field, each value as it can be read back; it fills the form and stands in the audit.
 */
public final class SpecSheet {

  private SpecSheet() {}

  public static Map<String, String> of(Spec spec) {
    Map<String, String> fields = new LinkedHashMap<>();
    fields.put("kind", spec.kind().name());
    int no = 0;
    for (GradeRow row : spec.chart().rows()) {
      no++;
      fields.put("grade-" + no, row.grade().text());
      fields.put("low-" + no, row.lowest().map(Temperature::exactText).orElse(""));
      fields.put("high-" + no, row.highest().map(Temperature::exactText).orElse(""));
    }
    fields.put(
        "classes",
        spec.classGroups().stream()
            .map(
                group ->
                    group.stream()
                        .sorted()
                        .map(ServiceClass::text)
                        .collect(Collectors.joining(", ")))
            .collect(Collectors.joining("\n")));
    fields.put(
        "approvals",
        spec.approvals().stream().map(ApprovalCode::text).collect(Collectors.joining(", ")));
    fields.put("mode", spec.mode().name());
    Spec.Limits limits = spec.limits();
    fields.put("ash", limits.mostAsh().map(AshContent::exactText).orElse(""));
    fields.put("zinc", limits.leastZincMilligrams().map(String::valueOf).orElse(""));
    fields.put("modifier", limits.frictionModifier().name());
    fields.put("wetClutch", limits.wetClutch() ? "yes" : "");
    fields.put("biodegradable", limits.biodegradable() ? "yes" : "");
    fields.put("chemistry", limits.chemistry().map(Enum::name).orElse(""));
    fields.put("base", limits.base().map(Enum::name).orElse(""));
    fields.put("protectTo", limits.protection().downTo().map(Temperature::exactText).orElse(""));
    fields.put(
        "mixShare",
        limits
            .protection()
            .share()
            .map(share -> PlainDecimal.of(share.movePointRight(2)))
            .orElse(""));
    return fields;
  }
}
