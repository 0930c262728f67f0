package dev.lonja.desk.forecast;

import dev.lonja.core.trial.TrialRules;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.LonjaStore;
import java.time.LocalDate;
import java.util.Optional;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.atomic.AtomicInteger;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/**
 * Draws the trials of the store's forecast in the background, when somebody asks for them and what
 * there is does not show everything that is written. Only units that stand otherwise than when they
 * were drawn are drawn again. What was drawn before stays to be looked at meanwhile.
 */
@Component
class Trials implements DisposableBean {

  /** As far as any page shows a band: a year. */
  private static final int WEEKS = 52;

  private static final int WHOLE = 100;
  private static final Logger LOG = LoggerFactory.getLogger(Trials.class);

  private final LonjaStore store;
  private final StoreClock clock;
  private final ForkJoinPool pool =
      new ForkJoinPool(Math.max(1, Runtime.getRuntime().availableProcessors() - 1));
  private final AtomicInteger partsDone = new AtomicInteger();
  private boolean running;
  private Optional<Tried> failed = Optional.empty();
  private Optional<Kept> kept = Optional.empty();

  Trials(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  /**
   * What was drawn.
   *
   * @param writes how many the store had then; all of them are in it
   */
  private record Kept(long writes, TrialDrawing drawing) {

    boolean isOf(Tried now) {
      return writes == now.writes() && drawing.inputs().rules().today().equals(now.today());
    }
  }

  /** What was tried and failed, which is not tried again. */
  private record Tried(long writes, LocalDate today) {}

  /**
   * Trials as far as they are drawn.
   *
   * @param bands empty before the first are
   * @param percent how far the drawing of newer ones is; 100 if none are being drawn
   * @param failed true if newer ones could not be drawn
   */
  record State(Optional<Bands> bands, int percent, boolean failed) {}

  /** What there is, at once; newer ones are drawn if they are wanted. */
  synchronized State state() {
    Tried now = new Tried(store.writes(), clock.today());
    boolean current = kept.filter(k -> k.isOf(now)).isPresent();
    boolean hopeless = failed.equals(Optional.of(now));
    if (!current && !running && !hopeless) {
      running = true;
      partsDone.set(0);
      pool.execute(() -> work(now));
    }
    return new State(
        kept.map(k -> k.drawing().bands()),
        running ? partsDone.get() * (WHOLE - 1) / TrialDrawing.PARTS : WHOLE,
        hopeless && !running);
  }

  private void work(Tried now) {
    Optional<Kept> before;
    synchronized (this) {
      before = kept;
    }
    Optional<Kept> drawn = before;
    Optional<Tried> trouble = Optional.of(now);
    try {
      drawn = Optional.of(draw(before, now));
      trouble = Optional.empty();
    } catch (RuntimeException e) {
      LOG.error("the trials of the forecast could not be drawn", e);
    } finally {
      synchronized (this) {
        kept = drawn;
        failed = trouble;
        running = false;
      }
    }
  }

  private Kept draw(Optional<Kept> before, Tried now) {
    TrialDrawing.Inputs inputs =
        store.read(
            session ->
                TrialDrawing.Inputs.load(session, now.today(), TrialRules.USUAL_TRIALS, WEEKS));
    Optional<TrialDrawing> earlier = before.map(Kept::drawing);
    return new Kept(now.writes(), TrialDrawing.of(inputs, earlier, partsDone::incrementAndGet));
  }

  @Override
  public void destroy() {
    pool.shutdownNow();
  }
}
