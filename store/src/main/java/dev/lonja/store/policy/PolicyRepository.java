package dev.lonja.store.policy;

import static dev.lonja.store.schema.Tables.POLICY;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Policies;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import dev.lonja.store.query.FixedQuery;
import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Supplier;
import java.util.stream.Stream;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.TableField;
import org.jooq.impl.DSL;
import org.jspecify.annotations.Nullable;

/** The choices of the store and of what differs from it. */
public final class PolicyRepository {

  private static final int SCALE = 4;

  private static final FixedQuery ALL =
      FixedQuery.of(DSL.select(POLICY.fields()).from(POLICY).orderBy(POLICY.ID));

  /** The column that names a holder, with what it holds; none for the store itself. */
  private static final Cases<Holder, Optional<Named<?>>> NAMED =
      Cases.<Holder, Optional<Named<?>>>over(Holder.class)
          .when(Holder.Store.class, store -> Optional.empty())
          .when(Holder.OfClass.class, in -> named(POLICY.CLASS_ID, in.classId()))
          .when(Holder.OfUnit.class, in -> named(POLICY.UNIT_ID, in.unitId()))
          .when(Holder.OfCompartment.class, in -> named(POLICY.COMPARTMENT_ID, in.compartmentId()))
          .when(Holder.OfPosition.class, in -> named(POLICY.POSITION_ID, in.positionId()))
          .all();

  private final DSLContext context;
  private final Supplier<Policies> inForce;

  private record Named<T>(TableField<?, T> column, T value) {}

  private static <T> Optional<Named<?>> named(TableField<?, T> column, T value) {
    return Optional.of(new Named<>(column, value));
  }

  /**
   * @param inForce as they stand whenever they are asked for
   */
  public PolicyRepository(DSLContext context, Supplier<Policies> inForce) {
    this.context = context;
    this.inForce = inForce;
  }

  /** Every choice that was made. */
  public Policies all() {
    return inForce.get();
  }

  /** Reads every choice that was made. */
  public static Policies read(DSLContext context) {
    Map<Holder, Map<Question, Choice>> made = new HashMap<>();
    ALL.with(context)
        .fetch()
        .forEach(
            row ->
                made.computeIfAbsent(holder(row), h -> new EnumMap<>(Question.class))
                    .put(
                        Question.valueOf(row.get(POLICY.QUESTION)),
                        choice(row.get(POLICY.SCHOOL), row.get(POLICY.NUMBER_E4))));
    return new Policies(made);
  }

  /** Makes a choice for a holder; an earlier one gives way. */
  public void choose(Holder holder, Choice choice) {
    withdraw(holder, choice.question());
    Map<Field<?>, Object> columns = new HashMap<>();
    NAMED.apply(holder).ifPresent(named -> columns.put(named.column(), named.value()));
    context
        .insertInto(POLICY)
        .set(columns)
        .set(POLICY.QUESTION, choice.question().name())
        .set(POLICY.SCHOOL, choice.school().name())
        .set(POLICY.NUMBER_E4, kept(choice))
        .execute();
  }

  /** Takes a choice back, so that what is wider answers again. */
  public void withdraw(Holder holder, Question question) {
    context.deleteFrom(POLICY).where(POLICY.QUESTION.eq(question.name()), isOf(holder)).execute();
  }

  private static Condition isOf(Holder holder) {
    return NAMED
        .apply(holder)
        .map(PolicyRepository::isNamed)
        .orElseGet(
            () ->
                Stream.of(
                        POLICY.CLASS_ID, POLICY.UNIT_ID, POLICY.COMPARTMENT_ID, POLICY.POSITION_ID)
                    .map(Field::isNull)
                    .reduce(DSL.noCondition(), Condition::and));
  }

  private static <T> Condition isNamed(Named<T> named) {
    return named.column().eq(named.value());
  }

  private static Holder holder(Record row) {
    return Stream.<Optional<Holder>>of(
            Optional.ofNullable(row.get(POLICY.CLASS_ID)).map(Holder.OfClass::new),
            Optional.ofNullable(row.get(POLICY.UNIT_ID)).map(Holder.OfUnit::new),
            Optional.ofNullable(row.get(POLICY.COMPARTMENT_ID)).map(Holder.OfCompartment::new),
            Optional.ofNullable(row.get(POLICY.POSITION_ID)).map(Holder.OfPosition::new))
        .flatMap(Optional::stream)
        .findFirst()
        .orElse(Holder.STORE);
  }

  /** The number of a choice as it is kept; null if its school needs none. */
  public static @Nullable Long kept(Choice choice) {
    return choice.number().map(n -> n.movePointRight(SCALE).longValueExact()).orElse(null);
  }

  /** A choice as it was kept. */
  public static Choice choice(String school, @Nullable Long number) {
    return new Choice(
        School.valueOf(school), Optional.ofNullable(number).map(n -> BigDecimal.valueOf(n, SCALE)));
  }
}
