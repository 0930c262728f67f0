package dev.lonja.store.person;

import dev.lonja.core.person.PersonId;
import dev.lonja.core.person.PersonName;
import dev.lonja.core.person.Role;
import java.time.Instant;
import java.util.Optional;
import java.util.Set;

/**
 * Someone who may sign in.
 *
 * @param active false for who is switched off: they stay in the records and may do nothing
 * @param stamp grows when all their sessions are over
 */
public record Person(
    PersonId id,
    PersonName name,
    Set<Role> roles,
    boolean active,
    Secrets secrets,
    long stamp,
    long version) {

  /**
   * What they are known by, as hashes.
   *
   * @param password empty until one is set; such a person cannot sign in
   * @param pin by which they sign at the counter
   * @param badge what their badge says when it is scanned
   * @param code given once, to set a password with
   */
  public record Secrets(
      Optional<String> password,
      Optional<String> pin,
      Optional<String> badge,
      Optional<Code> code) {}

  /** A code that may be used once, until an instant. */
  public record Code(String hash, Instant until) {}

  public Person {
    roles = Set.copyOf(roles);
  }

  /** True if they can sign in now. */
  public boolean canSignIn() {
    return active && secrets.password().isPresent() && !roles.isEmpty();
  }

  /** True if they can sign in and administer the store. */
  public boolean administers() {
    return canSignIn() && roles.contains(Role.ADMINISTRATOR);
  }
}
