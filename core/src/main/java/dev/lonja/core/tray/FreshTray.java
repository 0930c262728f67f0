package dev.lonja.core.tray;

import dev.lonja.core.fleet.Destination;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import dev.lonja.core.take.TakeLine;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * The lines that a service asks for on a tray that was made ahead. Until somebody begins to lay it,
 * they follow what the service takes; from then on they are what was laid out, and stay.
 */
public record FreshTray(List<TrayLine> lines) {

  /**
   * @param lines all of a tray; those that no task asks for are left aside
   */
  public FreshTray {
    lines = lines.stream().filter(line -> line.taskId().isPresent()).toList();
  }

  /** What tells one line from another. */
  private record Key(
      Optional<TaskId> task,
      ItemId item,
      Quantity wanted,
      Destination destination,
      LineReason reason,
      List<InForce> ways) {}

  /** True until something of it is laid, left out or replaced. */
  public boolean isUntouched() {
    return lines.stream()
        .allMatch(
            line ->
                line.laid().isZero() && line.leftOut().isEmpty() && line.substitution().isEmpty());
  }

  /** True if the service takes something else by now, or by other policies. */
  public boolean differsFrom(List<TakeLine> takes) {
    return !counted(lines.stream().map(FreshTray::key))
        .equals(counted(takes.stream().map(FreshTray::key)));
  }

  private static Map<Key, Long> counted(Stream<Key> keys) {
    return keys.collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
  }

  private static Key key(TrayLine line) {
    return new Key(
        line.taskId(),
        line.itemId(),
        line.wanted(),
        line.destination(),
        line.reason(),
        line.ways());
  }

  private static Key key(TakeLine take) {
    return new Key(
        Optional.of(take.taskId()),
        take.itemId(),
        take.toLay(),
        take.destination(),
        LineReason.of(take.reason()),
        take.ways());
  }
}
