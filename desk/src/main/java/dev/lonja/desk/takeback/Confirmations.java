package dev.lonja.desk.takeback;

import dev.lonja.core.crossref.Neighbourhood;
import dev.lonja.core.crossref.NewStatement;
import dev.lonja.core.crossref.Path;
import dev.lonja.core.crossref.PathSearch;
import dev.lonja.core.crossref.Source;
import dev.lonja.core.crossref.StatementCheck;
import dev.lonja.core.crossref.StatementKind;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.part.PartId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** What a job that is back says of the substitutes it took: statements of the store's own. */
final class Confirmations {

  private final Session session;
  private final Tray tray;
  private final StoreClock clock;

  Confirmations(Session session, Tray tray, StoreClock clock) {
    this.session = session;
    this.tray = tray;
    this.clock = clock;
  }

  static List<TrayLine> substituted(Tray tray) {
    return tray.lines().stream().filter(line -> line.substitution().isPresent()).toList();
  }

  /** The statements that the notes make; what stands already is not said again. */
  List<NewStatement> of(TakeBackDesk.Notes notes) {
    List<NewStatement> made = new ArrayList<>();
    for (TrayLine line : substituted(tray)) {
      if (notes.fitted().contains(line.id())) {
        made.add(
            statement(
                line,
                fittedAs(line),
                "fitted and confirmed on " + tray.unitCode().orElse("the workshop's own")));
      } else if (notes.wrong().containsKey(line.id())) {
        made.add(statement(line, StatementKind.NEVER, notes.wrong().get(line.id())));
      }
    }
    made.removeIf(
        statement ->
            StatementCheck.refusals(statement, session.statements()).stream()
                .anyMatch(StatementCheck.Refusal.StandsAlready.class::isInstance));
    return made;
  }

  private PartId part(ItemId id) {
    return session.items().byId(id).orElseThrow().partId();
  }

  /** A stopgap that fitted is a stopgap still. */
  private StatementKind fittedAs(TrayLine line) {
    Path path =
        PathSearch.best(Neighbourhood.around(part(line.askedItemId()), session.statements()))
            .get(part(line.itemId()));
    return Optional.ofNullable(path).filter(Path::isStopgap).isPresent()
        ? StatementKind.STANDS_IN
        : StatementKind.INTERCHANGE;
  }

  private NewStatement statement(TrayLine line, StatementKind kind, String note) {
    return new NewStatement(
        part(line.itemId()),
        kind,
        part(line.askedItemId()),
        Source.CONFIRMED_HERE,
        clock.today(),
        Source.CONFIRMED_HERE.confidence(),
        note);
  }
}
