package dev.lonja.store.fluid;

import static dev.lonja.store.schema.Tables.DATA_SHEET;

import dev.lonja.core.fluid.ProductId;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;

/** The sheets that makers give out with their products. */
public final class DataSheetRepository {

  private final DSLContext context;

  public DataSheetRepository(DSLContext context) {
    this.context = context;
  }

  /** What a sheet is for. */
  public enum Kind {
    SAFETY("safety data sheet"),
    PRODUCT("product data sheet");

    private final String words;

    Kind(String words) {
      this.words = words;
    }

    public String words() {
      return words;
    }
  }

  /**
   * A sheet without its pages.
   *
   * @param datedOn the day that stands on it
   */
  public record Sheet(long id, Kind kind, LocalDate datedOn, String actor) {}

  /** The sheets of a product by kind, the latest first. */
  public List<Sheet> of(ProductId product) {
    return context
        .select(DATA_SHEET.ID, DATA_SHEET.KIND, DATA_SHEET.DATED_ON, DATA_SHEET.ACTOR)
        .from(DATA_SHEET)
        .where(DATA_SHEET.PRODUCT_ID.eq(product))
        .orderBy(DATA_SHEET.KIND.desc(), DATA_SHEET.DATED_ON.desc(), DATA_SHEET.ID.desc())
        .fetch(
            row ->
                new Sheet(
                    row.get(DATA_SHEET.ID),
                    Kind.valueOf(row.get(DATA_SHEET.KIND)),
                    row.get(DATA_SHEET.DATED_ON),
                    row.get(DATA_SHEET.ACTOR)));
  }

  /** The pages of a sheet of a product, as PDF; empty if there is none such. */
  public Optional<byte[]> content(ProductId product, long id) {
    return context
        .select(DATA_SHEET.CONTENT)
        .from(DATA_SHEET)
        .where(DATA_SHEET.PRODUCT_ID.eq(product), DATA_SHEET.ID.eq(id))
        .fetchOptional(DATA_SHEET.CONTENT);
  }

  /** Keeps a sheet. */
  public void add(
      ProductId product, Kind kind, LocalDate datedOn, byte[] content, String actor, Instant at) {
    context
        .insertInto(DATA_SHEET)
        .set(DATA_SHEET.PRODUCT_ID, product)
        .set(DATA_SHEET.KIND, kind.name())
        .set(DATA_SHEET.DATED_ON, datedOn)
        .set(DATA_SHEET.CONTENT, content)
        .set(DATA_SHEET.ACTOR, actor)
        .set(DATA_SHEET.RECORDED_AT, at)
        .execute();
  }

  /** Takes a sheet off that was kept in error. */
  public void remove(long id) {
    context.deleteFrom(DATA_SHEET).where(DATA_SHEET.ID.eq(id)).execute();
  }
}
