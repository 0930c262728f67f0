package dev.lonja.store.fluid;

import static dev.lonja.store.schema.Tables.CHANGE_OVER;
import static dev.lonja.store.schema.Tables.STUDY;
import static dev.lonja.store.schema.Tables.STUDY_FORCE;
import static dev.lonja.store.schema.Tables.STUDY_LINE;
import static dev.lonja.store.schema.Tables.STUDY_PRODUCT;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.fluid.Level;
import dev.lonja.core.fluid.ProductId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.quantity.Volume;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Currency;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** Studies of the least set of products, and the change-overs that came of them. */
public final class StudyRepository {

  private final DSLContext context;
  private final Currency currency;

  public StudyRepository(DSLContext context, Currency currency) {
    this.context = context;
    this.currency = currency;
  }

  /**
   * A study as it was made.
   *
   * @param allowed the lowest verdict that counted as covering
   * @param holding what keeping one product costs a year, beside its stock
   * @param forcedBy by unit, the products that it alone forces
   */
  public record Study(
      String title,
      LocalDate on,
      Level allowed,
      Money holding,
      List<ProductId> forbidden,
      List<ProductId> kept,
      List<ProductId> chosen,
      List<Line> lines,
      Map<UnitId, List<ProductId>> forcedBy,
      Money cost,
      Money costToday,
      String actor) {

    public Money saving() {
      return costToday.minus(cost);
    }
  }

  /** A study under its number. */
  public record KeptStudy(long id, Study study) {}

  /**
   * A spec in use.
   *
   * @param today the product that serves it; empty if none is chosen
   * @param proposed empty if no allowed product covers it
   */
  public record Line(
      CompartmentId compartmentId,
      Volume litres,
      Optional<ProductId> today,
      Optional<ProductId> proposed) {}

  /** From a day on a compartment takes another item. */
  public record ChangeOver(
      CompartmentId compartmentId, ItemId itemId, LocalDate from, long studyId) {}

  /** Keeps a study; answers its number. */
  public long add(Study study, Instant at) {
    long id =
        context
            .insertInto(STUDY)
            .set(STUDY.TITLE, study.title())
            .set(STUDY.MADE_ON, study.on())
            .set(STUDY.ALLOWED, study.allowed().name())
            .set(STUDY.HOLDING_MINOR, study.holding().minor())
            .set(STUDY.COST_MINOR, study.cost().minor())
            .set(STUDY.COST_TODAY_MINOR, study.costToday().minor())
            .set(STUDY.ACTOR, study.actor())
            .set(STUDY.RECORDED_AT, at)
            .returning(STUDY.ID)
            .fetchSingle(STUDY.ID);
    study.forbidden().forEach(product -> addProduct(id, product, "FORBIDDEN"));
    study.kept().forEach(product -> addProduct(id, product, "KEPT"));
    study.chosen().forEach(product -> addProduct(id, product, "CHOSEN"));
    study.lines().forEach(line -> addLine(id, line));
    study.forcedBy().forEach((unit, products) -> products.forEach(p -> addForce(id, unit, p)));
    return id;
  }

  private void addProduct(long study, ProductId product, String part) {
    context
        .insertInto(STUDY_PRODUCT)
        .set(STUDY_PRODUCT.STUDY_ID, study)
        .set(STUDY_PRODUCT.PRODUCT_ID, product)
        .set(STUDY_PRODUCT.PART, part)
        .execute();
  }

  private void addLine(long study, Line line) {
    context
        .insertInto(STUDY_LINE)
        .set(STUDY_LINE.STUDY_ID, study)
        .set(STUDY_LINE.COMPARTMENT_ID, line.compartmentId())
        .set(STUDY_LINE.LITRES_UL, line.litres().microlitres())
        .set(STUDY_LINE.TODAY_ID, line.today().orElse(null))
        .set(STUDY_LINE.PROPOSED_ID, line.proposed().orElse(null))
        .execute();
  }

  private void addForce(long study, UnitId unit, ProductId product) {
    context
        .insertInto(STUDY_FORCE)
        .set(STUDY_FORCE.STUDY_ID, study)
        .set(STUDY_FORCE.UNIT_ID, unit)
        .set(STUDY_FORCE.PRODUCT_ID, product)
        .execute();
  }

  /** All studies, newest first. */
  public List<KeptStudy> all() {
    return where(DSL.noCondition());
  }

  public Optional<KeptStudy> byId(long id) {
    return where(STUDY.ID.eq(id)).stream().findFirst();
  }

  private List<KeptStudy> where(Condition condition) {
    return context.selectFrom(STUDY).where(condition).orderBy(STUDY.ID.desc()).fetch(this::study);
  }

  private KeptStudy study(Record row) {
    long id = row.get(STUDY.ID);
    return new KeptStudy(
        id,
        new Study(
            row.get(STUDY.TITLE),
            row.get(STUDY.MADE_ON),
            Level.valueOf(row.get(STUDY.ALLOWED)),
            new Money(row.get(STUDY.HOLDING_MINOR), currency),
            products(id, "FORBIDDEN"),
            products(id, "KEPT"),
            products(id, "CHOSEN"),
            context
                .selectFrom(STUDY_LINE)
                .where(STUDY_LINE.STUDY_ID.eq(id))
                .orderBy(STUDY_LINE.ID)
                .fetch(
                    line ->
                        new Line(
                            line.get(STUDY_LINE.COMPARTMENT_ID),
                            new Volume(line.get(STUDY_LINE.LITRES_UL)),
                            Optional.ofNullable(line.get(STUDY_LINE.TODAY_ID)),
                            Optional.ofNullable(line.get(STUDY_LINE.PROPOSED_ID)))),
            context
                .selectFrom(STUDY_FORCE)
                .where(STUDY_FORCE.STUDY_ID.eq(id))
                .orderBy(STUDY_FORCE.ID)
                .fetchGroups(STUDY_FORCE.UNIT_ID, STUDY_FORCE.PRODUCT_ID),
            new Money(row.get(STUDY.COST_MINOR), currency),
            new Money(row.get(STUDY.COST_TODAY_MINOR), currency),
            row.get(STUDY.ACTOR)));
  }

  private List<ProductId> products(long study, String part) {
    return context
        .selectFrom(STUDY_PRODUCT)
        .where(STUDY_PRODUCT.STUDY_ID.eq(study), STUDY_PRODUCT.PART.eq(part))
        .orderBy(STUDY_PRODUCT.ID)
        .fetch(STUDY_PRODUCT.PRODUCT_ID);
  }

  /** Every change-over that was set, by compartment. */
  public Map<CompartmentId, ChangeOver> changeOvers() {
    return context
        .selectFrom(CHANGE_OVER)
        .fetchMap(
            CHANGE_OVER.COMPARTMENT_ID,
            row ->
                new ChangeOver(
                    row.get(CHANGE_OVER.COMPARTMENT_ID),
                    row.get(CHANGE_OVER.ITEM_ID),
                    row.get(CHANGE_OVER.FROM_ON),
                    row.get(CHANGE_OVER.STUDY_ID)));
  }

  /** Sets a change-over in place of one that was set before. */
  public void set(ChangeOver change) {
    cancel(change.compartmentId());
    context
        .insertInto(CHANGE_OVER)
        .set(CHANGE_OVER.COMPARTMENT_ID, change.compartmentId())
        .set(CHANGE_OVER.ITEM_ID, change.itemId())
        .set(CHANGE_OVER.FROM_ON, change.from())
        .set(CHANGE_OVER.STUDY_ID, change.studyId())
        .execute();
  }

  /** Takes a change-over back. */
  public void cancel(CompartmentId compartmentId) {
    context.deleteFrom(CHANGE_OVER).where(CHANGE_OVER.COMPARTMENT_ID.eq(compartmentId)).execute();
  }
}
