package dev.lonja.store.crossref;

import static dev.lonja.store.schema.Tables.PART;
import static dev.lonja.store.schema.Tables.PART_PROPERTY;
import static dev.lonja.store.schema.Tables.STATEMENT;
import static dev.lonja.store.schema.Tables.WITHDRAWAL;

import dev.lonja.core.crossref.Confidence;
import dev.lonja.core.crossref.NewStatement;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.crossref.StatementSource;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.statementlist.KnownParts;
import dev.lonja.store.part.PartRepository;
import dev.lonja.store.query.Bound;
import dev.lonja.store.query.FixedQuery;
import dev.lonja.store.query.NextNumber;
import java.math.BigDecimal;
import java.time.Instant;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.jooq.BatchBindStep;
import org.jooq.Condition;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.ResultQuery;
import org.jooq.SelectJoinStep;
import org.jooq.impl.DSL;

/** What is said of parts. Lines are only ever added. */
public final class StatementRepository implements StatementSource {

  private static final int FETCH = 1_000;
  private static final Condition STANDS = WITHDRAWAL.ID.isNull();

  /** By one index each, and the few that name two of these parts only once. */
  private static final FixedQuery STANDING =
      FixedQuery.of(
          statements()
              .where(STANDS, Bound.oneOfGiven(STATEMENT.SUBJECT_ID))
              .union(statements().where(STANDS, Bound.oneOfGiven(STATEMENT.OBJECT_ID)))
              .orderBy(1));

  private final DSLContext context;

  public StatementRepository(DSLContext context) {
    this.context = context;
  }

  @Override
  public List<Statement> standing(Collection<PartId> parts) {
    String ids = Bound.numbers(parts);
    return STANDING.with(context, ids, ids).fetch(StatementRepository::statement);
  }

  @Override
  public List<Part> parts(Collection<PartId> ids) {
    return new PartRepository(context).byIds(ids);
  }

  public Optional<StatedLine> byId(long id) {
    return lines(STATEMENT.ID.eq(id)).stream().findFirst();
  }

  /** Everything that was ever said of a part, the latest first. */
  public List<StatedLine> history(PartId partId) {
    return lines(STATEMENT.SUBJECT_ID.eq(partId).or(STATEMENT.OBJECT_ID.eq(partId)));
  }

  /** Every veto that stands. */
  public List<Statement> standingVetoes() {
    return context
        .fetch(
            statements()
                .where(STANDS, STATEMENT.KIND.eq(StatementKind.NEVER.name()))
                .orderBy(STATEMENT.ID))
        .map(StatementRepository::statement);
  }

  /** Standing claims of a fit between two parts of which both have something recorded. */
  public List<Statement> standingClaimsToCompare() {
    return context
        .fetch(
            statements()
                .where(
                    STANDS,
                    STATEMENT.KIND.ne(StatementKind.NEVER.name()),
                    isRecorded(STATEMENT.SUBJECT_ID),
                    isRecorded(STATEMENT.OBJECT_ID))
                .orderBy(STATEMENT.ID))
        .map(StatementRepository::statement);
  }

  private static Condition isRecorded(Field<PartId> part) {
    return part.in(DSL.select(PART_PROPERTY.PART_ID).from(PART_PROPERTY));
  }

  /** Hears of a part: its id, make, number and key. */
  interface PartHearer {
    void hear(PartId id, String make, String number, String key);
  }

  /** Tells of every part, without holding them all. */
  void forEachPart(PartHearer each) {
    context
        .select(PART.ID, PART.MAKE, PART.NUMBER, PART.NUMBER_KEY)
        .from(PART)
        .fetchSize(FETCH)
        .fetchLazy()
        .forEach(row -> each.hear(row.value1(), row.value2(), row.value3(), row.value4()));
  }

  /** Tells of every standing statement in order of entry, without holding them all. */
  void forEachStanding(Consumer<Statement> each) {
    ResultQuery<Record> rows = statements().where(STANDS).orderBy(STATEMENT.ID).fetchSize(FETCH);
    rows.attach(context.configuration());
    rows.fetchLazy().forEach(row -> each.accept(statement(row)));
  }

  /** Adds parts of which nothing is recorded; the numbers they get, by those they were given. */
  Map<PartId, PartId> addParts(List<KnownParts.NewPart> parts) {
    long next = NextNumber.of(context, PART, PART.ID).value();
    Map<PartId, PartId> ids = new HashMap<>();
    BatchBindStep batch =
        context.batch(
            context
                .insertInto(PART, PART.ID, PART.MAKE, PART.NUMBER, PART.NUMBER_KEY, PART.NEAR_KEY)
                .values((PartId) null, null, null, null, null));
    for (KnownParts.NewPart part : parts) {
      PartKey key = PartKey.of(part.number()).orElseThrow();
      PartId id = new PartId(next++);
      ids.put(part.id(), id);
      batch.bind(id, part.make(), part.number(), key.text(), key.near());
    }
    if (!parts.isEmpty()) {
      batch.execute();
    }
    return ids;
  }

  /** Adds many statements. */
  void addAll(List<NewStatement> made, String actor, Instant at) {
    BatchBindStep batch =
        context.batch(
            context
                .insertInto(
                    STATEMENT,
                    STATEMENT.SUBJECT_ID,
                    STATEMENT.KIND,
                    STATEMENT.OBJECT_ID,
                    STATEMENT.SOURCE,
                    STATEMENT.SAID_ON,
                    STATEMENT.CONFIDENCE_E4,
                    STATEMENT.NOTE,
                    STATEMENT.ACTOR,
                    STATEMENT.RECORDED_AT)
                .values((PartId) null, null, null, null, null, null, null, null, null));
    for (NewStatement s : made) {
      batch.bind(
          s.subject(),
          s.kind().name(),
          s.object(),
          s.source().name(),
          s.saidOn(),
          e4(s.confidence()),
          s.note(),
          actor,
          at);
    }
    if (!made.isEmpty()) {
      batch.execute();
    }
  }

  /** Tells whether anything was added between two looks: the last part, statement, withdrawal. */
  public String lastOfEach() {
    Record last =
        context
            .select(
                DSL.field(DSL.select(DSL.max(PART.ID)).from(PART)),
                DSL.field(DSL.select(DSL.max(STATEMENT.ID)).from(STATEMENT)),
                DSL.field(DSL.select(DSL.max(WITHDRAWAL.ID)).from(WITHDRAWAL)))
            .fetchSingle();
    return last.get(0) + "/" + last.get(1) + "/" + last.get(2);
  }

  /** Lists of statements, in and out. */
  public StatementList list() {
    return new StatementList(this);
  }

  /** Adds a statement; answers the id that it is given. */
  public long add(NewStatement made, String actor, Instant at) {
    return context
        .insertInto(STATEMENT)
        .set(STATEMENT.SUBJECT_ID, made.subject())
        .set(STATEMENT.KIND, made.kind().name())
        .set(STATEMENT.OBJECT_ID, made.object())
        .set(STATEMENT.SOURCE, made.source().name())
        .set(STATEMENT.SAID_ON, made.saidOn())
        .set(STATEMENT.CONFIDENCE_E4, e4(made.confidence()))
        .set(STATEMENT.NOTE, made.note())
        .set(STATEMENT.ACTOR, actor)
        .set(STATEMENT.RECORDED_AT, at)
        .returning(STATEMENT.ID)
        .fetchSingle(STATEMENT.ID);
  }

  /**
   * Ends a statement.
   *
   * @return false if there is none such, or it is ended already; a withdrawal is final
   */
  public boolean withdraw(long statementId, String reason, String actor, Instant at) {
    return context.fetchExists(STATEMENT, STATEMENT.ID.eq(statementId))
        && context
                .insertInto(WITHDRAWAL)
                .set(WITHDRAWAL.STATEMENT_ID, statementId)
                .set(WITHDRAWAL.REASON, reason)
                .set(WITHDRAWAL.ACTOR, actor)
                .set(WITHDRAWAL.RECORDED_AT, at)
                .onConflictDoNothing()
                .execute()
            == 1;
  }

  /** A confidence in ten-thousandths, as it is kept. */
  static long e4(Confidence confidence) {
    return confidence.value().movePointRight(4).longValueExact();
  }

  private static SelectJoinStep<Record> statements() {
    return DSL.select(STATEMENT.fields())
        .from(STATEMENT)
        .leftJoin(WITHDRAWAL)
        .on(WITHDRAWAL.STATEMENT_ID.eq(STATEMENT.ID));
  }

  private List<StatedLine> lines(Condition condition) {
    return context
        .select()
        .from(STATEMENT)
        .leftJoin(WITHDRAWAL)
        .on(WITHDRAWAL.STATEMENT_ID.eq(STATEMENT.ID))
        .where(condition)
        .orderBy(STATEMENT.ID.desc())
        .fetch(
            row ->
                new StatedLine(
                    statement(row),
                    row.get(STATEMENT.ACTOR),
                    row.get(STATEMENT.RECORDED_AT),
                    Optional.ofNullable(row.get(WITHDRAWAL.ID))
                        .map(
                            id ->
                                new StatedLine.Withdrawal(
                                    row.get(WITHDRAWAL.REASON),
                                    row.get(WITHDRAWAL.ACTOR),
                                    row.get(WITHDRAWAL.RECORDED_AT)))));
  }

  private static Statement statement(Record row) {
    return new Statement(
        row.get(STATEMENT.ID),
        row.get(STATEMENT.SUBJECT_ID),
        StatementKind.valueOf(row.get(STATEMENT.KIND)),
        row.get(STATEMENT.OBJECT_ID),
        Source.valueOf(row.get(STATEMENT.SOURCE)),
        row.get(STATEMENT.SAID_ON),
        new Confidence(BigDecimal.valueOf(row.get(STATEMENT.CONFIDENCE_E4), 4)),
        row.get(STATEMENT.NOTE));
  }
}
