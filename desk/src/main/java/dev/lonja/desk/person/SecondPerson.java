package dev.lonja.desk.person;

import dev.lonja.core.person.Role;
import dev.lonja.core.quantity.Money;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.Session;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.person.Person;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Component;

/**
 * Where something is worth more than the store lets one person decide, a second one signs on the
 * spot, by name or badge and PIN.
 */
@Component
public class SecondPerson {

  private static final Set<Role> MAY_SIGN = Set.of(Role.STOREKEEPER, Role.ADMINISTRATOR);

  private final Pins pins;
  private final StoreClock clock;

  public SecondPerson(Pins pins, StoreClock clock) {
    this.pins = pins;
    this.clock = clock;
  }

  /**
   * A second person as they sign.
   *
   * @param who their name, or what their badge says; empty if nobody has signed
   */
  public record Signature(String who, String pin) {
    public static final Signature NONE = new Signature("", "");
  }

  /**
   * Whether something may be done; that a second person signed is noted.
   *
   * @param value what it is worth, below or above zero
   * @param about what it is about, and {@code subject} which
   */
  public Optional<SecondRefusal> refusal(
      Session session, Sent sent, Money value, Matter about, Object subject, Signature signature) {
    Optional<Money> most = session.settings().mostAlone();
    if (most.filter(value.abs()::isMoreThan).isEmpty()) {
      return Optional.empty();
    }
    if (signature.who().isBlank()) {
      return Optional.of(new SecondRefusal.NeedsSecond(value.abs(), most.get()));
    }
    Optional<Person> second =
        pins.person(session, signature.who())
            .filter(person -> person.roles().stream().anyMatch(MAY_SIGN::contains));
    Pins.Answer answer = pins.check(second, signature.pin());
    if (answer != Pins.Answer.THEIRS) {
      return Optional.of(
          answer == Pins.Answer.MUST_WAIT
              ? new SecondRefusal.MustWait()
              : new SecondRefusal.NotTheirs());
    }
    String name = second.orElseThrow().name().text();
    if (name.equals(sent.actor())) {
      return Optional.of(new SecondRefusal.SamePerson());
    }
    session
        .audit()
        .add(
            sent.line(
                clock.now(),
                about,
                subject,
                Deed.SIGNED,
                Facts.NONE,
                Facts.of("second_person", name).with("value", value.exactText())));
    return Optional.empty();
  }
}
