package dev.lonja.web.frame;

import dev.lonja.core.item.Item;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayProgress;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.frame.FrameView.OpenTray;
import dev.lonja.web.frame.FrameView.OpenTrayLine;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Reads the open tray for the right edge of the page. */
@Component
class OpenTrayLoader {

  private final StoreClock clock;

  OpenTrayLoader(StoreClock clock) {
    this.clock = clock;
  }

  Optional<OpenTray> load(Session session, TrayId trayId) {
    return session.trays().byId(trayId).filter(Tray::isOpen).map(tray -> view(session, tray));
  }

  private OpenTray view(Session session, Tray tray) {
    TrayProgress progress = TrayProgress.of(tray.lines(), session.ledger().free(clock.today()));
    return new OpenTray(
        tray.id(),
        tray.number(),
        tray.unitCode() + ", " + tray.title() + ", " + Words.weekdayAndDay(tray.plannedOn()),
        progress.laidCount() + "/" + progress.steps().size(),
        progress.steps().stream().map(step -> line(session, step)).toList());
  }

  private static OpenTrayLine line(Session session, TrayProgress.Step step) {
    Item item = session.items().byId(step.line().itemId()).orElseThrow();
    return new OpenTrayLine(
        LineStates.of(step),
        item.number(),
        item.make() + " · " + step.line().place().toLowerCase(),
        step.line().wanted().display());
  }
}
