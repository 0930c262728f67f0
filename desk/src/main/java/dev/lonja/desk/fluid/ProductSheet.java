package dev.lonja.desk.fluid;

import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.mixture.FreezeTable;
import dev.lonja.core.mixture.Strength;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.Density;
import dev.lonja.core.quantity.PlainDecimal;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A product by field, each value as it can be read back; it fills the form and stands in the audit.
 */
public final class ProductSheet {

  /** A field for a hazard is called by this and its code. */
  public static final String HAZARD = "hazard-";

  private ProductSheet() {}

  public static Map<String, String> of(Product product) {
    Map<String, String> fields = new LinkedHashMap<>();
    Product.Data data = product.data();
    fields.put("make", product.make());
    fields.put("name", product.name());
    fields.put("kind", product.kind().name());
    fields.put("grade", product.grade());
    fields.put("classes", product.classes());
    fields.put("listed", codes(product, true));
    fields.put("suitable", codes(product, false));
    fields.put("ash", data.ash().map(AshContent::exactText).orElse(""));
    fields.put("zinc", data.zincMilligrams().map(String::valueOf).orElse(""));
    fields.put("modifier", yesNo(data.frictionModifier()));
    fields.put("biodegradable", yesNo(data.biodegradable()));
    fields.put("density", data.density().map(Density::exactText).orElse(""));
    fields.put("chemistry", data.chemistry().map(Chemistry::words).orElse(""));
    fields.put("base", data.base().map(Enum::name).orElse(""));
    fields.put("type", data.type().map(Enum::name).orElse(""));
    fields.put(
        "mixShare",
        data.strength().map(s -> PlainDecimal.of(s.share().movePointRight(2))).orElse(""));
    fields.put("glycol", data.strength().flatMap(Strength::glycol).map(Enum::name).orElse(""));
    fields.put(
        "freezePoints",
        data.strength().flatMap(Strength::own).map(FreezeTable::written).orElse(""));
    data.hazards().forEach(code -> fields.put(HAZARD + code, "yes"));
    return fields;
  }

  private static String codes(Product product, boolean listed) {
    return product.approvals().stream()
        .filter(approval -> approval.listed() == listed)
        .map(approval -> approval.code().text())
        .collect(Collectors.joining(", "));
  }

  private static String yesNo(Optional<Boolean> value) {
    return value.map(v -> v ? "yes" : "no").orElse("");
  }
}
