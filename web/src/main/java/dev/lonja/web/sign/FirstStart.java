package dev.lonja.web.sign;

import dev.lonja.desk.request.Problem;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.person.Person;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.SecureRandom;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Currency;
import java.util.List;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Sets up a store that has no administrator yet. Whoever does it must know the code that the server
 * printed when it started, so that the first visitor from the network cannot take the store.
 */
@Component
public class FirstStart {

  private static final Logger LOG = LoggerFactory.getLogger(FirstStart.class);
  private static final int LEAST_PASSWORD = 10;
  private static final int MOST_PASSWORD_BYTES = 72;
  private static final int CODE_BOUND = 900_000;
  private static final int CODE_LOWEST = 100_000;

  private final LonjaStore store;
  private final PasswordEncoder encoder;
  private final String code = String.valueOf(CODE_LOWEST + new SecureRandom().nextInt(CODE_BOUND));
  private volatile boolean done;

  /** What the set-up form brings. */
  record Form(
      String code,
      String storeName,
      String currency,
      String timeZone,
      String name,
      String password) {}

  FirstStart(LonjaStore store, PasswordEncoder encoder) {
    this.store = store;
    this.encoder = encoder;
  }

  /** What the server prints at its start. */
  public String code() {
    return code;
  }

  boolean isNeeded() {
    if (!done) {
      done = store.read(session -> session.people().hasAdministrator());
    }
    return !done;
  }

  @EventListener(ApplicationReadyEvent.class)
  void announce() {
    if (isNeeded()) {
      LOG.info("This store has no administrator yet. The code for its set-up page is {}", code());
    }
  }

  /** Creates the administrator and names the store; empty if it was done. */
  synchronized List<Problem> setUp(Form form) {
    if (!isNeeded()) {
      return List.of(Problem.ofWhole("This store is already set up. Sign in instead."));
    }
    List<Problem> problems = problems(form);
    if (problems.isEmpty()) {
      store.write(
          session -> {
            session
                .settings()
                .set(
                    form.storeName().strip(),
                    Currency.getInstance(form.currency()),
                    ZoneId.of(form.timeZone()));
            session
                .people()
                .save(
                    form.name().strip(),
                    Person.Role.ADMINISTRATOR,
                    encoder.encode(form.password()));
            return true;
          });
    }
    return problems;
  }

  private List<Problem> problems(Form form) {
    List<Problem> problems = new ArrayList<>();
    if (!MessageDigest.isEqual(bytes(code), bytes(form.code().strip()))) {
      problems.add(new Problem("code", "That is not the code that the server printed."));
    }
    if (form.storeName().isBlank() || form.storeName().length() > 60) {
      problems.add(new Problem("storeName", "Give the store a name of 1 to 60 characters."));
    }
    boolean knownCurrency =
        Currency.getAvailableCurrencies().stream()
            .anyMatch(currency -> currency.getCurrencyCode().equals(form.currency()));
    if (!knownCurrency) {
      problems.add(
          new Problem(
              "currency",
              "\"" + form.currency() + "\" is no currency. Write its three letters, such as EUR."));
    }
    if (!ZoneId.getAvailableZoneIds().contains(form.timeZone())) {
      problems.add(
          new Problem(
              "timeZone",
              "\"" + form.timeZone() + "\" is no time zone. Write one such as Europe/Lisbon."));
    }
    if (form.name().isBlank() || form.name().length() > 60) {
      problems.add(new Problem("name", "Give a name of 1 to 60 characters."));
    }
    if (form.password().length() < LEAST_PASSWORD
        || bytes(form.password()).length > MOST_PASSWORD_BYTES) {
      problems.add(
          new Problem(
              "password",
              "The password has "
                  + form.password().length()
                  + " characters; allowed is "
                  + LEAST_PASSWORD
                  + " or more, up to "
                  + MOST_PASSWORD_BYTES
                  + " bytes."));
    }
    return problems;
  }

  private static byte[] bytes(String text) {
    return text.getBytes(StandardCharsets.UTF_8);
  }
}
