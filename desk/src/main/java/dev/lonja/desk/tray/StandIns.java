package dev.lonja.desk.tray;

import dev.lonja.core.crossref.Candidate;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.item.Item;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.desk.crossref.Alternatives;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.PlaceDemands;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.FreeStock;
import dev.lonja.store.tray.Tray;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** What may stand in on the lines of a tray, judged the same whichever way it is asked for. */
final class StandIns {

  private StandIns() {}

  /**
   * Whatever somebody has said may stand in for what a line of parts asks for, with what is free of
   * it at the tray's place.
   */
  static Alternatives of(Session session, LocalDate today, Tray tray, TrayLine line) {
    Item asked = session.items().byId(line.askedItemId()).orElseThrow();
    UnitNeeds needs = TrayMachine.of(FleetPicture.load(session, today), tray).needs();
    FreeStock there = FreeStock.at(session.placeStock().free(today, tray.place()));
    return Alternatives.of(
        session, there, asked.partId(), PlaceDemands.of(session, needs, line.positionId()));
  }

  static Optional<Candidate> candidate(Alternatives alternatives, ItemId itemId) {
    return alternatives.candidates().others().stream()
        .filter(candidate -> alternatives.stocks(candidate.part().id(), itemId))
        .findFirst();
  }

  /**
   * What is to be said of an item that lies in somebody's hand and on no line: where it may stand
   * in, else where it does not fit; empty if nobody has said anything of it.
   */
  static Optional<TrayRefusal> inHand(Session session, LocalDate today, Tray tray, Item item) {
    List<TrayLine> waiting =
        tray.lines().stream()
            .filter(line -> !line.isSettled())
            .filter(line -> line.wanted().measure() == Measure.PIECES)
            .toList();
    Optional<TrayRefusal> not = Optional.empty();
    for (TrayLine line : waiting) {
      Optional<Candidate> candidate = candidate(of(session, today, tray, line), item.id());
      if (candidate.filter(c -> c.verdict() != Verdict.DOES_NOT_FIT).isPresent()) {
        return Optional.of(new TrayRefusal.StandsIn(item, line));
      }
      if (not.isEmpty()) {
        not = candidate.map(c -> new TrayRefusal.DoesNotFitThere(line.place(), c));
      }
    }
    return not;
  }
}
