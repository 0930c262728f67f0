package dev.lonja.desk.replay;

import dev.lonja.core.replay.Span;
import dev.lonja.desk.clock.StoreClock;
import dev.lonja.desk.person.Allowed;
import dev.lonja.desk.person.BuyersDesk;
import dev.lonja.desk.reorder.Proposals;
import dev.lonja.store.LonjaStore;
import java.time.LocalDate;
import java.util.Optional;
import org.springframework.stereotype.Service;

/**
 * Steps through the store's past with other orders, and says what that would have changed. Nothing
 * of it is kept beyond the run of the program.
 */
@Service
@Allowed.ToSeeStore
public class ReplayDesk extends BuyersDesk {

  private final LonjaStore store;
  private final StoreClock clock;
  private final Replays replays;

  ReplayDesk(LonjaStore store, StoreClock clock, Replays replays) {
    this.store = store;
    this.clock = clock;
    this.replays = replays;
  }

  /**
   * How far it is.
   *
   * @param last what the last one that ended came to
   * @param percent of the one that is running
   * @param failed true if the last one broke down
   */
  public record State(Optional<Replayed> last, Optional<Integer> percent, boolean failed) {}

  /** Why none was begun. */
  public enum Refusal {
    /** Another one is running. */
    RUNNING,
    /** The last day is not over yet. */
    NOT_PAST,
    /** It is less than half a year. */
    TOO_SHORT
  }

  public State state() {
    return replays.state();
  }

  /** The day of the first movement; today if nothing has moved. */
  public LocalDate firstMovement() {
    return store.<LocalDate>read(session -> session.past().firstDay().orElse(clock.today()));
  }

  /** For how many days the store's orders last. */
  public int coverDays() {
    return store.<Integer>read(session -> Proposals.Manner.of(session).coverDays());
  }

  /**
   * Begins one, from the first day to the last, both counted.
   *
   * @param withOthers true if other covers and criticalities are tried beside
   */
  @Allowed.ToBuy
  public Optional<Refusal> begin(
      LocalDate first, LocalDate last, Proposals.Manner manner, boolean withOthers) {
    if (!last.isBefore(clock.today())) {
      return Optional.of(Refusal.NOT_PAST);
    }
    if (last.isBefore(first.plusDays(Span.LEAST_DAYS - 1L))) {
      return Optional.of(Refusal.TOO_SHORT);
    }
    return replays.begin(new Replayed.Asked(new Span(first, last), manner, withOthers))
        ? Optional.empty()
        : Optional.of(Refusal.RUNNING);
  }

  /** Breaks off what is running. */
  @Allowed.ToBuy
  public void cancel() {
    replays.cancel();
  }
}
