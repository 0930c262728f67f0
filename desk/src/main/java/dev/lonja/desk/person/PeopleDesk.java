package dev.lonja.desk.person;

import dev.lonja.core.person.PersonId;
import dev.lonja.core.person.PersonName;
import dev.lonja.core.person.Pin;
import dev.lonja.core.person.Role;
import dev.lonja.core.place.Place;
import dev.lonja.core.quantity.Money;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.RequestRefusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.audit.AuditLine;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.person.Person;
import java.math.BigDecimal;
import java.time.Duration;
import java.time.Instant;
import java.util.Currency;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.SortedMap;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/**
 * Who works here and may do what. Whatever changes what somebody may do ends their sessions; one
 * administrator always remains.
 */
@Service
@Allowed.ToAdminister
public class PeopleDesk {

  /** How long a code may be used that was given for a new password. */
  public static final Duration CODE_LASTS = Duration.ofDays(3);

  /** The fewest and the most characters that a badge says when it is scanned. */
  public static final int LEAST_BADGE = 4;

  public static final int LONGEST_BADGE = Lengths.NAME;

  private static final int MOST_EVENTS = 30;

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;
  private final Secrets secrets;

  public PeopleDesk(LonjaStore store, OnceOnly once, StoreClock clock, Secrets secrets) {
    this.store = store;
    this.once = once;
    this.clock = clock;
    this.secrets = secrets;
  }

  /**
   * A person and what was done about them lately, newest first.
   *
   * @param names of all places of the store
   * @param places where they may work; none if everywhere
   */
  public record PersonFile(
      Person person, List<AuditLine> events, SortedMap<Place, String> names, Set<Place> places) {}

  /** Everyone, those who are switched off too. */
  public List<Person> all() {
    return store.read(session -> session.people().all());
  }

  public Optional<PersonFile> person(PersonId id) {
    return store.read(
        session ->
            session
                .people()
                .byId(id)
                .map(
                    person ->
                        new PersonFile(
                            person,
                            session.audit().latest(Matter.PERSON, id, MOST_EVENTS),
                            session.places().names(),
                            session.places().granted().getOrDefault(id, Set.of()))));
  }

  /** What one person may write off or put right alone; empty if there is no limit. */
  public Optional<Money> mostAlone() {
    return store.read(session -> session.settings().mostAlone());
  }

  /** The currency in which that is said. */
  public Currency currency() {
    return store.read(session -> session.settings().currency());
  }

  /** Sets above which value a second person signs; nothing for never. */
  @Allowed.ToAdminister
  public Outcome setMostAlone(Sent sent, Optional<BigDecimal> most) {
    return once.run(
        sent,
        session -> {
          Optional<Money> before = session.settings().mostAlone();
          Optional<Money> after = most.map(m -> Money.of(m, session.settings().currency()));
          session.settings().setMostAlone(after);
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.POLICY,
                      "",
                      Deed.EDITED,
                      Facts.of("second_person_above", before.map(Money::exactText).orElse("")),
                      Facts.of("second_person_above", after.map(Money::exactText).orElse(""))));
          return Outcome.done();
        });
  }

  /** Adds someone, who cannot sign in until they have set a password; answers their number. */
  @Allowed.ToAdminister
  public Outcome add(Sent sent, String typed, Set<Role> roles) {
    return once.run(
        sent,
        session -> {
          Optional<PersonName> name = PersonName.of(typed);
          if (name.isEmpty()) {
            return Outcome.refused(new PersonRefusal.BadName(typed));
          }
          Optional<Person> other = session.people().byName(typed);
          if (other.isPresent()) {
            return Outcome.refused(new PersonRefusal.NameTaken(other.get().name()));
          }
          if (roles.isEmpty()) {
            return Outcome.refused(new PersonRefusal.NoRole());
          }
          PersonId id = session.people().add(name.get(), roles);
          note(
              session,
              sent,
              id,
              Deed.ADDED,
              Facts.NONE,
              facts(roles).with("name", name.get().text()));
          return Outcome.done(id);
        });
  }

  @Allowed.ToAdminister
  public Outcome setRoles(Sent sent, PersonId id, long version, Set<Role> roles) {
    return edit(
        sent,
        id,
        version,
        (session, person) -> {
          if (roles.isEmpty()) {
            return Outcome.refused(new PersonRefusal.NoRole());
          }
          session.people().setRoles(id, roles);
          note(session, sent, id, Deed.ROLES_CHANGED, facts(person.roles()), facts(roles));
          return Outcome.done();
        });
  }

  /** Says at which places someone may work; at none in particular means everywhere. */
  @Allowed.ToAdminister
  public Outcome setPlaces(Sent sent, PersonId id, long version, Set<Place> places) {
    return edit(
        sent,
        id,
        version,
        (session, person) -> {
          SortedMap<Place, String> names = session.places().names();
          if (!names.keySet().containsAll(places)) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          Set<Place> before = session.places().granted().getOrDefault(id, Set.of());
          session.places().grant(id, places);
          note(
              session,
              sent,
              id,
              Deed.EDITED,
              Facts.of("places", worded(names, before)),
              Facts.of("places", worded(names, places)));
          return Outcome.done();
        });
  }

  private static String worded(SortedMap<Place, String> names, Set<Place> places) {
    return places.stream().sorted().map(names::get).collect(Collectors.joining(", "));
  }

  /** Switches someone off, or on again. */
  @Allowed.ToAdminister
  public Outcome setActive(Sent sent, PersonId id, long version, boolean active) {
    return edit(
        sent,
        id,
        version,
        (session, person) -> {
          session.people().setActive(id, active);
          session.people().setCode(id, Optional.empty());
          session.devices().forget(id);
          note(
              session,
              sent,
              id,
              active ? Deed.SWITCHED_ON : Deed.SWITCHED_OFF,
              Facts.NONE,
              Facts.NONE);
          return Outcome.done();
        });
  }

  /** A code that was given, to be handed on; it is shown once and not kept. */
  public record Given(Outcome outcome, String code, Instant until) {}

  /** Gives someone a code by which they set a new password, once, within {@link #CODE_LASTS}. */
  @Allowed.ToAdminister
  public Given giveCode(Sent sent, PersonId id, long version) {
    String code = secrets.code();
    Instant until = clock.now().plus(CODE_LASTS);
    Outcome outcome =
        edit(
            sent,
            id,
            version,
            (session, person) -> {
              Person.Code kept = new Person.Code(Secrets.digest(code), until);
              session.people().setCode(id, Optional.of(kept));
              note(session, sent, id, Deed.CODE_GIVEN, Facts.NONE, Facts.of("until", until));
              return Outcome.done();
            });
    return new Given(outcome, code, until);
  }

  /** Sets the PIN by which someone signs at the counter; an empty one takes it away. */
  @Allowed.ToAdminister
  public Outcome setPin(Sent sent, PersonId id, long version, String typed) {
    Optional<Pin> pin = Pin.of(typed);
    if (pin.isEmpty() && !typed.isBlank()) {
      return Outcome.refused(new PersonRefusal.BadPin());
    }
    Optional<String> hash = pin.map(Pin::digits).map(secrets::hash);
    return edit(
        sent,
        id,
        version,
        (session, person) -> {
          session.people().setPin(id, hash);
          note(session, sent, id, Deed.PIN_SET, Facts.NONE, Facts.of("pin", hash.isPresent()));
          return Outcome.done();
        });
  }

  /** Sets what someone's badge says when it is scanned; nothing takes it away. */
  @Allowed.ToAdminister
  public Outcome setBadge(Sent sent, PersonId id, long version, String typed) {
    String badge = typed.strip();
    boolean fits = badge.length() >= LEAST_BADGE && badge.length() <= LONGEST_BADGE;
    if (!badge.isEmpty() && !fits) {
      return Outcome.refused(new PersonRefusal.BadBadge(badge));
    }
    Optional<String> hash = Optional.of(badge).filter(b -> !b.isEmpty()).map(Secrets::digest);
    return edit(
        sent,
        id,
        version,
        (session, person) -> {
          Optional<Person> other =
              hash.flatMap(session.people()::byBadge).filter(p -> !p.id().equals(id));
          if (other.isPresent()) {
            return Outcome.refused(new PersonRefusal.BadgeTaken(other.get().name()));
          }
          session.people().setBadge(id, hash);
          note(session, sent, id, Deed.BADGE_SET, Facts.NONE, Facts.of("badge", hash.isPresent()));
          return Outcome.done();
        });
  }

  /** Ends all sessions of someone. */
  @Allowed.ToAdminister
  public Outcome endSessions(Sent sent, PersonId id, long version) {
    return edit(
        sent,
        id,
        version,
        (session, person) -> {
          session.people().endSessions(id);
          note(session, sent, id, Deed.SESSIONS_ENDED, Facts.NONE, Facts.NONE);
          return Outcome.done();
        });
  }

  private Outcome edit(
      Sent sent, PersonId id, long version, BiFunction<Session, Person, Outcome> work) {
    return once.run(
        sent,
        session -> {
          Optional<Person> person = session.people().byId(id);
          if (person.isEmpty()) {
            return Outcome.refused(new PersonRefusal.Unknown());
          }
          if (!session.people().touch(id, version)) {
            return Outcome.refused(RequestRefusal.CHANGED_MEANWHILE);
          }
          boolean administered = session.people().hasAdministrator();
          Outcome outcome = work.apply(session, person.get());
          return administered && !session.people().hasAdministrator()
              ? Outcome.refused(new PersonRefusal.LastAdministrator())
              : outcome;
        });
  }

  private void note(Session session, Sent sent, PersonId id, Deed deed, Facts before, Facts after) {
    session.audit().add(sent.line(clock.now(), Matter.PERSON, id, deed, before, after));
  }

  private static Facts facts(Set<Role> roles) {
    return Facts.of(
        "roles",
        roles.stream()
            .sorted()
            .map(role -> role.name().toLowerCase(Locale.ROOT))
            .collect(Collectors.joining(" ")));
  }
}
