package dev.lonja.core.transfer;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;

/**
 * So much of one thing that goes from a place to another.
 *
 * @param wanted by the place that asks, above zero
 * @param picked by the place that gives
 * @param came to the place that asked
 * @param stayed of what was picked, what turned out never to have left
 * @param lost of what was picked, what is not looked for any more
 */
public record TransferLine(
    ItemId itemId,
    Quantity wanted,
    Quantity picked,
    Quantity came,
    Quantity stayed,
    Quantity lost) {

  /** One of which nothing is picked yet. */
  public static TransferLine asked(ItemId itemId, Quantity wanted) {
    Quantity none = Quantity.zero(wanted.measure());
    return new TransferLine(itemId, wanted, none, none, none, none);
  }

  /** The same with another amount wanted. */
  public TransferLine wanting(Quantity other) {
    return new TransferLine(itemId, other, picked, came, stayed, lost);
  }

  /** The same with another amount picked. */
  public TransferLine picking(Quantity other) {
    return new TransferLine(itemId, wanted, other, came, stayed, lost);
  }

  /** So much more of it came. */
  public TransferLine receiving(Quantity more) {
    return new TransferLine(itemId, wanted, picked, came.plus(more), stayed, lost);
  }

  /** What is still underway never left. */
  public TransferLine keepingTheRest() {
    return new TransferLine(itemId, wanted, picked, came, stayed.plus(underway()), lost);
  }

  /** What is still underway is lost. */
  public TransferLine losingTheRest() {
    return new TransferLine(itemId, wanted, picked, came, stayed, lost.plus(underway()));
  }

  /**
   * What is taken out of the bins of the place that gives and is neither there nor accounted for:
   * nobody else is given it. Never below zero, though more may come than was written as picked.
   */
  public Quantity underway() {
    return picked.minus(came).minus(stayed).minus(lost).atLeastZero();
  }
}
