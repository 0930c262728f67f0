package dev.lonja.desk.count;

import dev.lonja.core.person.Role;
import dev.lonja.store.Session;

/** Whether somebody else can make a second count. */
final class OtherCounters {

  private OtherCounters() {}

  static boolean are(Session session, String actor) {
    return session.people().all().stream()
        .filter(person -> person.active())
        .filter(
            person ->
                person.roles().contains(Role.STOREKEEPER)
                    || person.roles().contains(Role.ADMINISTRATOR))
        .anyMatch(person -> !person.name().text().equals(actor));
  }
}
