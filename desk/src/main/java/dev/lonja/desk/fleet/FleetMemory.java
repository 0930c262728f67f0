package dev.lonja.desk.fleet;

import dev.lonja.core.fleet.Unit;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.store.Session;
import dev.lonja.store.Touched;
import dev.lonja.store.query.UnitScope;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The fleet as it was read, kept while the store is open. After a write only the units it touched
 * are read again, and only those stand anew whose file, meters, class figures or common inputs came
 * out different.
 */
final class FleetMemory {

  private final List<UnitInputs> units;
  private final CommonInputs common;

  /** By day, from the present one on: tomorrow's may be worked out before midnight. */
  private final TreeMap<LocalDate, FleetPicture> pictures = new TreeMap<>();

  private FleetMemory(List<UnitInputs> units, CommonInputs common) {
    this.units = List.copyOf(units);
    this.common = common;
  }

  static FleetMemory of(Session session) {
    return session.kept(
        FleetMemory.class,
        () -> new FleetMemory(UnitInputs.load(session, UnitScope.ALL), CommonInputs.load(session)),
        (known, touched) -> known.after(session, touched));
  }

  /** The fleet of a day; those of days before it are forgotten. */
  synchronized FleetPicture on(LocalDate day) {
    pictures.headMap(day).clear();
    return pictures.computeIfAbsent(day, d -> FleetPicture.of(d, units, common, Optional.empty()));
  }

  /** The fleet of a day to come, beside the present one. */
  synchronized FleetPicture aheadOf(LocalDate day) {
    return pictures.computeIfAbsent(day, d -> FleetPicture.of(d, units, common, Optional.empty()));
  }

  private synchronized FleetMemory after(Session session, Touched touched) {
    FleetMemory next = new FleetMemory(again(session, touched), commonAgain(session, touched));
    pictures.forEach(
        (day, picture) ->
            next.pictures.put(
                day, FleetPicture.of(day, next.units, next.common, Optional.of(picture))));
    return next;
  }

  private CommonInputs commonAgain(Session session, Touched touched) {
    return touched.common() || !touched.variants().isEmpty()
        ? CommonInputs.load(session).like(common)
        : common;
  }

  private List<UnitInputs> again(Session session, Touched touched) {
    Set<UnitId> toRead =
        units.stream()
            .map(UnitInputs::unit)
            .filter(unit -> concerns(touched, unit))
            .map(Unit::id)
            .collect(Collectors.toSet());
    toRead.addAll(touched.units());
    if (toRead.isEmpty()) {
      return units;
    }
    // the units that stay are in order, so little is left to be sorted
    return Stream.concat(
            units.stream().filter(known -> !toRead.contains(known.unit().id())),
            UnitInputs.load(session, UnitScope.of(toRead)).stream())
        .sorted(Comparator.comparing(known -> known.unit().code()))
        .toList();
  }

  private static boolean concerns(Touched touched, Unit unit) {
    return touched.units().contains(unit.id())
        || touched.variants().contains(unit.variant().id())
        || touched.classes().contains(unit.unitClass().id());
  }
}
