package dev.lonja.core.person;

import java.time.Duration;
import java.time.Instant;
import java.util.Set;

/**
 * How long someone stays signed in: a working day without a sign of them, a week in all; who
 * administers the store an hour, and a working day in all.
 *
 * @param idle after this long without a request it is over
 * @param absolute it is over this long after the sign-in, whatever happens
 */
public record SessionLimits(Duration idle, Duration absolute) {

  private static final SessionLimits USUAL =
      new SessionLimits(Duration.ofHours(12), Duration.ofDays(7));
  private static final SessionLimits OF_ADMINISTRATORS =
      new SessionLimits(Duration.ofHours(1), Duration.ofHours(12));

  /** The limits for someone with these roles. */
  public static SessionLimits of(Set<Role> roles) {
    return roles.contains(Role.ADMINISTRATOR) ? OF_ADMINISTRATORS : USUAL;
  }

  /** True if a session that began and was last seen at these times is over. */
  public boolean isOver(Instant began, Instant seen, Instant now) {
    return !now.isBefore(began.plus(absolute)) || !now.isBefore(seen.plus(idle));
  }
}
