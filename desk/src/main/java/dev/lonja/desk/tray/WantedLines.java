package dev.lonja.desk.tray;

import dev.lonja.core.tray.LineReason;
import dev.lonja.core.tray.TrayId;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.store.Session;
import dev.lonja.store.tray.Tray;
import java.util.Optional;

/** Puts wanted parts on trays. */
final class WantedLines {

  private WantedLines() {}

  /** Puts every part on a new tray that is wanted for its machine by its day. */
  static void putOn(Session session, TrayId trayId) {
    Tray tray = session.trays().byId(trayId).orElseThrow();
    tray.unitId()
        .ifPresent(
            unit ->
                session.wanted().openOf(unit).stream()
                    .filter(part -> part.belongsOn(unit, tray.plannedOn()))
                    .forEach(part -> putOn(session, tray, part)));
  }

  /** Puts one on; what a task of the tray asks for anyhow is brought by that line. */
  static void putOn(Session session, Tray tray, WantedPart part) {
    long line =
        asking(session, tray, part)
            .map(TrayLine::id)
            .orElseGet(
                () ->
                    session
                        .trayLines()
                        .addLine(
                            tray.id(),
                            part.itemId(),
                            part.place(),
                            new LineReason.Wanted(),
                            part.quantity(),
                            part.destination()));
    session.wanted().bring(part.id(), line);
  }

  private static Optional<TrayLine> asking(Session session, Tray tray, WantedPart part) {
    return part.taskId()
        .flatMap(
            task ->
                tray.lines().stream()
                    .filter(line -> line.taskId().filter(task::equals).isPresent())
                    .filter(line -> line.askedItemId().equals(part.itemId()))
                    .filter(line -> !session.wanted().isBrought(line.id()))
                    .filter(line -> line.wanted().compareTo(part.quantity()) >= 0)
                    .findFirst());
  }
}
