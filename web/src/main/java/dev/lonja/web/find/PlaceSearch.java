package dev.lonja.web.find;

import dev.lonja.core.fleet.Position;
import dev.lonja.core.fleet.Unit;
import dev.lonja.core.item.Item;
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

  /** The positions that are meant; empty if no unit is named, or nothing beside it. */
  Optional<FindView> find(String query) {
    List<String> words = new ArrayList<>(List.of(query.split("[\\s,?]+")));
    Optional<Unit> unit =
        words.stream().flatMap(word -> session.fleet().unitByCode(word).stream()).findFirst();
    if (unit.isEmpty()) {
      return Optional.empty();
    }
    words.removeIf(word -> word.equalsIgnoreCase(unit.get().code()));
    words.replaceAll(word -> word.toLowerCase(Locale.ROOT));
    words.removeIf(FILLERS::contains);
    if (words.isEmpty()) {
      return Optional.of(FindView.going(query, "/fleet/" + unit.get().code()));
    }
    return Optional.of(view(query, unit.get(), words));
  }

  private FindView view(String query, Unit unit, List<String> words) {
    List<FindView.PlaceHit> hits =
        FleetPicture.load(session, today).needs(unit.id()).positions().stream()
            .filter(position -> isNamed(position, words))
            .map(position -> hit(unit, position))
            .toList();
    if (hits.size() == 1) {
      return FindView.going(query, hits.get(0).path());
    }
    String answer =
        hits.isEmpty()
            ? unit.code() + " has no position called " + String.join(" ", words) + "."
            : unit.code() + " has " + hits.size() + " such positions. Which one?";
    return new FindView(query, answer, Optional.empty(), List.of(), hits);
  }

  private static boolean isNamed(Position position, List<String> words) {
    String name = (position.name() + " " + position.kind().words()).toLowerCase(Locale.ROOT);
    return words.stream().allMatch(name::contains);
  }

  private FindView.PlaceHit hit(Unit unit, Position position) {
    String takes =
        position
            .itemId()
            .flatMap(id -> session.items().byId(id))
            .map(Item::number)
            .orElse("none chosen");
    return new FindView.PlaceHit(
        "/fleet/" + unit.code() + "/fits/" + position.id(), unit.code(), position.name(), takes);
  }
}
