package dev.lonja.desk.person;

import dev.lonja.core.person.PersonId;
import dev.lonja.core.person.Role;
import dev.lonja.store.person.Person;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import org.springframework.security.core.GrantedAuthority;
import org.springframework.security.core.authority.SimpleGrantedAuthority;
import org.springframework.security.core.userdetails.UserDetails;

/**
 * Someone who has signed in, as they were then.
 *
 * @param stamp their sessions end when the store's has grown beyond it
 */
public record SignedIn(PersonId id, String name, Set<Role> roles, long stamp, String password)
    implements UserDetails {

  static SignedIn of(Person person) {
    return new SignedIn(
        person.id(),
        person.name().text(),
        person.roles(),
        person.stamp(),
        person.secrets().password().orElseThrow());
  }

  /** The same without the hash of the password, as a session keeps it. */
  SignedIn known() {
    return new SignedIn(id, name, roles, stamp, "");
  }

  @Override
  public Collection<? extends GrantedAuthority> getAuthorities() {
    return List.copyOf(
        roles.stream().map(role -> new SimpleGrantedAuthority("ROLE_" + role.name())).toList());
  }

  @Override
  public String getPassword() {
    return password;
  }

  @Override
  public String getUsername() {
    return name;
  }

  /** Without the password's hash. */
  @Override
  public String toString() {
    return name;
  }
}
