package dev.lonja.desk.person;

import dev.lonja.core.person.PersonId;
import dev.lonja.store.Session;
import dev.lonja.store.person.Person;
import java.util.Optional;
import org.springframework.stereotype.Component;

/**
 * Who takes something over the counter: somebody by name, whether they are on file or not, or whose
 * badge was scanned. Who is on file may sign with their PIN.
 */
@Component
public class Receiver {

  private final Secrets secrets;
  private final Tries tries;

  public Receiver(Secrets secrets, Tries tries) {
    this.secrets = secrets;
    this.tries = tries;
  }

  /**
   * Who it is.
   *
   * @param signed whether they signed with their PIN
   */
  public record Known(String name, boolean signed) {}

  /**
   * Reads who takes it; empty if a PIN was typed that is not theirs, or too many were.
   *
   * @param who a name, or what a badge says
   * @param pin empty if nobody signs
   */
  public Optional<Known> read(Session session, String who, String pin) {
    Optional<Person> person =
        session
            .people()
            .byName(who)
            .or(() -> session.people().byBadge(Secrets.digest(who)))
            .filter(Person::active);
    String name = person.map(p -> p.name().text()).orElse(who);
    if (pin.isBlank()) {
      return Optional.of(new Known(name, false));
    }
    String key = "pin " + person.map(Person::id).map(PersonId::toString).orElse("of nobody");
    if (tries.mustWait(key)) {
      return Optional.empty();
    }
    boolean theirs =
        person
            .flatMap(p -> p.secrets().pin())
            .filter(hash -> secrets.matches(pin.strip(), hash))
            .isPresent();
    if (!theirs) {
      tries.wrong(key, 0);
      return Optional.empty();
    }
    tries.right(key);
    return Optional.of(new Known(name, true));
  }
}
