package dev.lonja.store.exchange;

import static dev.lonja.store.exchange.Column.number;
import static dev.lonja.store.exchange.Column.of;
import static dev.lonja.store.exchange.Column.reference;
import static dev.lonja.store.exchange.Format.scaled;
import static dev.lonja.store.exchange.Format.whole;
import static dev.lonja.store.exchange.Format.words;
import static dev.lonja.store.schema.Tables.BUDGET;
import static dev.lonja.store.schema.Tables.LINE_POLICY;
import static dev.lonja.store.schema.Tables.POLICY;

import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.Question;
import dev.lonja.core.policy.School;
import java.math.BigDecimal;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;

/** How things are done where practitioners differ, and what of it made the lines of trays. */
final class PolicyTables {

  private static final long MOST_NUMBER = 1_000_000;

  /** The columns that name who a choice is made for, and how wide each is. */
  private static final Map<String, Holder.Level> HOLDERS =
      Map.of(
          "class_id", Holder.Level.UNIT_CLASS,
          "unit_id", Holder.Level.UNIT,
          "compartment_id", Holder.Level.COMPARTMENT,
          "position_id", Holder.Level.POSITION);

  private PolicyTables() {}

  static ExchangeTable policies() {
    return ExchangeTable.named("policies", POLICY)
        .with(number("id", POLICY.ID, "number of the row"))
        .with(of("question", POLICY.QUESTION, words(Question.values()), "what is answered"))
        .with(reference("class_id", POLICY.CLASS_ID, "classes", "for this class").optional())
        .with(reference("unit_id", POLICY.UNIT_ID, "units", "for this unit").optional())
        .with(
            reference("compartment_id", POLICY.COMPARTMENT_ID, "compartments", "for this")
                .optional())
        .with(reference("position_id", POLICY.POSITION_ID, "positions", "for this").optional())
        .with(of("school", POLICY.SCHOOL, words(School.values()), "how it is done"))
        .with(
            of("number", POLICY.NUMBER_E4, scaled(4, 1, MOST_NUMBER), "the number it needs")
                .optional())
        .unique("question", "class_id", "unit_id", "compartment_id", "position_id")
        .rule(
            new RowRule(
                "school",
                "one of the question's schools",
                row -> school(row).question().name().equals(upper(row.get("question")))))
        .rule(numberRule())
        .rule(
            new RowRule(
                "position_id",
                "one holder at most, and one of whom the question is asked",
                PolicyTables::isAskedOfOneAtMost))
        .build();
  }

  static ExchangeTable budgets() {
    return ExchangeTable.named("budgets", BUDGET)
        .with(number("id", BUDGET.ID, "number of the row"))
        .with(of("year", BUDGET.YEAR, whole(1900, 2199), "the year"))
        .with(
            reference("class_id", BUDGET.CLASS_ID, "classes", "for this class, else for the store")
                .optional())
        .with(
            of(
                "amount_minor",
                BUDGET.AMOUNT_MINOR,
                whole(1, 1_000_000_000_000L),
                "what its jobs may cost"))
        .unique("year", "class_id")
        .build();
  }

  static ExchangeTable linePolicies() {
    return ExchangeTable.named("line_policies", LINE_POLICY)
        .with(number("id", LINE_POLICY.ID, "number of the row"))
        .with(reference("line_id", LINE_POLICY.LINE_ID, "tray_lines", "the line of a tray"))
        .with(of("school", LINE_POLICY.SCHOOL, words(School.values()), "how it was done"))
        .with(
            of("number", LINE_POLICY.NUMBER_E4, scaled(4, 1, MOST_NUMBER), "the number it needs")
                .optional())
        .with(of("level", LINE_POLICY.LEVEL, words(Holder.Level.values()), "whose policy it was"))
        .unique("line_id", "school")
        .rule(numberRule())
        .build();
  }

  private static RowRule numberRule() {
    return new RowRule(
        "number",
        "filled exactly where the school needs one, within what it allows",
        row -> fits(school(row).number(), row.get("number")));
  }

  private static boolean fits(Optional<School.Number> allowed, String text) {
    return allowed
        .map(number -> !text.isEmpty() && number.allows(new BigDecimal(text)))
        .orElse(text.isEmpty());
  }

  private static boolean isAskedOfOneAtMost(Map<String, String> row) {
    List<Holder.Level> named =
        HOLDERS.entrySet().stream()
            .filter(entry -> !row.get(entry.getKey()).isEmpty())
            .map(Map.Entry::getValue)
            .toList();
    return named.size() <= 1
        && named.stream().allMatch(Question.valueOf(upper(row.get("question")))::isAskedOf);
  }

  private static School school(Map<String, String> row) {
    return School.valueOf(upper(row.get("school")));
  }

  private static String upper(String text) {
    return text.toUpperCase(Locale.ROOT);
  }
}
