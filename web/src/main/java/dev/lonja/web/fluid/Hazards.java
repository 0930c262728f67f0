package dev.lonja.web.fluid;

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

  private Hazards(List<ReferenceRow> rows) {
    rows.forEach(row -> this.rows.put(row.cell("code"), row));
  }

  public static Hazards load(Session session) {
    return new Hazards(session.references().rows(ReferenceFile.HAZARDS));
  }

  /** "Hot oil. Burns skin. Let it cool." for each hazard of a product. */
  public List<String> of(Product product) {
    return product.data().hazards().stream()
        .map(rows::get)
        .filter(Objects::nonNull)
        .map(row -> row.cell("title") + ". " + row.cell("text"))
        .toList();
  }

  List<String> codes() {
    return List.copyOf(rows.keySet());
  }

  List<SpecView.Choice> choices() {
    return rows.values().stream()
        .map(row -> new SpecView.Choice(row.cell("code"), row.cell("title")))
        .toList();
  }

  List<ProductView.Caution> cautions(Product product) {
    return product.data().hazards().stream()
        .map(rows::get)
        .filter(Objects::nonNull)
        .map(row -> new ProductView.Caution(row.cell("title"), row.cell("text")))
        .toList();
  }
}
