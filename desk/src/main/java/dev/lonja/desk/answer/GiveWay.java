package dev.lonja.desk.answer;

import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.locks.LockSupport;
import java.util.function.LongConsumer;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * Lets those who wait for an answer go before what is worked out in the background. Background work
 * asks between its pieces, which take a tenth of a pause or so: beside pages that never end it goes
 * on at that pace, and else at its own.
 */
@Component
public class GiveWay {

  /** How long a piece of background work stands back; most pages are on their way again sooner. */
  static final long PAUSE_NS = 2_000_000;

  private final AtomicInteger waiting = new AtomicInteger();
  private final LongConsumer pause;

  @Autowired
  public GiveWay() {
    this(LockSupport::parkNanos);
  }

  GiveWay(LongConsumer pause) {
    this.pause = pause;
  }

  /** Somebody waits for an answer until what is returned is closed. */
  public Waiting somebodyWaits() {
    waiting.incrementAndGet();
    return waiting::decrementAndGet;
  }

  /** Somebody who waits; to be closed once. */
  @FunctionalInterface
  public interface Waiting extends AutoCloseable {
    @Override
    void close();
  }

  /** Stands back a moment if anybody waits. */
  public void stepBack() {
    if (waiting.get() > 0) {
      pause.accept(PAUSE_NS);
    }
  }
}
