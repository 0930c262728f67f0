package dev.lonja.store.fluid;

import static dev.lonja.store.schema.Tables.ITEM;
import static dev.lonja.store.schema.Tables.PRODUCT;
import static dev.lonja.store.schema.Tables.PRODUCT_APPROVAL;

import dev.lonja.core.fluid.Approval;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.mixture.FreezeTable;
import dev.lonja.core.mixture.Strength;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.Density;
import dev.lonja.store.query.NextNumber;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.impl.DSL;

/** Fluids independent of their packs. */
public final class ProductRepository {

  private final DSLContext context;

  public ProductRepository(DSLContext context) {
    this.context = context;
  }

  /** All products in order of make and name. */
  public List<Product> all() {
    return where(DSL.noCondition());
  }

  public Optional<Product> byId(ProductId id) {
    return where(PRODUCT.ID.eq(id)).stream().findFirst();
  }

  public Optional<Product> byName(String make, String name) {
    return where(PRODUCT.MAKE.equalIgnoreCase(make).and(PRODUCT.NAME.equalIgnoreCase(name)))
        .stream()
        .findFirst();
  }

  private List<Product> where(Condition condition) {
    return context
        .select(PRODUCT.asterisk(), ProductRows.APPROVALS)
        .from(PRODUCT)
        .where(condition)
        .orderBy(PRODUCT.MAKE, PRODUCT.NAME)
        .fetch(ProductRows::product);
  }

  /** The number of a product that is about to be added. */
  public ProductId next() {
    return NextNumber.of(context, PRODUCT, PRODUCT.ID);
  }

  /** Adds a product under the number drawn for it; its version does not count. */
  public void add(Product product) {
    context.insertInto(PRODUCT).set(row(product)).set(PRODUCT.ID, product.id()).execute();
    addApprovals(product.id(), product.approvals());
  }

  /** Writes an edit; false if someone else changed the product since it was read. */
  public boolean update(Product product) {
    boolean written =
        context
                .update(PRODUCT)
                .set(row(product))
                .set(PRODUCT.VERSION, product.version() + 1)
                .where(PRODUCT.ID.eq(product.id()), PRODUCT.VERSION.eq(product.version()))
                .execute()
            == 1;
    if (written) {
      context
          .deleteFrom(PRODUCT_APPROVAL)
          .where(PRODUCT_APPROVAL.PRODUCT_ID.eq(product.id()))
          .execute();
      addApprovals(product.id(), product.approvals());
    }
    return written;
  }

  /** The product of each item that is a pack of one. */
  public Map<ItemId, ProductId> ofItems() {
    return context
        .select(ITEM.ID, ITEM.PRODUCT_ID)
        .from(ITEM)
        .where(ITEM.PRODUCT_ID.isNotNull())
        .fetchMap(ITEM.ID, ITEM.PRODUCT_ID);
  }

  private void addApprovals(ProductId id, List<Approval> approvals) {
    for (Approval approval : approvals) {
      context
          .insertInto(PRODUCT_APPROVAL)
          .set(PRODUCT_APPROVAL.PRODUCT_ID, id)
          .set(PRODUCT_APPROVAL.CODE, approval.code().text())
          .set(PRODUCT_APPROVAL.LISTED, approval.listed() ? 1L : 0L)
          .execute();
    }
  }

  private static Map<Field<?>, Object> row(Product product) {
    Product.Data data = product.data();
    Map<Field<?>, Object> row = new HashMap<>();
    row.put(PRODUCT.MAKE, product.make());
    row.put(PRODUCT.NAME, product.name());
    row.put(PRODUCT.KIND, product.kind().name());
    row.put(PRODUCT.GRADE, product.grade());
    row.put(PRODUCT.CLASSES, product.classes());
    row.put(PRODUCT.ASH_E3, data.ash().map(AshContent::thousandthsOfPercent).orElse(null));
    row.put(PRODUCT.ZINC_MG_KG, data.zincMilligrams().orElse(null));
    row.put(PRODUCT.FRICTION_MODIFIER, data.frictionModifier().map(m -> m ? 1 : 0).orElse(null));
    row.put(PRODUCT.BIODEGRADABLE, data.biodegradable().map(b -> b ? 1 : 0).orElse(null));
    row.put(PRODUCT.DENSITY_G_M3, data.density().map(Density::gramsPerCubicMetre).orElse(null));
    row.put(PRODUCT.CHEMISTRY, data.chemistry().map(Enum::name).orElse(null));
    row.put(PRODUCT.BASE, data.base().map(Enum::name).orElse(null));
    row.put(PRODUCT.HYDRAULIC_TYPE, data.type().map(Enum::name).orElse(null));
    row.put(
        PRODUCT.MIX_SHARE_E4,
        data.strength().map(s -> s.share().movePointRight(4).longValueExact()).orElse(null));
    row.put(PRODUCT.GLYCOL, data.strength().flatMap(Strength::glycol).map(Enum::name).orElse(null));
    row.put(
        PRODUCT.FREEZE_POINTS,
        data.strength().flatMap(Strength::own).map(FreezeTable::written).orElse(null));
    row.put(PRODUCT.HAZARDS, String.join(", ", data.hazards()));
    return row;
  }
}
