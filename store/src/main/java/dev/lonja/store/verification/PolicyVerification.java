package dev.lonja.store.verification;

import static dev.lonja.store.schema.Tables.POLICY;
import static dev.lonja.store.schema.Tables.POSITION;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.policy.Question;
import dev.lonja.store.verification.Verification.Finding;
import java.util.List;
import org.jooq.DSLContext;

/** Checks that a position answers only questions that are about its kind. */
final class PolicyVerification {

  private PolicyVerification() {}

  static List<Finding> findings(DSLContext context) {
    return context
        .select(POLICY.ID, POLICY.QUESTION, POSITION.KIND)
        .from(POLICY)
        .join(POSITION)
        .on(POSITION.ID.eq(POLICY.POSITION_ID))
        .orderBy(POLICY.ID)
        .stream()
        .filter(row -> !isAbout(row.value2(), row.value3()))
        .map(
            row ->
                new Finding(
                    "policies",
                    row.value1() + " is for a position of a kind that its question is not about"))
        .toList();
  }

  private static boolean isAbout(String question, String kind) {
    return Question.valueOf(question).kinds().contains(Position.Kind.valueOf(kind));
  }
}
