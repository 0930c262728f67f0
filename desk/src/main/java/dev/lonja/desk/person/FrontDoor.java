package dev.lonja.desk.person;

import dev.lonja.core.person.PersonName;
import dev.lonja.desk.audit.Trail;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.person.Person;
import java.util.Optional;
import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import org.springframework.security.authentication.AuthenticationProvider;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.LockedException;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.stereotype.Component;

/**
 * Lets people in by name and password. Wrong passwords cost time, per name and per address, however
 * the name is written; a device on which that person has signed in before has a count of its own,
 * so that nobody can lock another out. Only a few passwords are checked at the same time, since
 * each takes the processor for a tenth of a second.
 */
@Component
public class FrontDoor implements AuthenticationProvider {

  private static final int AT_A_TIME = 2;
  private static final int MOST_SECONDS = 5;

  /** Several people may sit behind one address. */
  private static final int FREE_FOR_ADDRESS = 25;

  private final LonjaStore store;
  private final Secrets secrets;
  private final Tries tries;
  private final Devices devices;
  private final Trail trail;
  private final Semaphore checks = new Semaphore(AT_A_TIME);
  private final String nobodys;

  /**
   * Where somebody stands who signs in.
   *
   * @param device what the browser brings along of an earlier sign-in
   */
  public record Doorway(String address, Optional<String> device) {}

  FrontDoor(LonjaStore store, Secrets secrets, Tries tries, Devices devices, Trail trail) {
    this.store = store;
    this.secrets = secrets;
    this.tries = tries;
    this.devices = devices;
    this.trail = trail;
    this.nobodys = secrets.hash(secrets.code());
  }

  @Override
  public Authentication authenticate(Authentication asked) {
    String typed = asked.getName();
    String key = PersonName.keyOf(typed);
    Doorway doorway = (Doorway) asked.getDetails();
    Optional<Person> person =
        store.read(session -> session.people().byName(typed)).filter(Person::canSignIn);
    Optional<String> known =
        person.flatMap(p -> doorway.device().filter(d -> devices.isOf(d, p.id())));
    String byName = known.map(device -> "device " + Secrets.digest(device)).orElse("name " + key);
    String byAddress = "address " + doorway.address();
    Trail.By by = new Trail.By("", doorway.address());
    if (tries.mustWait(byName) || known.isEmpty() && tries.mustWait(byAddress)) {
      throw new LockedException("too many wrong tries");
    }
    if (!isRight(String.valueOf(asked.getCredentials()), person)) {
      tries.wrong(byName, 0);
      tries.wrong(byAddress, FREE_FOR_ADDRESS);
      trail.noteOnce(by, Matter.PERSON, key, Deed.SIGN_IN_FAILED, Facts.NONE);
      throw new BadCredentialsException("wrong name or password");
    }
    tries.right(byName);
    SignedIn signedIn = SignedIn.of(person.orElseThrow()).known();
    trail.note(
        new Trail.By(signedIn.name(), doorway.address()),
        Matter.PERSON,
        signedIn.id(),
        Deed.SIGNED_IN,
        Facts.NONE);
    UsernamePasswordAuthenticationToken let =
        UsernamePasswordAuthenticationToken.authenticated(signedIn, "", signedIn.getAuthorities());
    let.setDetails(doorway);
    return let;
  }

  /** Takes as long for a name that is not known. */
  private boolean isRight(String password, Optional<Person> person) {
    try {
      if (!checks.tryAcquire(MOST_SECONDS, TimeUnit.SECONDS)) {
        throw new LockedException("too many sign in at the same time");
      }
      try {
        boolean right =
            secrets.matches(password, person.flatMap(p -> p.secrets().password()).orElse(nobodys));
        return right && person.isPresent();
      } finally {
        checks.release();
      }
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
      throw new LockedException("the server is stopping", e);
    }
  }

  @Override
  public boolean supports(Class<?> type) {
    return UsernamePasswordAuthenticationToken.class.isAssignableFrom(type);
  }
}
