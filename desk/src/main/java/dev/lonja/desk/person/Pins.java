package dev.lonja.desk.person;

import dev.lonja.core.person.PersonId;
import dev.lonja.store.Session;
import dev.lonja.store.person.Person;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Knows people at the counter by name or badge, and whether a PIN is theirs; guessing costs time.
 */
@Component
public class Pins {

  private final Secrets secrets;
  private final Tries tries;

  public Pins(Secrets secrets, Tries tries) {
    this.secrets = secrets;
    this.tries = tries;
  }

  /** What is to be said of a PIN. */
  enum Answer {
    THEIRS,
    NOT_THEIRS,
    /** Too many wrong ones; the next one has to wait. */
    MUST_WAIT
  }

  /** Whoever is called so, or has the badge that says so, and is not switched off. */
  Optional<Person> person(Session session, String who) {
    return session
        .people()
        .byName(who)
        .or(() -> session.people().byBadge(Secrets.digest(who)))
        .filter(Person::active);
  }

  /** Whether a PIN is that of somebody; of nobody none is. */
  Answer check(Optional<Person> person, String pin) {
    String key = "pin " + person.map(Person::id).map(PersonId::toString).orElse("of nobody");
    if (tries.mustWait(key)) {
      return Answer.MUST_WAIT;
    }
    boolean theirs =
        person
            .flatMap(p -> p.secrets().pin())
            .filter(hash -> secrets.matches(pin.strip(), hash))
            .isPresent();
    if (theirs) {
      tries.right(key);
    } else {
      tries.wrong(key, 0);
    }
    return theirs ? Answer.THEIRS : Answer.NOT_THEIRS;
  }
}
