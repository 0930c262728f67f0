package dev.lonja.web.crossref;

import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
import dev.lonja.core.service.UnitNeeds;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What fits at one position of one unit, with the limits of the place. */
@Service
@Allowed.ToSeeMachines
class FitDesk {

  private final LonjaStore store;
  private final StoreClock clock;

  FitDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * The page.
   *
   * @param demands of the place, in a few words each
   * @param itself the preferred part; none if none is chosen
   */
  record View(
      String unit,
      PositionId positionId,
      String position,
      List<String> demands,
      Optional<CandidateRow> itself,
      List<CandidateRow> candidates) {}

  /** The page; empty if there is no such unit in service or no such position on it. */
  Optional<View> fits(String code, PositionId positionId) {
    return store.read(session -> view(session, code, positionId));
  }

  private Optional<View> view(Session session, String code, PositionId positionId) {
    Optional<Unit> unit = session.fleet().unitByCode(code).filter(u -> u.retiredOn().isEmpty());
    if (unit.isEmpty()) {
      return Optional.empty();
    }
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    return PlaceDemands.position(fleet, unit.get().id(), positionId)
        .map(position -> view(session, unit.get(), fleet.needs(unit.get().id()), position));
  }

  private View view(Session session, Unit unit, UnitNeeds needs, Position position) {
    Fitting place = PlaceDemands.of(session, needs, position);
    Optional<Item> preferred = position.itemId().flatMap(id -> session.items().byId(id));
    Optional<CandidatesLoader> loader =
        preferred.map(item -> CandidatesLoader.of(session, clock.today(), item.partId(), place));
    return new View(
        unit.code(),
        position.id(),
        position.name(),
        PlaceDemands.words(place),
        loader.map(CandidatesLoader::itself),
        loader.map(CandidatesLoader::rows).orElse(List.of()));
  }
}
