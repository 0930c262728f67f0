package dev.lonja.desk.ledger;

import dev.lonja.core.ledger.MovementKind;
import dev.lonja.core.ledger.MovementLine;
import dev.lonja.core.ledger.Refusal;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * While all bins are counted nothing moves between them: what was counted would be wrong before it
 * is booked. What tanks hold flows on, since they are dipped, and what only changes in worth is not
 * moved.
 */
final class Freeze {

  private Freeze() {}

  /** Why these lines are not booked now. */
  static Optional<Refusal> refusal(Session session, List<MovementLine> lines) {
    return session
        .stocktakes()
        .open()
        .filter(open -> lines.stream().anyMatch(line -> moves(session, line)))
        .map(
            open -> {
              LocalDate since = LocalDate.ofInstant(open.begunAt(), session.settings().timeZone());
              return new Refusal.Frozen(since, open.begunBy());
            });
  }

  private static boolean moves(Session session, MovementLine line) {
    return line.kind() != MovementKind.COUNT
        && !line.quantity().isZero()
        && session.tanks().at(line.place().binId()).isEmpty();
  }
}
