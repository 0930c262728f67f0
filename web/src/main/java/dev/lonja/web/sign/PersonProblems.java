package dev.lonja.web.sign;

import dev.lonja.core.cases.Cases;
import dev.lonja.core.person.PasswordRule;
import dev.lonja.core.person.PersonName;
import dev.lonja.core.person.Pin;
import dev.lonja.desk.person.PeopleDesk;
import dev.lonja.desk.person.PersonRefusal;
import dev.lonja.desk.person.SecondPerson;
import dev.lonja.desk.person.SecondRefusal;
import dev.lonja.web.request.Problem;
import dev.lonja.web.request.RefusalWording;
import java.util.Map;

/** Says why something about a person was not done. */
public final class PersonProblems {

  public static final RefusalWording REFUSED =
      RefusalWording.of(
          PersonRefusal.class,
          Cases.<PersonRefusal, Problem>over(PersonRefusal.class)
              .when(
                  PersonRefusal.BadName.class,
                  bad ->
                      new Problem(
                          "name", "Give a name of 1 to " + PersonName.LONGEST + " characters."))
              .when(
                  PersonRefusal.NameTaken.class,
                  taken ->
                      new Problem(
                          "name",
                          "There is \"" + taken.name().text() + "\" already; give another name."))
              .when(
                  PersonRefusal.NoRole.class,
                  none -> new Problem("roles", "Choose at least one role."))
              .when(
                  PersonRefusal.LastAdministrator.class,
                  last ->
                      Problem.ofWhole(
                          "Nobody else administers this store. Make somebody else administrator "
                              + "first."))
              .when(
                  PersonRefusal.Unknown.class, none -> Problem.ofWhole("There is no such person."))
              .when(
                  PersonRefusal.BadPassword.class,
                  bad -> new Problem("newPassword", password(bad.objection(), bad.characters())))
              .when(
                  PersonRefusal.WrongPassword.class,
                  wrong -> new Problem("password", "That is not your password of now."))
              .when(
                  PersonRefusal.BadPin.class,
                  bad ->
                      new Problem(
                          "pin",
                          "A PIN has "
                              + Pin.LEAST
                              + " to "
                              + Pin.MOST
                              + " digits, not all alike and not in a row."))
              .when(
                  PersonRefusal.BadBadge.class,
                  bad ->
                      new Problem(
                          "badge",
                          "A badge says "
                              + PeopleDesk.LEAST_BADGE
                              + " to "
                              + PeopleDesk.LONGEST_BADGE
                              + " characters."))
              .when(
                  PersonRefusal.BadgeTaken.class,
                  taken -> new Problem("badge", "That badge is " + taken.other().text() + "'s."))
              .when(
                  PersonRefusal.WrongCode.class,
                  wrong ->
                      new Problem(
                          "oneTimeCode",
                          "That is no code for this name, or it is used or too old. "
                              + "An administrator can give a new one."))
              .when(
                  PersonRefusal.MustWait.class,
                  wait -> Problem.ofWhole("Too many wrong tries. Wait a minute, then try again."))
              .all());

  /** Why a second person's signature is missing or not good. */
  public static final RefusalWording SECOND =
      RefusalWording.of(
          SecondRefusal.class,
          Cases.<SecondRefusal, Problem>over(SecondRefusal.class)
              .when(
                  SecondRefusal.NeedsSecond.class,
                  needs ->
                      new Problem(
                          "secondPerson",
                          "This is worth "
                              + needs.value().display()
                              + "; above "
                              + needs.most().display()
                              + " a second person signs, by name or badge and PIN."))
              .when(
                  SecondRefusal.NotTheirs.class,
                  not ->
                      new Problem(
                          "secondPerson", "That is nobody who may sign here, or not their PIN."))
              .when(
                  SecondRefusal.SamePerson.class,
                  same -> new Problem("secondPerson", "Somebody else has to sign, not you again."))
              .when(
                  SecondRefusal.MustWait.class,
                  wait ->
                      new Problem(
                          "secondPerson", "Too many wrong PINs. Wait a minute, then try again."))
              .all());

  private PersonProblems() {}

  /** A second person's signature as the forms have it; nobody's if they do not ask for one. */
  public static SecondPerson.Signature signature(Map<String, String> fields) {
    return new SecondPerson.Signature(
        fields.getOrDefault("secondPerson", ""), fields.getOrDefault("pin", ""));
  }

  /** What is wrong with a password. */
  static String password(PasswordRule.Objection objection, int characters) {
    return switch (objection) {
      case TOO_SHORT ->
          "The password has "
              + characters
              + " characters; allowed is "
              + PasswordRule.LEAST_CHARACTERS
              + " or more. Several words are easy to remember.";
      case TOO_LONG ->
          "The password has "
              + characters
              + " characters; allowed are "
              + PasswordRule.MOST_BYTES
              + " plain ones.";
      case EASILY_GUESSED ->
          "That password is among those that people use, or close to one. Take several words that "
              + "do not belong together.";
    };
  }
}
