package dev.lonja.store.tray;

import static dev.lonja.store.schema.Tables.LINE_POLICY;
import static dev.lonja.store.schema.Tables.TRAY_LINE;

import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.InForce;
import dev.lonja.store.policy.PolicyRepository;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jooq.DSLContext;
import org.jooq.Field;
import org.jooq.Record;
import org.jooq.impl.DSL;

/** The rows that name the policies behind a line. */
final class LineWays {

  private static final String BETWEEN = ",";
  private static final String WITHIN = " ";

  /** All policies of a line in one cell, so that lines are read in one look: names and numbers. */
  static final Field<String> TOGETHER =
      DSL.field(
              DSL.select(
                      DSL.groupConcat(
                              DSL.concat(
                                  LINE_POLICY.LEVEL,
                                  DSL.inline(WITHIN),
                                  LINE_POLICY.SCHOOL,
                                  DSL.inline(WITHIN),
                                  DSL.coalesce(
                                      LINE_POLICY.NUMBER_E4.cast(String.class), DSL.inline(""))))
                          .separator(BETWEEN))
                  .from(LINE_POLICY)
                  .where(LINE_POLICY.LINE_ID.eq(TRAY_LINE.ID)))
          .as("ways");

  private LineWays() {}

  static void add(DSLContext context, long lineId, List<InForce> ways) {
    for (InForce way : ways) {
      context
          .insertInto(LINE_POLICY)
          .set(LINE_POLICY.LINE_ID, lineId)
          .set(LINE_POLICY.SCHOOL, way.school().name())
          .set(LINE_POLICY.NUMBER_E4, PolicyRepository.kept(way.choice()))
          .set(LINE_POLICY.LEVEL, way.level().name())
          .execute();
    }
  }

  /** The policies of a line, in the order of their questions. */
  static List<InForce> of(Record line) {
    return Optional.ofNullable(line.get(TOGETHER)).stream()
        .flatMap(together -> Arrays.stream(together.split(BETWEEN)))
        .map(LineWays::way)
        .sorted(Comparator.comparing(way -> way.choice().question()))
        .toList();
  }

  private static InForce way(String text) {
    String[] parts = text.split(WITHIN);
    return new InForce(
        PolicyRepository.choice(parts[1], parts.length > 2 ? Long.valueOf(parts[2]) : null),
        Holder.Level.valueOf(parts[0]));
  }
}
