package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.crossref.Verdict;
import dev.lonja.core.item.Item;
import dev.lonja.core.quantity.Measure;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.core.tray.TrayLine;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.Optional;

/** Names what fits and lies on the shelf where something is short. */
public final class OnTheShelf {

  private OnTheShelf() {}

  /**
   * "PL 88-F4 fits, 3 on shelf C-07."; empty if nothing that fits without a look is free in the
   * quantity that lacks.
   */
  public static Optional<String> instead(
      Session session, LocalDate today, UnitNeeds needs, TrayLine line, Quantity lacking) {
    if (lacking.measure() != Measure.PIECES) {
      return Optional.empty();
    }
    Fitting place =
        line.positionId()
            .flatMap(
                id ->
                    needs.positions().stream()
                        .filter(position -> position.id().equals(id))
                        .findFirst())
            .map(position -> PlaceDemands.of(session, needs, position))
            .orElse(Fitting.ANYWHERE);
    Item asked = session.items().byId(line.askedItemId()).orElseThrow();
    CandidatesLoader loader = CandidatesLoader.of(session, today, asked.partId(), place);
    return loader.candidates().others().stream()
        .filter(candidate -> candidate.verdict() == Verdict.FITS)
        .flatMap(candidate -> loader.item(candidate.part().id()).stream())
        .filter(item -> !item.id().equals(line.itemId()))
        .filter(item -> loader.freeOf(item).compareTo(lacking) >= 0)
        .findFirst()
        .map(
            item ->
                item.number()
                    + " fits, "
                    + loader.freeOf(item).display()
                    + " on shelf "
                    + item.homeBin().address()
                    + ".");
  }
}
