package dev.lonja.desk.request;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.Ledger;
import dev.lonja.core.part.PartKey;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.desk.Cage;
import dev.lonja.store.Session;
import dev.lonja.store.ledger.LedgerLine;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.RegisterExtension;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** A request is carried out once, however often it comes. */
class OnceOnlyTest {

  private record TooLate() implements Refusal {}

  private static final ItemId FILTER = new ItemId(8);

  @RegisterExtension private final Cage cage = new Cage();
  private int runs;

  private Outcome add(Session session) {
    runs++;
    return Outcome.done(session.parts().add("Nortrap", "NEW " + runs, Optional.empty()));
  }

  private int parts() {
    return cage.read(s -> s.parts().byKeyPrefix(PartKey.of("NEW").orElseThrow(), 9)).size();
  }

  private static Sent sent(String content) {
    return new Sent("the-same-key", content, "storekeeper", "127.0.0.1");
  }

  @Test
  void theSameRequestTwiceIsAnsweredAlikeAndDoneOnce() {
    Outcome first = cage.once().run(sent("six"), this::add);
    assertThat(cage.once().run(sent("six"), this::add)).isEqualTo(first);
    assertThat(runs).isEqualTo(1);
    assertThat(parts()).isEqualTo(1);
  }

  @Test
  void theSameKeyWithOtherContentIsRefused() {
    cage.once().run(sent("six"), this::add);
    assertThat(Cage.reasons(cage.once().run(sent("seven"), this::add)))
        .containsExactly(RequestRefusal.OTHER_CONTENT);
    assertThat(parts()).isEqualTo(1);
  }

  /** What was written before it was refused is gone, and the key is free for the next attempt. */
  @Test
  void aRefusalLeavesNothingBehind() {
    Outcome refused =
        cage.once()
            .run(
                sent("six"),
                session -> {
                  add(session);
                  return Outcome.refused(new TooLate());
                });
    assertThat(refused.isRefusedFor(new TooLate())).isTrue();
    assertThat(parts()).isZero();
    assertThat(cage.once().run(sent("seven"), this::add)).isInstanceOf(Outcome.Done.class);
    assertThat(parts()).isEqualTo(1);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "short", "with a space in it"})
  void withoutAKeyNothingIsDone(String key) {
    assertThat(
            Cage.reasons(
                cage.once().run(new Sent(key, "six", "storekeeper", "127.0.0.1"), this::add)))
        .containsExactly(RequestRefusal.KEY_LOST);
    assertThat(runs).isZero();
  }

  private static Sent done(Duration ago) {
    return new Sent("the-same-key", "six", "storekeeper", "127.0.0.1", Optional.of(ago));
  }

  /** Done without a network 40 minutes ago: it is kept when it came, and when it was done. */
  @Test
  void whatWasDoneEarlierIsKeptWithItsOwnTime() {
    Instant before = cage.clock().now();
    LedgerLine late = issued(done(Duration.ofMinutes(40)));
    assertThat(late.at()).isBetween(before, cage.clock().now());
    Instant happened = late.cause().happenedAt().orElseThrow();
    assertThat(happened)
        .isBetween(before.minusSeconds(2_400), cage.clock().now().minusSeconds(2_400));
    // sent as it happens it has one time
    LedgerLine now = issued(new Sent("another-key", "six", "storekeeper", "127.0.0.1"));
    assertThat(now.cause().happenedAt()).isEmpty();
  }

  /** The line by which one filter is issued. */
  private LedgerLine issued(Sent sent) {
    Outcome done =
        cage.book(
            sent,
            FILTER,
            session ->
                Ledger.issue(
                    session.ledger().stockOf(FILTER),
                    Quantity.pieces(1),
                    Quantity.pieces(0),
                    Cage.TODAY));
    assertThat(done).isEqualTo(Outcome.done());
    return cage.read(session -> session.ledger().latest(FILTER, 1)).get(0);
  }

  /** Seven days are the most; nothing was done later than now. */
  @ParameterizedTest
  @CsvSource({"604800, true", "604801, false", "0, true", "-1, false"})
  void whatWaitedTooLongIsRefused(long seconds, boolean taken) {
    Outcome outcome = cage.once().run(done(Duration.ofSeconds(seconds)), this::add);
    assertThat(outcome instanceof Outcome.Done).isEqualTo(taken);
    assertThat(outcome.isRefusedFor(RequestRefusal.TOO_LATE)).isEqualTo(!taken);
    assertThat(runs).isEqualTo(taken ? 1 : 0);
  }
}
