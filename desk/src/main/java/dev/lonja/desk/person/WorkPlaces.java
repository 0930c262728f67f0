package dev.lonja.desk.person;

import dev.lonja.core.person.PersonId;
import dev.lonja.core.place.Place;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.person.Person;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.TreeMap;

/** Where somebody may work: at the places that they are granted, or at all if at none. */
public final class WorkPlaces {

  private WorkPlaces() {}

  /** A place at which this person does not work. */
  public record NotYours(String actor, String place) implements Refusal {}

  /** The places at which somebody works; empty if at all of them. */
  public static Optional<Set<Place>> of(Session session, String actor) {
    Map<PersonId, Set<Place>> granted = session.places().granted();
    return granted.isEmpty()
        ? Optional.empty()
        : session.people().byName(actor).map(Person::id).map(granted::get);
  }

  /** Those of some places at which somebody works, in the same order. */
  public static SortedMap<Place, String> among(
      Session session, String actor, SortedMap<Place, String> names) {
    SortedMap<Place, String> theirs = new TreeMap<>(names);
    of(session, actor).ifPresent(theirs.keySet()::retainAll);
    return theirs;
  }

  /** Why the one who asks may not work at a place; empty if they may. */
  public static Optional<Refusal> refusal(Session session, Sent sent, Place place) {
    return of(session, sent.actor())
        .filter(places -> !places.contains(place))
        .map(
            places -> new NotYours(sent.actor(), session.places().names().getOrDefault(place, "")));
  }
}
