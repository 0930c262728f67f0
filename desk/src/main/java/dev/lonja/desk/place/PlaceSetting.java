package dev.lonja.desk.place;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.Item;
import dev.lonja.core.place.BinId;
import dev.lonja.core.place.Place;
import dev.lonja.core.place.Rack;
import dev.lonja.core.place.SatelliteId;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** One setting up of satellites: everything is judged before anything is written. */
final class PlaceSetting {

  private final PlacesDesk.Setup before;
  private final Map<PlacesDesk.Wanted, List<Item.Bin>> bins = new LinkedHashMap<>();
  private final Map<PlacesDesk.Wanted, List<Unit>> units = new LinkedHashMap<>();
  private final Set<SatelliteId> gone = new HashSet<>();
  private final List<PlaceRefusal> refusals = new ArrayList<>();

  PlaceSetting(PlacesDesk.Setup before, List<PlacesDesk.Wanted> wanted) {
    this.before = before;
    Set<String> names = new HashSet<>(Set.of(before.main().toLowerCase(Locale.ROOT)));
    Set<BinId> takenBins = new HashSet<>();
    Set<UnitId> takenUnits = new HashSet<>();
    for (PlacesDesk.Wanted one : wanted) {
      bins.put(one, bins(one, takenBins));
      units.put(one, units(one, takenUnits));
      if (one.isGone()) {
        checkGone(one);
      } else {
        checkName(one, names);
      }
    }
  }

  List<PlaceRefusal> refusals() {
    return refusals;
  }

  private void checkGone(PlacesDesk.Wanted one) {
    SatelliteId id = one.id().orElseThrow();
    if (before.used().contains(id)) {
      refusals.add(new PlaceRefusal.Used(one.row(), before.names().get(id)));
    }
    gone.add(id);
  }

  private void checkName(PlacesDesk.Wanted one, Set<String> names) {
    if (one.name().isBlank() || one.name().length() > Lengths.NAME) {
      refusals.add(new PlaceRefusal.BadName(one.row(), one.name(), Lengths.NAME));
    } else if (!names.add(one.name().toLowerCase(Locale.ROOT))) {
      refusals.add(new PlaceRefusal.SameName(one.row(), one.name()));
    }
  }

  private List<Item.Bin> bins(PlacesDesk.Wanted one, Set<BinId> taken) {
    Set<Item.Bin> named = new LinkedHashSet<>();
    for (String text : one.bins()) {
      List<Item.Bin> found =
          before.bins().stream()
              .filter(
                  bin ->
                      bin.address().equalsIgnoreCase(text)
                          || Rack.of(bin.address()).equalsIgnoreCase(text))
              .toList();
      if (found.isEmpty()) {
        refusals.add(new PlaceRefusal.NoBin(one.row(), text));
      }
      named.addAll(found);
    }
    named.stream()
        .filter(bin -> !taken.add(bin.id()))
        .forEach(bin -> refusals.add(new PlaceRefusal.BinTwice(one.row(), bin.address())));
    return List.copyOf(named);
  }

  private List<Unit> units(PlacesDesk.Wanted one, Set<UnitId> taken) {
    Map<UnitId, Unit> named = new LinkedHashMap<>();
    for (String text : one.units()) {
      Optional<Unit> found =
          before.units().stream().filter(unit -> unit.code().equalsIgnoreCase(text)).findFirst();
      found.ifPresentOrElse(
          unit -> named.put(unit.id(), unit),
          () -> refusals.add(new PlaceRefusal.NoUnit(one.row(), text)));
    }
    named.values().stream()
        .filter(unit -> !taken.add(unit.id()))
        .forEach(unit -> refusals.add(new PlaceRefusal.UnitTwice(one.row(), unit.code())));
    return List.copyOf(named.values());
  }

  void write(Session session, Sent sent, Instant at) {
    Map<SatelliteId, String> renamed = new HashMap<>();
    Map<BinId, Place> binPlaces = new HashMap<>();
    Map<UnitId, Place> homes = new HashMap<>();
    bins.forEach(
        (one, its) -> {
          if (one.isGone()) {
            return;
          }
          SatelliteId id = one.id().orElseGet(() -> session.places().add(one.name()));
          if (!one.name().equals(before.names().get(id))) {
            renamed.put(id, one.name());
          }
          Place place = Place.of(id);
          its.forEach(bin -> binPlaces.put(bin.id(), place));
          units.get(one).forEach(unit -> homes.put(unit.id(), place));
          audit(session, sent, at, one, place);
        });
    session.places().rename(renamed);
    moveBins(session, binPlaces);
    moveUnits(session, homes);
    gone.forEach(
        id -> sentLine(session, sent, at, before.names().get(id), Deed.DELETED, Facts.NONE));
    session.places().remove(gone);
  }

  private void moveBins(Session session, Map<BinId, Place> wanted) {
    Map<Place, List<BinId>> moved =
        before.bins().stream()
            .filter(bin -> !bin.place().equals(wanted.getOrDefault(bin.id(), Place.MAIN)))
            .map(Item.Bin::id)
            .collect(Collectors.groupingBy(bin -> wanted.getOrDefault(bin, Place.MAIN)));
    moved.forEach((place, its) -> session.places().placeBins(its, place));
  }

  private void moveUnits(Session session, Map<UnitId, Place> wanted) {
    Map<Place, List<UnitId>> moved =
        before.units().stream()
            .filter(unit -> !unit.home().equals(wanted.getOrDefault(unit.id(), Place.MAIN)))
            .map(Unit::id)
            .collect(Collectors.groupingBy(unit -> wanted.getOrDefault(unit, Place.MAIN)));
    moved.forEach((place, its) -> session.places().placeUnits(its, place));
  }

  private void audit(Session session, Sent sent, Instant at, PlacesDesk.Wanted one, Place place) {
    Facts after = facts(one.name(), bins.get(one), units.get(one));
    if (one.id().isEmpty()) {
      sentLine(session, sent, at, one.name(), Deed.ADDED, after);
      return;
    }
    Facts was =
        facts(before.names().get(one.id().get()), before.binsOf(place), before.unitsOf(place));
    if (!was.equals(after)) {
      session.audit().add(sent.line(at, Matter.PLACE, one.name(), Deed.EDITED, was, after));
    }
  }

  private static void sentLine(
      Session session, Sent sent, Instant at, String name, Deed deed, Facts after) {
    session.audit().add(sent.line(at, Matter.PLACE, name, deed, Facts.NONE, after));
  }

  private static Facts facts(String name, List<Item.Bin> bins, List<Unit> units) {
    return Facts.of("name", name)
        .with(
            "bins", bins.stream().map(Item.Bin::address).sorted().collect(Collectors.joining(" ")))
        .with("units", units.stream().map(Unit::code).sorted().collect(Collectors.joining(" ")));
  }
}
