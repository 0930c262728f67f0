package dev.lonja.core.tray;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.Destination;
import dev.lonja.core.fleet.PositionId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.ledger.StockKey;
import dev.lonja.core.policy.InForce;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.service.TaskId;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * One thing that belongs on a tray.
 *
 * @param stock the item, and in which condition it is taken
 * @param place where it goes on the machine
 * @param walkOrder where its bin comes on the walk through the store
 * @param destination the position or compartment it is for
 * @param laid from zero to what is wanted
 * @param taskId the task that asks for it; none for a kit or what was put on by hand
 * @param leftOut why what is not laid of it was left out, where a person did so
 * @param ways the policies that made it what it is, as they stood when it came onto the tray
 */
public record TrayLine(
    long id,
    StockKey stock,
    String place,
    LineReason reason,
    int walkOrder,
    Quantity wanted,
    Quantity laid,
    Destination destination,
    Optional<Substitution> substitution,
    Optional<TaskId> taskId,
    Optional<String> leftOut,
    List<InForce> ways) {

  public TrayLine {
    ways = List.copyOf(ways);
  }

  /**
   * What was asked for where something else is laid.
   *
   * @param why as a person wrote it; empty for another pack of the same fluid
   */
  public record Substitution(ItemId originalItemId, String why) {}

  public ItemId itemId() {
    return stock.itemId();
  }

  /** The item that the service asks for, whatever is laid for it. */
  public ItemId askedItemId() {
    return substitution.map(Substitution::originalItemId).orElse(itemId());
  }

  /** The tasks that ask for it: several for a kit, none for what was put on by hand. */
  public Set<TaskId> tasks() {
    return reason instanceof LineReason.Kit kit
        ? kit.tasks()
        : taskId.map(Set::of).orElseGet(Set::of);
  }

  /** True for a kit that stands for what tasks of the tray ask for. */
  public boolean isServiceKit() {
    return reason instanceof LineReason.Kit kit && !kit.tasks().isEmpty();
  }

  public Optional<PositionId> positionId() {
    return destination.positionId();
  }

  public Optional<CompartmentId> compartmentId() {
    return destination.compartmentId();
  }

  /** What is still to be laid, never below zero; nothing of what was left out. */
  public Quantity missing() {
    return leftOut.isPresent() ? Quantity.zero(wanted.measure()) : wanted.minus(laid);
  }

  /** True if all that is wanted is laid. */
  public boolean isLaid() {
    return laid.equals(wanted);
  }

  /** True if nothing of it is waited for: it is laid, or a person left it out. */
  public boolean isSettled() {
    return isLaid() || leftOut.isPresent();
  }
}
