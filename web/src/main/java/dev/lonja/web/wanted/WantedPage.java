package dev.lonja.web.wanted;

import dev.lonja.core.wanted.Finding;
import dev.lonja.core.wanted.WantedPart;
import dev.lonja.desk.wanted.WantedDesk;
import dev.lonja.store.tray.Tray;
import dev.lonja.web.frame.Plate;
import dev.lonja.web.frame.State;
import dev.lonja.web.frame.WantedWording;
import dev.lonja.web.frame.Words;
import java.time.LocalDate;

/** Puts what is open into words. */
final class WantedPage {

  private final WantedDesk.Board board;
  private final LocalDate today;

  private WantedPage(WantedDesk.Board board, LocalDate today) {
    this.board = board;
    this.today = today;
  }

  /**
   * @param unit the machine whose page it is; empty for all
   */
  static WantedView view(String unit, WantedDesk.Board board, LocalDate today) {
    WantedPage page = new WantedPage(board, today);
    return new WantedView(
        unit,
        today.toString(),
        board.findings().stream().map(page::finding).toList(),
        board.parts().stream().map(page::part).toList());
  }

  private WantedView.FindingRow finding(Finding finding) {
    Finding.State now = finding.state();
    return new WantedView.FindingRow(
        finding.id(),
        finding.unitCode(),
        finding.words(),
        Words.day(finding.foundOn(), today),
        WantedWording.state(now),
        finding.why(),
        new WantedView.May(
            now.mayBecome(Finding.State.WANTED),
            now.mayBecome(Finding.State.WATCHED),
            now.mayBecome(Finding.State.CLOSED),
            now == Finding.State.CLOSED));
  }

  private WantedView.PartRow part(WantedDesk.Open open) {
    WantedPart part = open.part();
    return new WantedView.PartRow(
        part.id(),
        part.unit().map(WantedPart.ForUnit::code).orElse(""),
        Plate.of(open.item()),
        open.item().description(),
        part.quantity().display(),
        open.free().compareTo(part.quantity()) >= 0
            ? State.ready(open.free().display() + " free")
            : State.ofShort(open.free().isZero() ? "none free" : open.free().display() + " free"),
        (isNamed(open) ? "" : part.place() + ": ") + WantedWording.cause(part.cause()),
        part.neededOn().map(day -> "by " + Words.day(day, today)).orElse("as soon as can be"),
        board.trays().stream()
            .filter(tray -> tray.unitId().equals(part.unit().map(WantedPart.ForUnit::id)))
            .map(WantedPage::choice)
            .toList());
  }

  /** True if the place says no more than what the item is. */
  private static boolean isNamed(WantedDesk.Open open) {
    return open.item().description().startsWith(open.part().place());
  }

  private static WantedView.TrayChoice choice(Tray tray) {
    return new WantedView.TrayChoice(tray.id(), tray.number() + " " + tray.title());
  }
}
