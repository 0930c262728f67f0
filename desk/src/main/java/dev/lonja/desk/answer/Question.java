package dev.lonja.desk.answer;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Viewer;
import dev.lonja.store.LonjaStore;
import java.lang.reflect.Method;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.cache.Cache;
import org.springframework.cache.CacheManager;
import org.springframework.cache.interceptor.KeyGenerator;
import org.springframework.stereotype.Component;

/** All that an answer depends on: what is asked, by whom, on which day, after which write. */
@Component(KeptAnswer.QUESTION)
class Question implements KeyGenerator {

  private final LonjaStore store;
  private final StoreClock clock;
  private final CacheManager answers;
  private final AtomicLong latest = new AtomicLong();

  Question(LonjaStore store, StoreClock clock, CacheManager answers) {
    this.store = store;
    this.clock = clock;
    this.answers = answers;
  }

  /**
   * @param writes how many there had been when it was asked; the answer shows them all
   */
  private record Asked(
      Method method, List<Object> given, boolean seesMoney, LocalDate today, long writes) {}

  @Override
  public Object generate(Object desk, Method method, Object... given) {
    long writes = store.writes();
    if (latest.getAndSet(writes) != writes) {
      letGo();
    }
    return new Asked(method, List.of(given), Viewer.seesMoney(), clock.today(), writes);
  }

  /** Nobody asks again for what was answered before a write; a fleet's answers are large. */
  private void letGo() {
    Optional.ofNullable(answers.getCache(KeptAnswer.CACHE)).ifPresent(Cache::clear);
  }
}
