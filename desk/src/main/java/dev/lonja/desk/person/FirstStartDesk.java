package dev.lonja.desk.person;

import dev.lonja.desk.request.Outcome;
import dev.lonja.desk.request.Refusal;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.person.Person;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;

/**
 * Sets up a store that has no administrator yet. Whoever does it must know the code that the server
 * printed when it started, so that the first visitor from the network cannot take the store.
 */
@Service
@Allowed.ToEveryone
public class FirstStartDesk {

  /** The longest name of a store or a person. */
  public static final int LONGEST_NAME = 60;

  /** The shortest password, in characters. */
  public static final int LEAST_PASSWORD = 10;

  /** The longest password, in bytes of UTF-8; what is behind that would not count. */
  public static final int MOST_PASSWORD_BYTES = 72;

  private static final int CODE_BOUND = 900_000;
  private static final int CODE_LOWEST = 100_000;

  private final LonjaStore store;
  private final PasswordEncoder encoder;
  private final String code = String.valueOf(CODE_LOWEST + new SecureRandom().nextInt(CODE_BOUND));
  private volatile boolean done;

  public FirstStartDesk(LonjaStore store, PasswordEncoder encoder) {
    this.store = store;
    this.encoder = encoder;
  }

  /** What a store begins with. */
  public record Beginning(
      String code,
      String storeName,
      String currency,
      String timeZone,
      String name,
      String password) {}

  /** Why a store is not set up. */
  public sealed interface Refused extends Refusal {}

  /** It has an administrator. */
  public record SetUpAlready() implements Refused {}

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

  /** The password is too short or too long. */
  public record BadPassword(int characters) implements Refused {}

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

  /** Creates the administrator and names the store. */
  public synchronized Outcome setUp(Beginning asked) {
    if (!isNeeded()) {
      return Outcome.refused(new SetUpAlready());
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
          session
              .people()
              .save(
                  asked.name().strip(),
                  Person.Role.ADMINISTRATOR,
                  encoder.encode(asked.password()));
          return true;
        });
    return Outcome.done();
  }

  private List<Refused> refusals(Beginning asked) {
    List<Refused> refusals = new ArrayList<>();
    if (!MessageDigest.isEqual(bytes(code), bytes(asked.code().strip()))) {
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
    if (isNoName(asked.name())) {
      refusals.add(new BadName(asked.name().length()));
    }
    if (asked.password().length() < LEAST_PASSWORD
        || bytes(asked.password()).length > MOST_PASSWORD_BYTES) {
      refusals.add(new BadPassword(asked.password().length()));
    }
    return refusals;
  }

  private static boolean isNoName(String text) {
    return text.isBlank() || text.length() > LONGEST_NAME;
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }
}
