package dev.lonja.desk.crossref;

import dev.lonja.core.crossref.Confidence;
import dev.lonja.core.crossref.NewStatement;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.StatementCheck;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Makes and withdraws statements. */
@Service
@Allowed.ToKeepStore
public class StatementDesk extends KeepersDesk {

  private final OnceOnly once;
  private final StoreClock clock;

  public StatementDesk(OnceOnly once, StoreClock clock) {
    this.once = once;
    this.clock = clock;
  }

  /** What is said, by whom, and how sure. */
  public record Claim(
      StatementKind kind, Source source, LocalDate saidOn, Confidence confidence, String note) {}

  /**
   * The other part of a statement.
   *
   * @param make if it may be one that nobody knows yet; empty if the number must be known
   * @param isSubject true if it is the one that may be supplied
   */
  public record Other(Optional<String> make, String number, boolean isSubject) {}

  /** Why a statement is not made or withdrawn, beside what {@link PartNaming} refuses. */
  public sealed interface Refused extends Refusal {}

  /** What the core has against it, with the parts that it names. */
  public record Objection(StatementCheck.Refusal reason, Map<PartId, Part> parts)
      implements Refused {}

  /** It was said on a day that is still to come. */
  public record SaidInFuture(LocalDate saidOn, LocalDate today) implements Refused {}

  /** The number of the other part names none or several. */
  public record NoSuchPart(PartNaming.Refusal why) implements Refused {}

  /** It stands no more. */
  public record WithdrawnAlready() implements Refused {}

  /** States something of a part that is known. */
  @Allowed.ToKeepStore
  public Outcome make(Sent sent, PartId partId, Other other, Claim claim) {
    return once.run(sent, session -> make(session, sent, partId, other, claim));
  }

  private Outcome make(Session session, Sent sent, PartId partId, Other other, Claim claim) {
    List<Refusal> refusals = new ArrayList<>();
    if (claim.saidOn().isAfter(clock.today())) {
      refusals.add(new SaidInFuture(claim.saidOn(), clock.today()));
    }
    if (other.make().isEmpty()) {
      PartNaming.refusal(session, other.number()).map(NoSuchPart::new).ifPresent(refusals::add);
    }
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    PartId named =
        other
            .make()
            .map(make -> PartNaming.knownOrNew(session, make, other.number()))
            .orElseGet(() -> PartNaming.meant(session, other.number()).get(0))
            .id();
    NewStatement made =
        new NewStatement(
            other.isSubject() ? named : partId,
            claim.kind(),
            other.isSubject() ? partId : named,
            claim.source(),
            claim.saidOn(),
            claim.confidence(),
            claim.note());
    List<StatementCheck.Refusal> objections = StatementCheck.refusals(made, session.statements());
    if (!objections.isEmpty()) {
      return new Outcome.Refused(objections.stream().map(o -> objection(session, o)).toList());
    }
    session.statements().add(made, sent.actor(), clock.now());
    return Outcome.done();
  }

  private static Objection objection(Session session, StatementCheck.Refusal reason) {
    Map<PartId, Part> parts = new HashMap<>();
    session.parts().byIds(reason.named()).forEach(part -> parts.put(part.id(), part));
    return new Objection(reason, parts);
  }

  /** Ends a statement for good; the line stays to be seen. */
  @Allowed.ToKeepStore
  public Outcome withdraw(Sent sent, long statementId, String reason) {
    return once.run(
        sent,
        session ->
            session.statements().withdraw(statementId, reason, sent.actor(), clock.now())
                ? Outcome.done()
                : Outcome.refused(new WithdrawnAlready()));
  }
}
