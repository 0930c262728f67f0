package dev.lonja.desk.crossref;

import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.machine.UnitNeeds;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.PlaceDemands;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What fits at one position of one unit, with the limits of the place. */
@Service
@Allowed.ToSeeMachines
public class FitDesk {

  private final LonjaStore store;
  private final StoreClock clock;

  public FitDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * What fits at a position.
   *
   * @param alternatives to the preferred part, itself among them; empty if none is chosen
   */
  public record Fits(
      Unit unit, Position position, Fitting place, Optional<Alternatives> alternatives) {}

  /** Empty if there is no such unit in service or no such position on it. */
  public Optional<Fits> fits(String code, PositionId positionId) {
    return store.read(
        session ->
            session
                .fleet()
                .serving(code, clock.today())
                .flatMap(unit -> fits(session, unit, positionId)));
  }

  private Optional<Fits> fits(Session session, Unit unit, PositionId positionId) {
    UnitNeeds needs = FleetPicture.load(session, clock.today()).needs(unit.id());
    return needs.knownPosition(positionId).map(position -> fits(session, unit, needs, position));
  }

  private Fits fits(Session session, Unit unit, UnitNeeds needs, Position position) {
    Fitting place = PlaceDemands.of(session, needs, position);
    return new Fits(
        unit,
        position,
        place,
        position
            .itemId()
            .flatMap(id -> session.items().byId(id))
            .map(item -> Alternatives.of(session, clock.today(), item.partId(), place)));
  }
}
