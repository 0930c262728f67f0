package dev.lonja.desk.forecast;

import dev.lonja.core.forecast.Subject;
import dev.lonja.core.item.Item;
import dev.lonja.core.trial.Band;
import dev.lonja.desk.answer.GiveWay;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.LonjaStore;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.ForkJoinPool;
import java.util.concurrent.TimeUnit;
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
public class Trials implements DisposableBean {

  /** As far as any page shows a band: a year. */
  public static final int WEEKS = 52;

  private static final int WHOLE = 100;

  /** Long enough to see that a write changed nothing, too short to be noticed. */
  private static final long MOMENT_MS = 150;

  private static final Logger LOG = LoggerFactory.getLogger(Trials.class);

  private final LonjaStore store;
  private final StoreClock clock;
  private final TrialCount count;
  private final GiveWay way;
  private final ForkJoinPool pool =
      new ForkJoinPool(Math.max(1, Runtime.getRuntime().availableProcessors() - 1));
  private Optional<Job> running = Optional.empty();
  private Optional<Tried> failed = Optional.empty();
  private Optional<Kept> kept = Optional.empty();

  Trials(LonjaStore store, StoreClock clock, TrialCount count, GiveWay way) {
    this.count = count;
    this.way = way;
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
   * What there is; newer ones are drawn if they are wanted. Whoever asks waits a moment for whether
   * what was written meanwhile changes them at all, and never for newer ones.
   */
  public Drawn drawn() {
    begin().ifPresent(Job::waitUntilLooked);
    synchronized (this) {
      return new Drawn(
          kept.map(k -> k.drawing().bands()),
          running.map(Job::percent).orElse(WHOLE),
          running.isEmpty() && failed.equals(Optional.of(now())));
    }
  }

  /** The drawing that there is, if it is of today. */
  synchronized Optional<TrialDrawing> drawing() {
    return kept.map(Kept::drawing)
        .filter(drawing -> drawing.inputs().rules().today().equals(clock.today()));
  }

  /** What there is, perhaps drawn before the last change; nothing newer is drawn for it. */
  public synchronized Drawn known() {
    return new Drawn(kept.map(k -> k.drawing().bands()), WHOLE, false);
  }

  /**
   * The trial that set a quantile of a subject, as it was drawn; empty before any are, or for a
   * week beyond them.
   *
   * @param share above 0, up to 1
   */
  Optional<DrawnTrial> trialOf(Subject subject, int week, double share) {
    Optional<TrialDrawing> drawing;
    synchronized (this) {
      drawing = kept.map(Kept::drawing);
    }
    return drawing
        .filter(d -> d.inputs().rules().today().equals(clock.today()))
        .filter(d -> week >= 0 && week < d.inputs().rules().weeks())
        .map(d -> trialOf(d, subject, week, share));
  }

  private static DrawnTrial trialOf(TrialDrawing drawing, Subject subject, int week, double share) {
    Band band = drawing.bands().of(subject);
    int trial = band.trialOf(week, share);
    List<DrawnTrial.Use> uses =
        new ArrayList<>(
            drawing.usesOf(trial, subject.items().stream().map(Item::id).toList(), week));
    uses.sort(Comparator.comparingInt(DrawnTrial.Use::week));
    return new DrawnTrial(trial, band.quantile(week, share), List.copyOf(uses));
  }

  private Tried now() {
    return new Tried(store.writes(), clock.today());
  }

  /** The job that is under way, begun now if one is wanted. */
  private synchronized Optional<Job> begin() {
    Tried now = now();
    boolean current = kept.filter(k -> k.isOf(now)).isPresent();
    if (running.isEmpty() && !current && !failed.equals(Optional.of(now))) {
      Job job = new Job(now, kept);
      running = Optional.of(job);
      pool.execute(job);
    }
    return running;
  }

  private synchronized void end(Optional<Kept> drawn, Optional<Tried> trouble) {
    kept = drawn;
    failed = trouble;
    running = Optional.empty();
  }

  /** Looks whether anything changed, and draws it. */
  private final class Job implements Runnable, TrialDrawing.Progress {

    private final Tried what;
    private final Optional<Kept> before;
    private final CountDownLatch looked = new CountDownLatch(1);
    private final AtomicInteger partsDone = new AtomicInteger();

    private Job(Tried what, Optional<Kept> before) {
      this.what = what;
      this.before = before;
    }

    @Override
    public void run() {
      Optional<Kept> drawn = before;
      Optional<Tried> trouble = Optional.of(what);
      try {
        drawn = Optional.of(draw());
        trouble = Optional.empty();
      } catch (RuntimeException e) {
        // who shuts down breaks them off
        if (!pool.isShutdown()) {
          LOG.error("the trials of the forecast could not be drawn", e);
        }
      } finally {
        end(drawn, trouble);
        looked.countDown();
      }
    }

    private Kept draw() {
      TrialDrawing.Inputs inputs =
          store.read(
              session -> TrialDrawing.Inputs.load(session, what.today(), count.trials(), WEEKS));
      return new Kept(what.writes(), TrialDrawing.of(inputs, before.map(Kept::drawing), this));
    }

    @Override
    public void begins() {
      looked.countDown();
    }

    @Override
    public void stepBack() {
      way.stepBack();
    }

    @Override
    public void partDone() {
      partsDone.incrementAndGet();
    }

    int percent() {
      return partsDone.get() * (WHOLE - 1) / TrialDrawing.PARTS;
    }

    void waitUntilLooked() {
      try {
        looked.await(MOMENT_MS, TimeUnit.MILLISECONDS);
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
      }
    }
  }

  @Override
  public void destroy() {
    pool.shutdownNow();
  }
}
