package dev.lonja.desk.crossref;

import dev.lonja.core.crossref.Comparison;
import dev.lonja.core.crossref.Fitting;
import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.part.Part;
import dev.lonja.core.part.PartId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.desk.fleet.PlaceDemands;
import dev.lonja.desk.person.Allowed;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** Two parts beside each other, as such or for a place. */
@Service
@Allowed.ToSeeMachines
public class CompareDesk {

  private final LonjaStore store;
  private final StoreClock clock;

  public CompareDesk(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * Two parts compared.
   *
   * @param place where they are to go; empty if they are compared as such
   */
  public record Compared(
      Part asked, Part offered, Optional<Place> place, Comparison comparison, PartShelf shelf) {}

  /** A position of a unit. */
  public record Place(Unit unit, Position position) {}

  /** Empty if one of the two is not known; a place that is not known is left aside. */
  public Optional<Compared> compare(
      PartId asked, PartId offered, String unit, Optional<PositionId> position) {
    return store.read(
        session ->
            session
                .parts()
                .byId(asked)
                .flatMap(
                    one ->
                        session
                            .parts()
                            .byId(offered)
                            .map(other -> compared(session, one, other, unit, position))));
  }

  private Compared compared(
      Session session, Part one, Part other, String code, Optional<PositionId> positionId) {
    FleetPicture fleet = FleetPicture.load(session, clock.today());
    Optional<Place> place =
        session
            .fleet()
            .serving(code, clock.today())
            .flatMap(
                unit ->
                    positionId
                        .flatMap(fleet.needs(unit.id())::knownPosition)
                        .map(position -> new Place(unit, position)));
    Fitting fitting =
        place
            .map(p -> PlaceDemands.of(session, fleet.needs(p.unit().id()), p.position()))
            .orElse(Fitting.ANYWHERE);
    return new Compared(
        one,
        other,
        place,
        Comparison.of(one, other, fitting, session.rubberTable()),
        PartShelf.of(session, clock.today(), List.of(one.id(), other.id())));
  }
}
