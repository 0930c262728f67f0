package dev.lonja.desk.person;

import dev.lonja.core.person.PersonId;
import dev.lonja.desk.answer.KeptAnswer;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.OnceOnly;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.person.Person;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;

/** What each person does about themselves: their password, their sessions. */
@Service
public class OwnDesk {

  private final LonjaStore store;
  private final OnceOnly once;
  private final StoreClock clock;
  private final Secrets secrets;
  private final Tries tries;

  public OwnDesk(LonjaStore store, OnceOnly once, StoreClock clock, Secrets secrets, Tries tries) {
    this.store = store;
    this.once = once;
    this.clock = clock;
    this.secrets = secrets;
    this.tries = tries;
  }

  /** Sets one's own password; all one's sessions end, on other devices too. */
  @Allowed.ToBeOneself
  public Outcome changePassword(Sent sent, String now, String wanted) {
    String key = "own password " + sent.actor();
    if (tries.mustWait(key)) {
      return Outcome.refused(new PersonRefusal.MustWait());
    }
    return once.run(
        sent,
        session -> {
          Person person = session.people().byName(sent.actor()).orElseThrow();
          List<PersonRefusal> refusals = new ArrayList<>();
          if (person.secrets().password().filter(hash -> secrets.matches(now, hash)).isEmpty()) {
            tries.wrong(key, 0);
            refusals.add(new PersonRefusal.WrongPassword());
          }
          objection(wanted, person).ifPresent(refusals::add);
          if (!refusals.isEmpty()) {
            return new Outcome.Refused(refusals);
          }
          tries.right(key);
          session.people().setPassword(person.id(), secrets.hash(wanted));
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.PERSON,
                      person.id(),
                      Deed.PASSWORD_CHANGED,
                      Facts.NONE,
                      Facts.NONE));
          return Outcome.done();
        });
  }

  /**
   * Sets a password with a code that an administrator has given; for those who cannot sign in.
   *
   * @param origin the address from which they ask
   */
  @Allowed.ToEveryone
  public Outcome setPassword(Sent sent, String name, String code, String wanted) {
    String byAddress = "code " + sent.origin();
    if (tries.mustWait(byAddress)) {
      return Outcome.refused(new PersonRefusal.MustWait());
    }
    return once.run(
        sent,
        session -> {
          Optional<Person> person =
              session.people().byName(name).filter(Person::active).filter(p -> isTheirs(p, code));
          if (person.isEmpty()) {
            tries.wrong(byAddress, 0);
            return Outcome.refused(new PersonRefusal.WrongCode());
          }
          Optional<PersonRefusal> objection = objection(wanted, person.get());
          if (objection.isPresent()) {
            return Outcome.refused(objection.get());
          }
          tries.right(byAddress);
          session.people().setPassword(person.get().id(), secrets.hash(wanted));
          session
              .audit()
              .add(
                  new Sent(sent.key(), "", person.get().name().text(), sent.origin())
                      .line(
                          clock.now(),
                          Matter.PERSON,
                          person.get().id(),
                          Deed.PASSWORD_CHANGED,
                          Facts.NONE,
                          Facts.of("by_code", true)));
          return Outcome.done();
        });
  }

  private boolean isTheirs(Person person, String typed) {
    return person
        .secrets()
        .code()
        .filter(code -> clock.now().isBefore(code.until()))
        .filter(code -> Secrets.isCode(typed, code.hash()))
        .isPresent();
  }

  private Optional<PersonRefusal> objection(String wanted, Person person) {
    return secrets
        .objection(wanted, person.name())
        .map(
            objection ->
                new PersonRefusal.BadPassword(
                    objection, wanted.codePointCount(0, wanted.length())));
  }

  /** Ends all one's own sessions. */
  @Allowed.ToBeOneself
  public Outcome endSessions(Sent sent) {
    return once.run(
        sent,
        session -> {
          Person person = session.people().byName(sent.actor()).orElseThrow();
          session.people().endSessions(person.id());
          session
              .audit()
              .add(
                  sent.line(
                      clock.now(),
                      Matter.PERSON,
                      person.id(),
                      Deed.SESSIONS_ENDED,
                      Facts.NONE,
                      Facts.NONE));
          return Outcome.done();
        });
  }

  /** How often all sessions of a person were ended; empty if there is no such person any more. */
  @Allowed.ToEveryone
  @KeptAnswer
  public Optional<Long> stamp(PersonId id) {
    return store.read(session -> session.people().stamp(id));
  }
}
