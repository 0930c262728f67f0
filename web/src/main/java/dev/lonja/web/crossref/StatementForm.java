package dev.lonja.web.crossref;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.crossref.Confidence;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.StatementCheck;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.crossref.StatementDesk;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Collectors;

/**
 * A statement as typed.
 *
 * @param way "this" if the page's part is the subject, "other" if the other one is
 * @param make of the other part, needed if the store does not know it yet
 * @param confidence may be empty, and then that of the source counts
 */
record StatementForm(
    String way,
    String kind,
    String make,
    String number,
    String source,
    String saidOn,
    String confidence,
    String note) {

  private static final int LONGEST_NOTE = Lengths.REASON;
  private static final int LONGEST_MAKE = Lengths.NAME;
  private static final int MOST_DECIMALS = 4;

  /** Why the desk refused, in words. */
  static final RefusalWording REFUSALS =
      RefusalWording.of(
          StatementDesk.Refused.class,
          Cases.<StatementDesk.Refused, Problem>over(StatementDesk.Refused.class)
              .when(StatementDesk.Objection.class, StatementForm::objection)
              .when(
                  StatementDesk.SaidInFuture.class,
                  day -> Problem.inFuture("saidOn", day.saidOn(), day.today()))
              .when(
                  StatementDesk.NoSuchPart.class, none -> PartNumbers.problem("number", none.why()))
              .when(
                  StatementDesk.WithdrawnAlready.class,
                  already -> Problem.ofWhole("That statement is withdrawn already."))
              .all());

  /** What is said; empty with problems noted if that cannot be read. */
  Optional<StatementDesk.Claim> claim(Typed typed) {
    Optional<StatementKind> said = typed.choice("kind", "what is said", kind, StatementKind.class);
    Optional<Source> who = typed.choice("source", "who says so", source, Source.class);
    Optional<LocalDate> day = typed.day("saidOn", saidOn);
    Optional<Confidence> sure = confidence(typed, who);
    Optional<String> words =
        note.isBlank() ? Optional.of("") : typed.text("note", "The note", note, LONGEST_NOTE);
    return typed.all(
        () ->
            new StatementDesk.Claim(
                said.orElseThrow(),
                who.orElseThrow(),
                day.orElseThrow(),
                sure.orElseThrow(),
                words.orElseThrow()));
  }

  /** The other part; empty with problems noted if it cannot be read. */
  Optional<StatementDesk.Other> other(Typed typed) {
    boolean isSubject = way.equals("other");
    if (make.isBlank()) {
      return Optional.of(new StatementDesk.Other(Optional.empty(), number, isSubject));
    }
    Optional<String> ofMake = typed.text("make", "The make", make, LONGEST_MAKE);
    Optional<String> printed = PartNumbers.number(typed, "number", number);
    return ofMake.flatMap(
        m -> printed.map(n -> new StatementDesk.Other(Optional.of(m), n, isSubject)));
  }

  private Optional<Confidence> confidence(Typed typed, Optional<Source> who) {
    if (confidence.isBlank()) {
      return who.map(Source::confidence);
    }
    Optional<BigDecimal> value =
        typed.decimalUpTo("confidence", "The confidence", confidence, 1, 9);
    if (value.filter(v -> v.stripTrailingZeros().scale() > MOST_DECIMALS).isPresent()) {
      typed.refuse(
          "confidence",
          "The confidence is " + confidence.strip() + "; write at most four decimals.");
      return Optional.empty();
    }
    return value.map(Confidence::new);
  }

  /** Why a statement ends. */
  static Optional<String> reason(Typed typed, String reason) {
    return typed.text("reason", "The reason", reason, LONGEST_NOTE);
  }

  private static Problem objection(StatementDesk.Objection objection) {
    return Cases.<StatementCheck.Refusal, Problem>over(StatementCheck.Refusal.class)
        .when(
            StatementCheck.Refusal.OfItself.class,
            same -> new Problem("number", "That is the same part; a statement needs two."))
        .when(
            StatementCheck.Refusal.NeverWithoutReason.class,
            never ->
                new Problem(
                    "note", "Say why it must never be used; that is what others will read."))
        .when(
            StatementCheck.Refusal.StandsAlready.class,
            already ->
                new Problem(
                    "number",
                    "That stands already from the same source, since "
                        + already.statement().saidOn()
                        + ". Withdraw it first if it should be said anew."))
        .when(
            StatementCheck.Refusal.ReplacesInACircle.class,
            circle ->
                new Problem(
                    "number",
                    "That would go in a circle: "
                        + circle.parts().stream()
                            .map(id -> objection.parts().get(id).number())
                            .collect(Collectors.joining(" is replaced by "))
                        + ". Withdraw one of those first."))
        .all()
        .apply(objection.reason());
  }
}
