package dev.lonja.desk.place;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.KeepersDesk;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Says which places a store has, which bins stand in each and which machines it serves. */
@Service
@Allowed.ToKeepStore
public class PlacesDesk extends KeepersDesk {

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;

  PlacesDesk(LonjaStore store, OnceOnly once, StoreClock clock) {
    this.store = store;
    this.once = once;
    this.clock = clock;
  }

  /**
   * The places as they stand.
   *
   * @param main what the main store is called
   * @param names of the satellites
   * @param used satellites that cannot be taken away
   * @param bins all, in walking order
   * @param units all that are in the fleet
   */
  public record Setup(
      String main,
      Map<SatelliteId, String> names,
      Set<SatelliteId> used,
      List<Item.Bin> bins,
      List<Unit> units) {

    public List<Item.Bin> binsOf(Place place) {
      return bins.stream().filter(bin -> bin.place().equals(place)).toList();
    }

    public List<Unit> unitsOf(Place place) {
      return units.stream().filter(unit -> unit.home().equals(place)).toList();
    }

    /** Tells whether somebody else set them up meanwhile. */
    public String stamp() {
      return Integer.toHexString(
          List.of(
                  names,
                  bins.stream().map(bin -> bin.address() + "@" + bin.place()).toList(),
                  units.stream().map(unit -> unit.code() + "@" + unit.home()).toList())
              .toString()
              .hashCode());
    }
  }

  public Setup setup() {
    return store.read(this::setup);
  }

  private Setup setup(Session session) {
    return new Setup(
        session.settings().storeName(),
        session.places().satellites(),
        session.places().used(),
        session.items().bins(),
        session.fleet().serving(clock.today()));
  }

  /**
   * A satellite as it is to be.
   *
   * @param id empty for one that is added
   * @param bins racks, or addresses of single bins
   * @param units codes of machines
   * @param isGone true if it is to be taken away
   */
  public record Wanted(
      Optional<SatelliteId> id,
      String name,
      List<String> bins,
      List<String> units,
      boolean isGone) {

    String row() {
      return id.map(SatelliteId::toString).orElse("");
    }
  }

  /**
   * Sets up all satellites; what none of them names is the main store's.
   *
   * @param stamp of the set-up as it was shown
   */
  @Allowed.ToKeepStore
  public Outcome set(Sent sent, String stamp, List<Wanted> wanted) {
    return once.run(
        sent,
        session -> {
          Setup before = setup(session);
          Set<SatelliteId> named =
              wanted.stream().flatMap(one -> one.id().stream()).collect(Collectors.toSet());
          if (!before.stamp().equals(stamp) || !named.equals(before.names().keySet())) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          PlaceSetting setting = new PlaceSetting(before, wanted);
          if (!setting.refusals().isEmpty()) {
            return new Outcome.Refused(setting.refusals());
          }
          setting.write(session, sent, clock.now());
          return Outcome.done();
        });
  }
}
