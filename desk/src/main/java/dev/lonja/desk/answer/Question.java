package dev.lonja.desk.answer;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.request.Viewer;
import dev.lonja.store.LonjaStore;
import java.lang.reflect.Method;
import java.time.LocalDate;
import java.util.List;
import org.springframework.cache.interceptor.KeyGenerator;
import org.springframework.stereotype.Component;

/** All that an answer depends on: what is asked, by whom, on which day, after which write. */
@Component(KeptAnswer.QUESTION)
class Question implements KeyGenerator {

  private final LonjaStore store;
  private final StoreClock clock;

  Question(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * @param writes how many there had been when it was asked; the answer shows them all
   */
  private record Asked(
      Method method, List<Object> given, boolean seesMoney, LocalDate today, long writes) {}

  @Override
  public Object generate(Object desk, Method method, Object... given) {
    return new Asked(method, List.of(given), Viewer.seesMoney(), clock.today(), store.writes());
  }
}
