package dev.lonja.store.person;

import java.util.Optional;

/**
 * Someone who may sign in.
 *
 * @param passwordHash empty until an administrator sets a password; such a person cannot sign in
 */
public record Person(
    long id, String name, Role role, Optional<String> passwordHash, boolean active) {

  /** What a person may do. */
  public enum Role {
    STOREKEEPER,
    BUYER,
    WORKSHOP,
    AUDITOR,
    ADMINISTRATOR
  }
}
