package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Comparison;
import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.web.document.PdfRenderer;
import dev.lonja.web.frame.Plate;
import java.util.List;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Service;

/** Two parts beside each other: drawn to one scale, and property by property. */
@Service
@Allowed.ToSeeMachines
class CompareDesk {

  private static final int PAPER_WIDTH = 186;
  private static final int PAPER_HEIGHT = 205;

  private final LonjaStore store;
  private final StoreClock clock;
  private final PdfRenderer paper;

  CompareDesk(LonjaStore store, StoreClock clock, PdfRenderer paper) {
    this.store = store;
    this.clock = clock;
    this.paper = paper;
  }

  /**
   * The page.
   *
   * @param place "RT-04, oil filter"; empty if the two are compared as such
   * @param drawing empty if nothing of them can be drawn
   */
  record View(
      Plate asked,
      Plate offered,
      String place,
      List<String> reasons,
      String drawing,
      List<FindingWording.Row> rows,
      String query) {}

  /** A part on the paper; {@code reduction} is 1 for the true size. */
  record Sheet(String title, String drawing, int reduction) {}

  private record Pair(Part asked, Part offered, String place, Comparison comparison) {}

  /** The page; both parts must be known. */
  View compare(PartId asked, PartId offered, String unit, Optional<PositionId> position) {
    return store.read(
        session -> {
          Pair pair = pair(session, asked, offered, unit, position);
          String query =
              "asked="
                  + asked
                  + "&offered="
                  + offered
                  + (pair.place().isEmpty()
                      ? ""
                      : "&unit=" + unit + "&position=" + position.orElseThrow());
          return new View(
              plate(session, pair.asked()),
              plate(session, pair.offered()),
              pair.place(),
              FindingWording.reasons(pair.comparison()),
              ScaleDrawing.both(pair.asked(), pair.offered(), pair.comparison()),
              pair.comparison().findings().stream().map(FindingWording::row).toList(),
              query);
        });
  }

  /** The same on paper, each part in its true size where that goes on a sheet. */
  ResponseEntity<byte[]> onPaper(
      PartId asked, PartId offered, String unit, Optional<PositionId> position) {
    Pair pair = store.read(session -> pair(session, asked, offered, unit, position));
    List<Sheet> sheets =
        List.of(pair.asked(), pair.offered()).stream()
            .distinct()
            .map(part -> sheet(part, pair.comparison()))
            .toList();
    return paper.answer(
        "scale-sheet",
        "to-scale.pdf",
        Map.of(
            "sheets",
            sheets,
            "ruler",
            ScaleDrawing.ruler(),
            "rows",
            pair.comparison().findings().stream().map(FindingWording::row).toList()));
  }

  private static Sheet sheet(Part part, Comparison comparison) {
    return new Sheet(
        part.make() + " " + part.number(),
        ScaleDrawing.onPaper(part, comparison, PAPER_WIDTH, PAPER_HEIGHT),
        ScaleDrawing.reduction(part, PAPER_WIDTH - 70.0, PAPER_HEIGHT - 20.0));
  }

  private Pair pair(
      Session session,
      PartId asked,
      PartId offered,
      String unitCode,
      Optional<PositionId> positionId) {
    Part one = part(session, asked);
    Part other = part(session, offered);
    Optional<Unit> unit = session.fleet().unitByCode(unitCode).filter(u -> u.retiredOn().isEmpty());
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    return unit.flatMap(u -> positionId.flatMap(id -> PlaceDemands.position(fleet, u.id(), id)))
        .map(
            position -> {
              Fitting place = PlaceDemands.of(session, fleet.needs(unit.get().id()), position);
              return new Pair(
                  one,
                  other,
                  unit.get().code() + ", " + position.name(),
                  Comparison.of(one, other, place, session.rubbers().table()));
            })
        .orElseGet(
            () ->
                new Pair(
                    one,
                    other,
                    "",
                    Comparison.of(one, other, Fitting.ANYWHERE, session.rubbers().table())));
  }

  private static Part part(Session session, PartId id) {
    return session.parts().byId(id).orElseThrow(() -> new NoSuchElementException("part " + id));
  }

  private static Plate plate(Session session, Part part) {
    Map<PartId, Item> items = session.items().byParts(List.of(part.id()));
    return Plate.of(part, Optional.ofNullable(items.get(part.id())));
  }
}
