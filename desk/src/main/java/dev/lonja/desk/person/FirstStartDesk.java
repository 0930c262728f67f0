package dev.lonja.desk.person;

import dev.lonja.core.person.PasswordRule;
import dev.lonja.core.person.PersonName;
import dev.lonja.core.person.Role;
import dev.lonja.core.text.Lengths;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.desk.request.Sent;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.audit.Deed;
import dev.lonja.store.audit.Facts;
import dev.lonja.store.audit.Matter;
import dev.lonja.store.person.Person;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Currency;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.stereotype.Service;

/**
 * Sets up a store that has no administrator yet. Whoever does it must know the code that the server
 * printed when it started, so that the first visitor from the network cannot take the store.
 */
@Service
@Allowed.ToEveryone
public class FirstStartDesk {

  /** The longest name of a store or a person. */
  public static final int LONGEST_NAME = Lengths.NAME;

  private static final String TRIES = "set-up code";

  private final LonjaStore store;
  private final StoreClock clock;
  private final Secrets secrets;
  private final Tries tries;
  private final String code;
  private volatile boolean done;

  public FirstStartDesk(LonjaStore store, StoreClock clock, Secrets secrets, Tries tries) {
    this.store = store;
    this.clock = clock;
    this.secrets = secrets;
    this.tries = tries;
    this.code = secrets.code();
  }

  /**
   * What a store begins with.
   *
   * @param name of the administrator: somebody the store knows already, or somebody new
   */
  public record Beginning(
      String setUpCode,
      String storeName,
      String currency,
      String timeZone,
      String name,
      String password) {}

  /** Why a store is not set up. */
  public sealed interface Refused extends Refusal {}

  /** It has an administrator. */
  public record SetUpAlready() implements Refused {}

  /** Too many wrong codes; the next one has to wait. */
  public record MustWait() implements Refused {}

  /** Not the code that the server printed. */
  public record WrongCode() implements Refused {}

  /** The store's name is empty or too long. */
  public record BadStoreName(int length) implements Refused {}

  /** The administrator's name is empty or too long. */
  public record BadName(int length) implements Refused {}

  /** No currency has this code. */
  public record UnknownCurrency(String code) implements Refused {}

  /** No time zone has this name. */
  public record UnknownZone(String name) implements Refused {}

  /** The password is not good enough. */
  public record BadPassword(PasswordRule.Objection objection, int characters) implements Refused {}

  /** What the server prints at its start. */
  public String code() {
    return code;
  }

  /** True while nobody administers the store. */
  public boolean isNeeded() {
    if (!done) {
      done = store.read(session -> session.people().hasAdministrator());
    }
    return !done;
  }

  /**
   * How far a store is that is to be set up.
   *
   * @param people whom an import brought, by name
   */
  public record SoFar(String storeName, String currency, String timeZone, List<String> people) {}

  /** What is there already. */
  public SoFar soFar() {
    return store.read(
        session ->
            new SoFar(
                session.settings().isNamed() ? session.settings().storeName() : "",
                session.settings().currency().getCurrencyCode(),
                session.settings().timeZone().getId(),
                isNeeded()
                    ? session.people().all().stream().map(p -> p.name().text()).toList()
                    : List.of()));
  }

  /** Makes someone administrator and names the store; what else is there stays as it is. */
  @Allowed.ToEveryone
  public synchronized Outcome setUp(Sent sent, Beginning asked) {
    if (!isNeeded()) {
      return Outcome.refused(new SetUpAlready());
    }
    if (tries.mustWait(TRIES)) {
      return Outcome.refused(new MustWait());
    }
    List<Refused> refusals = refusals(asked);
    if (!refusals.isEmpty()) {
      return new Outcome.Refused(refusals);
    }
    store.write(
        session -> {
          session
              .settings()
              .set(
                  asked.storeName().strip(),
                  Currency.getInstance(asked.currency()),
                  ZoneId.of(asked.timeZone()));
          PersonName name = PersonName.of(asked.name()).orElseThrow();
          Person administrator =
              session
                  .people()
                  .byName(name.text())
                  .or(
                      () ->
                          session
                              .people()
                              .byId(session.people().add(name, Set.of(Role.ADMINISTRATOR))))
                  .orElseThrow();
          Set<Role> roles = EnumSet.of(Role.ADMINISTRATOR);
          roles.addAll(administrator.roles());
          session.people().setRoles(administrator.id(), roles);
          session.people().setActive(administrator.id(), true);
          session.people().setPassword(administrator.id(), secrets.hash(asked.password()));
          session
              .audit()
              .add(
                  new Sent(sent.key(), "", name.text(), sent.origin())
                      .line(
                          clock.now(),
                          Matter.STORE,
                          "",
                          Deed.SET_UP,
                          Facts.NONE,
                          Facts.of("store_name", asked.storeName().strip())));
          return true;
        });
    return Outcome.done();
  }

  private List<Refused> refusals(Beginning asked) {
    List<Refused> refusals = new ArrayList<>();
    if (!Secrets.isCode(asked.setUpCode(), Secrets.digest(code))) {
      tries.wrong(TRIES, 0);
      refusals.add(new WrongCode());
    }
    if (isNoName(asked.storeName())) {
      refusals.add(new BadStoreName(asked.storeName().length()));
    }
    boolean knownCurrency =
        Currency.getAvailableCurrencies().stream()
            .anyMatch(currency -> currency.getCurrencyCode().equals(asked.currency()));
    if (!knownCurrency) {
      refusals.add(new UnknownCurrency(asked.currency()));
    }
    if (!ZoneId.getAvailableZoneIds().contains(asked.timeZone())) {
      refusals.add(new UnknownZone(asked.timeZone()));
    }
    Optional<PersonName> name = PersonName.of(asked.name());
    if (name.isEmpty()) {
      refusals.add(new BadName(asked.name().length()));
    }
    name.flatMap(known -> secrets.objection(asked.password(), known))
        .map(
            objection ->
                new BadPassword(
                    objection, asked.password().codePointCount(0, asked.password().length())))
        .ifPresent(refusals::add);
    return refusals;
  }

  private static boolean isNoName(String text) {
    return text.isBlank() || text.length() > LONGEST_NAME;
  }
}
