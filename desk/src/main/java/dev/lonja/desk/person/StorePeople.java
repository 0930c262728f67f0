package dev.lonja.desk.person;

import dev.lonja.store.LonjaStore;
import dev.lonja.store.person.Person;
import org.springframework.security.core.userdetails.User;
import org.springframework.security.core.userdetails.UserDetails;
import org.springframework.security.core.userdetails.UserDetailsService;
import org.springframework.security.core.userdetails.UsernameNotFoundException;
import org.springframework.stereotype.Component;

/** The store's people as Spring Security sees them. Without a password nobody signs in. */
@Component
class StorePeople implements UserDetailsService {

  private final LonjaStore store;

  StorePeople(LonjaStore store) {
    this.store = store;
  }

  @Override
  public UserDetails loadUserByUsername(String name) {
    Person person =
        store
            .read(session -> session.people().byName(name))
            .filter(known -> known.active() && known.passwordHash().isPresent())
            .orElseThrow(() -> new UsernameNotFoundException("no such person"));
    return User.withUsername(person.name())
        .password(person.passwordHash().get())
        .roles(person.role().name())
        .build();
  }
}
