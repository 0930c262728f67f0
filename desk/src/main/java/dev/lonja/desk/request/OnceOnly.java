package dev.lonja.desk.request;

import dev.lonja.desk.clock.StoreClock;
import dev.lonja.store.LonjaStore;
import dev.lonja.store.Session;
import dev.lonja.store.request.RequestLog;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.function.Function;
import java.util.regex.Pattern;
import org.springframework.stereotype.Component;

/**
 * Carries a request out in one transaction, once. The same key with the same content answers what
 * was answered first and changes nothing; with other content it is refused. A refusal undoes
 * everything.
 */
@Component
public class OnceOnly {

  private static final Pattern KEY = Pattern.compile("[A-Za-z0-9-]{8,80}");

  /** What was done without a network is taken for so long. */
  public static final Duration LATEST = Duration.ofDays(7);

  private final LonjaStore store;
  private final StoreClock clock;

  public OnceOnly(LonjaStore store, StoreClock clock) {
    this.store = store;
    this.clock = clock;
  }

  public Outcome run(Sent sent, Function<Session, Outcome> work) {
    if (!KEY.matcher(sent.key()).matches()) {
      return Outcome.refused(RequestRefusal.KEY_LOST);
    }
    if (!RequestKey.mayBeSentBy(sent.key(), sent.actor())) {
      return Outcome.refused(RequestRefusal.NOT_YOURS);
    }
    if (sent.ago().filter(ago -> ago.isNegative() || ago.compareTo(LATEST) > 0).isPresent()) {
      return Outcome.refused(RequestRefusal.TOO_LATE);
    }
    try {
      return store.write(session -> runWithin(session, sent, work));
    } catch (Undo undo) {
      return undo.refused;
    }
  }

  private Outcome runWithin(Session session, Sent sent, Function<Session, Outcome> work) {
    String hash = RequestLog.hash(sent.content());
    Optional<RequestLog.Entry> before = session.requests().find(sent.key());
    if (before.isPresent()) {
      return before.get().contentHash().equals(hash)
          ? new Outcome.Done(before.get().answer())
          : Outcome.refused(RequestRefusal.OTHER_CONTENT);
    }
    Outcome outcome = work.apply(session);
    if (outcome instanceof Outcome.Refused refused) {
      throw new Undo(refused);
    }
    String answer = ((Outcome.Done) outcome).answer();
    Instant now = clock.now();
    session
        .requests()
        .add(
            sent.key(),
            new RequestLog.Entry(hash, answer),
            sent.actor(),
            new RequestLog.Times(sent.ago().map(now::minus), now));
    return outcome;
  }

  /** Leaves the transaction without a trace. */
  private static final class Undo extends RuntimeException {
    private final transient Outcome.Refused refused;

    Undo(Outcome.Refused refused) {
      super(null, null, false, false);
      this.refused = refused;
    }
  }
}
