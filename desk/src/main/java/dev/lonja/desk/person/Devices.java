package dev.lonja.desk.person;

import dev.lonja.core.person.PersonId;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.StoreTrouble;
import java.security.SecureRandom;
import java.util.HexFormat;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** The devices on which people have signed in before, each known by a long random token. */
@Component
public class Devices {

  private static final int TOKEN_BYTES = 24;

  private final LonjaStore store;
  private final StoreClock clock;
  private final SecureRandom random = new SecureRandom();

  Devices(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** True if this person has signed in on the device that has this token. */
  public boolean isOf(String token, PersonId person) {
    String hash = Secrets.digest(token);
    return store.<Boolean>read(session -> session.devices().isOf(hash, person));
  }

  /**
   * A new token for the device on which somebody has just signed in; none while the store cannot be
   * written to, which keeps nobody from looking.
   */
  public Optional<String> remember(PersonId person) {
    byte[] bytes = new byte[TOKEN_BYTES];
    random.nextBytes(bytes);
    String token = HexFormat.of().formatHex(bytes);
    try {
      store.write(
          session -> {
            session.devices().add(Secrets.digest(token), person, clock.now());
            return true;
          });
      return Optional.of(token);
    } catch (StoreTrouble trouble) {
      return Optional.empty();
    }
  }
}
