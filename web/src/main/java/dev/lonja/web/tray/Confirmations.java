package dev.lonja.web.tray;

import dev.lonja.core.crossref.Neighbourhood;
import dev.lonja.core.crossref.Path;
import dev.lonja.core.crossref.PathSearch;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.Statement;
import dev.lonja.core.crossref.StatementCheck;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.PartId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.request.Typed;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/** What a job that is back says of the substitutes it took: statements of the store's own. */
final class Confirmations {

  private static final String FITTED = "fitted-";
  private static final String WHY = "why-";
  private static final int LONGEST = 200;

  private final Session session;
  private final Tray tray;
  private final StoreClock clock;

  Confirmations(Session session, Tray tray, StoreClock clock) {
    this.session = session;
    this.tray = tray;
    this.clock = clock;
  }

  List<FindingsView.SubstituteRow> rows() {
    return substituted().stream()
        .map(
            line ->
                new FindingsView.SubstituteRow(
                    FITTED + line.id(),
                    WHY + line.id(),
                    line.place()
                        + ": "
                        + item(line.itemId()).number()
                        + " instead of "
                        + item(line.askedItemId()).number()))
        .toList();
  }

  private List<TrayLine> substituted() {
    return tray.lines().stream().filter(line -> line.substitution().isPresent()).toList();
  }

  private Item item(ItemId id) {
    return session.items().byId(id).orElseThrow();
  }

  /** The statements that the fields make; what stands already is not said again. */
  List<Statement> read(Map<String, String> fields, Typed typed) {
    List<Statement> made = new ArrayList<>();
    for (TrayLine line : substituted()) {
      String answer = fields.getOrDefault(FITTED + line.id(), "");
      String why = fields.getOrDefault(WHY + line.id(), "");
      if (answer.equals("fitted")) {
        made.add(statement(line, fittedAs(line), "fitted and confirmed on " + tray.unitCode()));
      } else if (answer.equals("wrong")) {
        typed
            .text(
                WHY + line.id(),
                "Why " + item(line.itemId()).number() + " did not fit",
                why,
                LONGEST)
            .ifPresent(reason -> made.add(statement(line, StatementKind.NEVER, reason)));
      }
    }
    made.removeIf(
        statement ->
            StatementCheck.refusals(statement, session.statements()).stream()
                .anyMatch(StatementCheck.Refusal.StandsAlready.class::isInstance));
    return made;
  }

  /** A stopgap that fitted is a stopgap still. */
  private StatementKind fittedAs(TrayLine line) {
    PartId asked = item(line.askedItemId()).partId();
    Path path =
        PathSearch.best(Neighbourhood.around(asked, session.statements()))
            .get(item(line.itemId()).partId());
    return Optional.ofNullable(path).filter(Path::isStopgap).isPresent()
        ? StatementKind.STANDS_IN
        : StatementKind.INTERCHANGE;
  }

  private Statement statement(TrayLine line, StatementKind kind, String note) {
    return new Statement(
        0,
        item(line.itemId()).partId(),
        kind,
        item(line.askedItemId()).partId(),
        Source.CONFIRMED_HERE,
        clock.today(),
        Source.CONFIRMED_HERE.confidence(),
        note);
  }
}
