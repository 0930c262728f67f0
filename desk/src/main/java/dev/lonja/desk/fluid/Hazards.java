package dev.lonja.desk.fluid;

import dev.lonja.core.fluid.Product;
import dev.lonja.store.Session;
import dev.lonja.store.reference.ReferenceFile;
import dev.lonja.store.reference.ReferenceRow;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;

/** The hazard texts of products, as this store words them. */
public final class Hazards {

  private final Map<String, ReferenceRow> rows = new LinkedHashMap<>();

  /** A hazard as the store words it. */
  public record Text(String code, String title, String text) {}

  private Hazards(List<ReferenceRow> rows) {
    rows.forEach(row -> this.rows.put(row.cell("code"), row));
  }

  public static Hazards load(Session session) {
    return new Hazards(session.references().rows(ReferenceFile.HAZARDS));
  }

  /** All that are known, in order. */
  public List<Text> all() {
    return rows.values().stream().map(Hazards::text).toList();
  }

  /** Those of one product. */
  public List<Text> of(Product product) {
    return ofCodes(product.data().hazards());
  }

  /** Those of these codes; one that the store does not word is left out. */
  public List<Text> ofCodes(List<String> codes) {
    return codes.stream().map(rows::get).filter(Objects::nonNull).map(Hazards::text).toList();
  }

  private static Text text(ReferenceRow row) {
    return new Text(row.cell("code"), row.cell("title"), row.cell("text"));
  }
}
