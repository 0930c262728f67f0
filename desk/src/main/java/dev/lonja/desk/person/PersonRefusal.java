package dev.lonja.desk.person;

import dev.lonja.core.person.PasswordRule;
import dev.lonja.core.person.PersonName;
import dev.lonja.desk.request.Refusal;

/** Why something about a person is not done. */
public sealed interface PersonRefusal extends Refusal {

  /** No name, or one that is too long. */
  record BadName(String typed) implements PersonRefusal {}

  /** Somebody is called so, or so alike that people would mistake them. */
  record NameTaken(PersonName name) implements PersonRefusal {}

  /** A person does at least one kind of work. */
  record NoRole() implements PersonRefusal {}

  /** Nobody else could administer the store. */
  record LastAdministrator() implements PersonRefusal {}

  /** There is no such person. */
  record Unknown() implements PersonRefusal {}

  /** The password is not good enough. */
  record BadPassword(PasswordRule.Objection objection, int characters) implements PersonRefusal {}

  /** The password of now was not that. */
  record WrongPassword() implements PersonRefusal {}

  /** The PIN is not one. */
  record BadPin() implements PersonRefusal {}

  /** A badge says 4 to 60 characters. */
  record BadBadge(String typed) implements PersonRefusal {}

  /** Somebody else has this badge. */
  record BadgeTaken(PersonName other) implements PersonRefusal {}

  /** Not a code that was given to this person, or too late. */
  record WrongCode() implements PersonRefusal {}

  /** Too many wrong tries; the next one has to wait. */
  record MustWait() implements PersonRefusal {}
}
