package dev.lonja.desk.tray;

import dev.lonja.core.ledger.LotId;
import dev.lonja.core.ledger.PastMovement;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;

/**
 * What went out with a tray.
 *
 * @param codes by lot, what is printed on it
 */
public record IssuedLines(Map<StockKey, List<PastMovement>> issues, Map<LotId, String> codes) {

  public static IssuedLines of(Session session, Tray tray) {
    Map<StockKey, List<PastMovement>> issues = session.pastMovements().issuesOf(tray.number());
    List<LotId> lots =
        issues.values().stream()
            .flatMap(List::stream)
            .filter(issue -> issue.quantity().measure() != Measure.PIECES)
            .map(issue -> issue.place().lotId())
            .distinct()
            .toList();
    return new IssuedLines(issues, lots.isEmpty() ? Map.of() : session.lots().codes(lots));
  }

  /** What of it went out with a line, and what of that came back. */
  public TrayFile.Issued of(TrayLine line) {
    List<PastMovement> its = issues.getOrDefault(line.stock(), List.of());
    Quantity none = Quantity.zero(line.wanted().measure());
    return new TrayFile.Issued(
        sum(its, PastMovement::stillOut, none),
        sum(its, issue -> issue.quantity().negated().minus(issue.stillOut()), none),
        its.stream()
            .filter(issue -> codes.containsKey(issue.place().lotId()))
            .filter(issue -> issue.stillOut().isPositive())
            .sorted(Comparator.comparing(PastMovement::id).reversed())
            .map(
                issue ->
                    new TrayFile.Container(
                        issue.id(), codes.get(issue.place().lotId()), issue.stillOut()))
            .toList());
  }

  private static Quantity sum(
      List<PastMovement> issues, Function<PastMovement, Quantity> what, Quantity none) {
    return issues.stream().map(what).reduce(none, Quantity::plus);
  }
}
