package dev.lonja.web.unit;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.pour.LearnedCapacity;
import dev.lonja.core.service.Deviation;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Problem;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLog;
import dev.lonja.web.request.Typed;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Notes how a unit differs from its variant, and lets it follow the variant again. */
@Service
@Allowed.ToKeepStore
public class DeviationDesk {

  private static final int LONGEST_REASON = 200;

  private final OnceOnly once;
  private final StoreClock clock;

  /**
   * A deviation as typed.
   *
   * @param subject "compartment-3", "position-8" or "task-12"
   * @param what absent, item, capacity, torque or interval
   * @param value litres, a part number, a torque or range in N·m, or an interval such as "400 h"
   */
  public record Form(String subject, String what, String value, String condition, String reason) {}

  public DeviationDesk(OnceOnly once, StoreClock clock) {
    this.once = once;
    this.clock = clock;
  }

  @Allowed.ToKeepStore
  public Outcome put(Sent sent, String unitCode, Form form) {
    return once.run(
        sent,
        session -> {
          Optional<Unit> unit =
              session.fleet().unitByCode(unitCode).filter(u -> u.retiredOn().isEmpty());
          return unit.isEmpty()
              ? Outcome.refused(Problem.ofWhole("There is no unit " + unitCode + "."))
              : put(session, sent, unit.get(), form);
        });
  }

  private Outcome put(Session session, Sent sent, Unit unit, Form form) {
    Typed typed = new Typed();
    Optional<String> reason = typed.text("reason", "The reason", form.reason(), LONGEST_REASON);
    Optional<Deviation.Change> change =
        new DeviationEntry(session, unit, form, typed, clock.today()).change();
    if (!typed.problems().isEmpty()) {
      return new Outcome.Refused(typed.problems());
    }
    Deviation deviation =
        new Deviation(
            0,
            change.orElseThrow(),
            Deviation.Source.UNIT,
            reason.orElseThrow(),
            clock.today(),
            sent.actor());
    session.deviations().put(unit.id(), deviation);
    String what = form.subject() + " " + form.what() + " " + form.value();
    audit(session, sent, unit, "as the variant", what + ", " + reason.get());
    return new Outcome.Done("/fleet/" + unit.code());
  }

  /** Takes a capacity that recorded fills propose, as they stand now. */
  @Allowed.ToKeepStore
  public Outcome acceptLearned(
      Sent sent, String unitCode, CompartmentId compartmentId, String condition) {
    return once.run(
        sent,
        session -> {
          Unit unit = session.fleet().unitByCode(unitCode).orElseThrow();
          return LearnedCapacity.proposals(
                  FleetPicture.load(session, clock.today()).needs(unit.id()).compartments(),
                  session.records().fillsByUnit().getOrDefault(unit.id(), List.of()))
              .stream()
              .filter(proposal -> proposal.compartment().id().equals(compartmentId))
              .filter(
                  proposal ->
                      proposal.condition().name().toLowerCase(Locale.ROOT).equals(condition))
              .findFirst()
              .map(proposal -> accept(session, sent, unit, proposal))
              .orElseGet(
                  () ->
                      Outcome.refused(
                          Problem.ofWhole("The fills do not propose that capacity any more.")));
        });
  }

  private Outcome accept(Session session, Sent sent, Unit unit, LearnedCapacity learned) {
    String reason =
        "median of "
            + learned.fills().size()
            + " fills, the last on "
            + learned.fills().get(0).day();
    session
        .deviations()
        .put(
            unit.id(),
            new Deviation(
                0,
                new Deviation.Change.OtherCapacity(
                    learned.compartment().id(), learned.condition(), learned.median()),
                Deviation.Source.LEARNED,
                reason,
                clock.today(),
                sent.actor()));
    audit(
        session,
        sent,
        unit,
        learned.compartment().name() + " " + learned.book().display(),
        learned.median().display() + ", " + reason);
    return new Outcome.Done("/fleet/" + unit.code());
  }

  /** Lets the unit follow its variant again in one thing. */
  @Allowed.ToKeepStore
  public Outcome remove(Sent sent, String unitCode, long deviationId) {
    return once.run(
        sent,
        session -> {
          Unit unit = session.fleet().unitByCode(unitCode).orElseThrow();
          if (!session.deviations().remove(unit.id(), deviationId)) {
            return Outcome.refused(Problem.ofWhole("That deviation is no longer in force."));
          }
          audit(session, sent, unit, "deviation " + deviationId, "as the variant");
          return new Outcome.Done("/fleet/" + unit.code());
        });
  }

  private void audit(Session session, Sent sent, Unit unit, String before, String after) {
    session
        .audit()
        .add(
            "unit",
            unit.id().value(),
            new AuditLog.Line("deviation", before, after, sent.actor(), clock.now()));
  }
}
