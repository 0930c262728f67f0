package dev.lonja.desk.person;

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

  private final Pins pins;

  public Receiver(Pins pins) {
    this.pins = pins;
  }

  /**
   * Who it is.
   *
   * @param signed whether they signed with their PIN
   */
  public record Known(String name, boolean signed) {}

  /** Whose badge or name a code is, if it is anybody's. */
  public Optional<String> badge(Session session, String code) {
    return pins.person(session, code.strip()).map(person -> person.name().text());
  }

  /**
   * Reads who takes it; empty if a PIN was typed that is not theirs, or too many were.
   *
   * @param who a name, or what a badge says
   * @param pin empty if nobody signs
   */
  public Optional<Known> read(Session session, String who, String pin) {
    Optional<Person> person = pins.person(session, who);
    String name = person.map(p -> p.name().text()).orElse(who);
    if (pin.isBlank()) {
      return Optional.of(new Known(name, false));
    }
    return pins.check(person, pin) == Pins.Answer.THEIRS
        ? Optional.of(new Known(name, true))
        : Optional.empty();
  }
}
