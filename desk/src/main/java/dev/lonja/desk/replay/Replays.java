package dev.lonja.desk.replay;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.LonjaStore;
import java.util.Optional;
import java.util.concurrent.ForkJoinPool;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/** Runs one replay at a time in the background, and keeps what the last one came to. */
@Component
class Replays implements DisposableBean {

  private static final Logger LOG = LoggerFactory.getLogger(Replays.class);

  private final LonjaStore store;
  private final StoreClock clock;
  private final ForkJoinPool pool =
      new ForkJoinPool(Math.max(1, Runtime.getRuntime().availableProcessors() - 1));
  private Optional<ReplayRun> running = Optional.empty();
  private Optional<Replayed> done = Optional.empty();
  private boolean failed;

  Replays(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** Begins one, unless one is running already. */
  synchronized boolean begin(Replayed.Asked asked) {
    if (running.isPresent()) {
      return false;
    }
    ReplayRun run = new ReplayRun(store, asked, clock.today());
    running = Optional.of(run);
    failed = false;
    pool.execute(() -> go(run));
    return true;
  }

  private void go(ReplayRun run) {
    Optional<Replayed> result = Optional.empty();
    boolean broke = true;
    try {
      result = run.result();
      broke = false;
    } catch (RuntimeException e) {
      // who shuts down breaks it off
      if (!pool.isShutdown()) {
        LOG.error("the past could not be stepped through", e);
      }
    } finally {
      end(result, broke);
    }
  }

  private synchronized void end(Optional<Replayed> result, boolean broke) {
    running = Optional.empty();
    failed = broke;
    done = result.or(() -> done);
  }

  /** Breaks off what is running; what the one before came to stays. */
  synchronized void cancel() {
    running.ifPresent(ReplayRun::cancel);
  }

  synchronized ReplayDesk.State state() {
    return new ReplayDesk.State(done, running.map(ReplayRun::percent), failed);
  }

  @Override
  public void destroy() {
    pool.shutdownNow();
  }
}
