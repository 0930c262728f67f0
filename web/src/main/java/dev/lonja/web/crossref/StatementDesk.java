package dev.lonja.web.crossref;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.crossref.Confidence;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementCheck;
import dev.lonja.core.crossref.StatementCheck.Refusal;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.web.request.Typed;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Makes and withdraws statements. */
@Service
@Allowed.ToKeepStore
public class StatementDesk {

  private static final int LONGEST_NOTE = 200;
  private static final int MOST_DECIMALS = 4;

  private final OnceOnly once;
  private final StoreClock clock;

  /**
   * A statement as typed.
   *
   * @param way "this" if the page's part is the subject, "other" if the other one is
   * @param make of the other part, needed if the store does not know it yet
   * @param confidence may be empty, and then that of the source counts
   */
  public record Form(
      String way,
      String kind,
      String make,
      String number,
      String source,
      String saidOn,
      String confidence,
      String note) {}

  public StatementDesk(OnceOnly once, StoreClock clock) {
    this.once = once;
    this.clock = clock;
  }

  @Allowed.ToKeepStore
  public Outcome make(Sent sent, PartId partId, String back, Form form) {
    return once.run(sent, session -> make(session, sent, partId, back, form));
  }

  private Outcome make(Session session, Sent sent, PartId partId, String back, Form form) {
    Typed typed = new Typed();
    Optional<StatementKind> kind =
        word(typed, "kind", "what is said", form.kind(), StatementKind.values());
    Optional<Source> source = word(typed, "source", "who says so", form.source(), Source.values());
    Optional<LocalDate> saidOn = typed.dayUpTo("saidOn", form.saidOn(), clock.today());
    Optional<Confidence> confidence = confidence(typed, form.confidence(), source);
    Optional<String> note =
        form.note().isBlank()
            ? Optional.of("")
            : typed.text("note", "The note", form.note(), LONGEST_NOTE);
    Optional<Part> other =
        PartPick.knownOrNew(session, typed, "number", form.make(), form.number());
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    boolean otherIsSubject = form.way().equals("other");
    Statement made =
        new Statement(
            0,
            otherIsSubject ? other.orElseThrow().id() : partId,
            kind.orElseThrow(),
            otherIsSubject ? partId : other.orElseThrow().id(),
            source.orElseThrow(),
            saidOn.orElseThrow(),
            confidence.orElseThrow(),
            note.orElseThrow());
    List<Refusal> refusals = StatementCheck.refusals(made, session.statements());
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals.stream().map(r -> problem(session, r)).toList());
    }
    session.statements().add(made, sent.actor(), clock.now());
    return new Outcome.Done(back);
  }

  private static <E extends Enum<E>> Optional<E> word(
      Typed typed, String field, String what, String text, E[] values) {
    Optional<E> value =
        Arrays.stream(values)
            .filter(v -> v.name().toLowerCase(Locale.ROOT).equals(text))
            .findFirst();
    if (value.isEmpty()) {
      typed.refuse(field, "Choose " + what + ".");
    }
    return value;
  }

  private static Optional<Confidence> confidence(
      Typed typed, String text, Optional<Source> source) {
    if (text.isBlank()) {
      return source.map(Source::confidence);
    }
    Optional<BigDecimal> value =
        typed.decimalUpTo("confidence", "The confidence", text, BigDecimal.ONE);
    if (value.filter(v -> v.stripTrailingZeros().scale() > MOST_DECIMALS).isPresent()) {
      typed.refuse(
          "confidence", "The confidence is " + text.strip() + "; write at most four decimals.");
      return Optional.empty();
    }
    return value.map(Confidence::new);
  }

  private static Problem problem(Session session, Refusal refusal) {
    return Cases.<Refusal, Problem>over(Refusal.class)
        .when(
            Refusal.OfItself.class,
            same -> new Problem("number", "That is the same part; a statement needs two."))
        .when(
            Refusal.NeverWithoutReason.class,
            never ->
                new Problem(
                    "note", "Say why it must never be used; that is what others will read."))
        .when(
            Refusal.StandsAlready.class,
            already ->
                new Problem(
                    "number",
                    "That stands already from the same source, since "
                        + already.statement().saidOn()
                        + ". Withdraw it first if it should be said anew."))
        .when(Refusal.ReplacesInACircle.class, circle -> circle(session, circle.parts()))
        .all()
        .apply(refusal);
  }

  private static Problem circle(Session session, List<PartId> way) {
    List<String> numbers =
        way.stream().map(id -> session.parts().byId(id).orElseThrow().number()).toList();
    return new Problem(
        "number",
        "That would go in a circle: "
            + String.join(" is replaced by ", numbers)
            + ". Withdraw one of those first.");
  }

  /** Ends a statement for good; the line stays to be seen. */
  @Allowed.ToKeepStore
  public Outcome withdraw(Sent sent, long statementId, String back, String reason) {
    return once.run(
        sent,
        session -> {
          Typed typed = new Typed();
          Optional<String> why = typed.text("reason", "The reason", reason, LONGEST_NOTE);
          if (why.isEmpty()) {
            return new Outcome.Refused(typed.problems());
          }
          boolean ended =
              session.statements().withdraw(statementId, why.get(), sent.actor(), clock.now());
          return ended
              ? new Outcome.Done(back)
              : Outcome.refused(Problem.ofWhole("That statement is withdrawn already."));
        });
  }
}
