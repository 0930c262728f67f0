package dev.lonja.desk.find;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import dev.lonja.desk.fleet.FleetPicture;
import dev.lonja.store.Session;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** Answers "what fits RT-04, oil filter": a unit's name with words of a position. */
final class PlaceSearch {

  private static final Set<String> FILLERS =
      Set.of("what", "fits", "fit", "which", "for", "on", "in", "the", "a", "of", "goes");

  private final Session session;
  private final LocalDate today;

  PlaceSearch(Session session, LocalDate today) {
    this.session = session;
    this.today = today;
  }

  /** The positions that are meant; empty if no unit is named. */
  Optional<Found> find(String query) {
    List<String> words = new ArrayList<>(List.of(query.split("[\\s,?]+")));
    Optional<Unit> unit =
        words.stream().flatMap(word -> session.fleet().unitByCode(word).stream()).findFirst();
    if (unit.isEmpty()) {
      return Optional.empty();
    }
    words.removeIf(word -> word.equalsIgnoreCase(unit.get().code()));
    words.replaceAll(word -> word.toLowerCase(Locale.ROOT));
    words.removeIf(FILLERS::contains);
    return Optional.of(
        words.isEmpty() ? new Found.AUnit(unit.get()) : positions(unit.get(), words));
  }

  private Found positions(Unit unit, List<String> words) {
    List<Found.Place> places =
        FleetPicture.load(session, today).needs(unit.id()).positions().stream()
            .filter(position -> isNamed(position, words))
            .map(
                position ->
                    new Found.Place(
                        position, position.itemId().flatMap(id -> session.items().byId(id))))
            .toList();
    return new Found.OnUnit(unit, String.join(" ", words), places);
  }

  private static boolean isNamed(Position position, List<String> words) {
    String name = (position.name() + " " + position.kind().words()).toLowerCase(Locale.ROOT);
    return words.stream().allMatch(name::contains);
  }
}
