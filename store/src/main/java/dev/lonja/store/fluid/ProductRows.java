package dev.lonja.store.fluid;

import static dev.lonja.store.schema.Tables.PRODUCT;
import static dev.lonja.store.schema.Tables.PRODUCT_APPROVAL;

import dev.lonja.core.fluid.Approval;
import dev.lonja.core.fluid.ApprovalCode;
import dev.lonja.core.fluid.BrakeBase;
import dev.lonja.core.fluid.Chemistry;
import dev.lonja.core.fluid.HydraulicType;
import dev.lonja.core.fluid.Product;
import dev.lonja.core.grade.FluidKind;
import dev.lonja.core.mixture.FreezeTable;
import dev.lonja.core.mixture.Glycol;
import dev.lonja.core.mixture.Strength;
import dev.lonja.core.quantity.AshContent;
import dev.lonja.core.quantity.Density;
import java.math.BigDecimal;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** Reads products out of rows that join their table. */
public final class ProductRows {

  /**
   * A product's approvals in one text, a line each, 1 for listed or 0 before the code. They are not
   * ordered here: SQLite would take the separator for a part of the order.
   */
  public static final Field<String> APPROVALS =
      DSL.field(
          DSL.select(
                  DSL.groupConcat(DSL.concat(PRODUCT_APPROVAL.LISTED, PRODUCT_APPROVAL.CODE))
                      .separator("\n"))
              .from(PRODUCT_APPROVAL)
              .where(PRODUCT_APPROVAL.PRODUCT_ID.eq(PRODUCT.ID))
              .asField("approvals"));

  private static final int SHARE_DECIMALS = 4;

  private ProductRows() {}

  public static Product product(Record row) {
    return new Product(
        row.get(PRODUCT.ID),
        row.get(PRODUCT.MAKE),
        row.get(PRODUCT.NAME),
        FluidKind.valueOf(row.get(PRODUCT.KIND)),
        row.get(PRODUCT.GRADE),
        row.get(PRODUCT.CLASSES),
        approvals(row.get("approvals", String.class)),
        data(row),
        row.get(PRODUCT.VERSION));
  }

  private static List<Approval> approvals(@Nullable String lines) {
    return lines == null
        ? List.of()
        : Arrays.stream(lines.split("\n"))
            .sorted(Comparator.comparing((String line) -> line.substring(1)))
            .map(line -> new Approval(new ApprovalCode(line.substring(1)), line.charAt(0) == '1'))
            .toList();
  }

  private static Product.Data data(Record row) {
    return new Product.Data(
        Optional.ofNullable(row.get(PRODUCT.ASH_E3)).map(Math::toIntExact).map(AshContent::new),
        Optional.ofNullable(row.get(PRODUCT.ZINC_MG_KG)).map(Math::toIntExact),
        yesNo(row.get(PRODUCT.FRICTION_MODIFIER)),
        yesNo(row.get(PRODUCT.BIODEGRADABLE)),
        Optional.ofNullable(row.get(PRODUCT.DENSITY_G_M3)).map(Density::new),
        Optional.ofNullable(row.get(PRODUCT.CHEMISTRY)).map(Chemistry::valueOf),
        Optional.ofNullable(row.get(PRODUCT.BASE)).map(BrakeBase::valueOf),
        Optional.ofNullable(row.get(PRODUCT.HYDRAULIC_TYPE)).map(HydraulicType::valueOf),
        strength(row),
        row.get(PRODUCT.HAZARDS).isEmpty()
            ? List.of()
            : List.of(row.get(PRODUCT.HAZARDS).split(", ")));
  }

  /** How strong a coolant or a screen wash is, where somebody has said. */
  public static Optional<Strength> strength(Record row) {
    return Optional.ofNullable(row.get(PRODUCT.MIX_SHARE_E4))
        .map(
            share ->
                new Strength(
                    BigDecimal.valueOf(share, SHARE_DECIMALS),
                    Optional.ofNullable(row.get(PRODUCT.GLYCOL)).map(Glycol::valueOf),
                    Optional.ofNullable(row.get(PRODUCT.FREEZE_POINTS))
                        .flatMap(FreezeTable::read)));
  }

  private static Optional<Boolean> yesNo(@Nullable Long value) {
    return Optional.ofNullable(value).map(v -> v == 1);
  }
}
