package dev.lonja.desk.answer;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.desk.Cage;
import dev.lonja.desk.clock.StoreClock;
import java.lang.reflect.Method;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.springframework.cache.Cache;
import org.springframework.cache.CacheManager;
import org.springframework.cache.concurrent.ConcurrentMapCacheManager;
import org.springframework.security.authentication.TestingAuthenticationToken;
import org.springframework.security.core.context.SecurityContextHolder;

/** Two questions are the same only if nothing that the answer rests on has changed between them. */
class QuestionTest {

  @RegisterExtension final Cage cage = new Cage();

  private final CacheManager answers = new ConcurrentMapCacheManager(KeptAnswer.CACHE);

  @BeforeEach
  @AfterEach
  void nobodyAsks() {
    SecurityContextHolder.clearContext();
  }

  @Test
  void theSameIsAskedAgain() {
    assertThat(ask(Cage.TODAY, "file", "RT-01")).isEqualTo(ask(Cage.TODAY, "file", "RT-01"));
  }

  @Test
  void anotherThingIsAsked() {
    Object asked = ask(Cage.TODAY, "file", "RT-01");
    assertThat(ask(Cage.TODAY, "file", "RT-02")).isNotEqualTo(asked);
    assertThat(ask(Cage.TODAY, "other", "RT-01")).isNotEqualTo(asked);
  }

  @Test
  void aWriteIsBetween() {
    Object asked = ask(Cage.TODAY, "file", "RT-01");
    cage.store().write(session -> true);
    assertThat(ask(Cage.TODAY, "file", "RT-01")).isNotEqualTo(asked);
  }

  @Test
  void whatWasAnsweredBeforeAWriteIsLetGo() {
    StoreClock clock = StoreClock.of(ZoneOffset.UTC, Optional.of(Cage.TODAY));
    Question questions = new Question(cage.store(), clock, answers);
    Cache kept = answers.getCache(KeptAnswer.CACHE);
    Object before = questions.generate(this, method("file"), "RT-01");
    kept.put(before, "its file");
    questions.generate(this, method("other"), "RT-01");
    assertThat(kept.get(before)).isNotNull();
    cage.store().write(session -> true);
    questions.generate(this, method("other"), "RT-01");
    assertThat(kept.get(before)).isNull();
  }

  @Test
  void midnightIsBetween() {
    assertThat(ask(Cage.TODAY, "file", "RT-01"))
        .isNotEqualTo(ask(Cage.TODAY.plusDays(1), "file", "RT-01"));
  }

  /** The workshop sees no prices, so it must not be answered what the storekeeper was. */
  @Test
  void someoneAsksWhoSeesNoMoney() {
    as("ROLE_STOREKEEPER");
    Object asked = ask(Cage.TODAY, "file", "RT-01");
    as("ROLE_BUYER");
    assertThat(ask(Cage.TODAY, "file", "RT-01")).isEqualTo(asked);
    as("ROLE_WORKSHOP");
    assertThat(ask(Cage.TODAY, "file", "RT-01")).isNotEqualTo(asked);
  }

  private static void as(String authority) {
    SecurityContextHolder.getContext()
        .setAuthentication(new TestingAuthenticationToken("someone", "", authority));
  }

  private Object ask(LocalDate today, String what, String given) {
    StoreClock clock = StoreClock.of(ZoneOffset.UTC, Optional.of(today));
    return new Question(cage.store(), clock, answers).generate(this, method(what), given);
  }

  private static Method method(String name) {
    try {
      return Asked.class.getMethod(name, String.class);
    } catch (NoSuchMethodException e) {
      throw new AssertionError(e);
    }
  }

  /** Two things that can be asked. */
  public interface Asked {
    Object file(String code);

    Object other(String code);
  }
}
