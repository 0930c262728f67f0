package dev.lonja.core.tray;

import static org.assertj.core.api.Assertions.assertThat;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.policy.Choice;
import dev.lonja.core.policy.Holder;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.policy.School;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.TakeLine;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A tray made ahead follows its service until somebody begins to lay it. */
class FreshTrayTest {

  private static final ItemId FILTER = new ItemId(200);
  private static final List<InForce> BY_INTERVAL =
      List.of(new InForce(Choice.of(School.BY_INTERVAL), Holder.Level.STORE));

  private static TakeLine take(ItemId item, int pieces, List<InForce> ways) {
    return new TakeLine(
        new TaskId(1),
        item,
        "Filter",
        Destination.NONE,
        Quantity.pieces(pieces),
        Quantity.pieces(pieces),
        new TakeLine.Reason.Part(""),
        ways);
  }

  private static TrayLine line(
      int laid, Optional<TrayLine.Substitution> instead, Optional<String> leftOut) {
    return new TrayLine(
        1,
        StockKey.ofNew(FILTER),
        "Filter",
        new LineReason.Part(""),
        1,
        Quantity.pieces(2),
        Quantity.pieces(laid),
        Destination.NONE,
        instead,
        Optional.of(new TaskId(1)),
        leftOut,
        BY_INTERVAL);
  }

  private static FreshTray tray(TrayLine... lines) {
    return new FreshTray(List.of(lines));
  }

  private static TrayLine untouched() {
    return line(0, Optional.empty(), Optional.empty());
  }

  @Test
  void itIsUntouchedUntilSomethingIsLaidLeftOutOrReplaced() {
    assertThat(tray(untouched()).isUntouched()).isTrue();
    assertThat(tray(untouched(), line(1, Optional.empty(), Optional.empty())).isUntouched())
        .isFalse();
    assertThat(tray(line(0, Optional.empty(), Optional.of("none to be had"))).isUntouched())
        .isFalse();
    TrayLine.Substitution other = new TrayLine.Substitution(new ItemId(201), "same box");
    assertThat(tray(line(0, Optional.of(other), Optional.empty())).isUntouched()).isFalse();
  }

  /** Another amount, another part, one line more, another policy: each is a difference. */
  @Test
  void itDiffersFromWhatTheServiceTakesByNow() {
    FreshTray tray = tray(untouched());
    assertThat(tray.differsFrom(List.of(take(FILTER, 2, BY_INTERVAL)))).isFalse();
    assertThat(tray.differsFrom(List.of(take(FILTER, 1, BY_INTERVAL)))).isTrue();
    assertThat(tray.differsFrom(List.of(take(new ItemId(201), 2, BY_INTERVAL)))).isTrue();
    assertThat(tray.differsFrom(List.of(take(FILTER, 2, List.of())))).isTrue();
    assertThat(tray.differsFrom(List.of())).isTrue();
    assertThat(
            tray.differsFrom(List.of(take(FILTER, 2, BY_INTERVAL), take(FILTER, 2, BY_INTERVAL))))
        .isTrue();
  }

  /** What a person put on is nobody's business but theirs. */
  @Test
  void whatNoTaskAsksForIsLeftAside() {
    TrayLine byHand =
        new TrayLine(
            2,
            StockKey.ofNew(new ItemId(300)),
            "",
            new LineReason.ByHand("rags"),
            1,
            Quantity.pieces(1),
            Quantity.pieces(1),
            Destination.NONE,
            Optional.empty(),
            Optional.empty(),
            Optional.empty(),
            List.of());
    FreshTray tray = tray(untouched(), byHand);
    assertThat(tray.isUntouched()).isTrue();
    assertThat(tray.differsFrom(List.of(take(FILTER, 2, BY_INTERVAL)))).isFalse();
  }
}
