package dev.lonja.core.tray;

import dev.lonja.core.quantity.Quantity;

/**
 * One thing that belongs on a tray.
 *
 * @param place where it goes on the machine
 * @param walkOrder where its bin comes on the walk through the store
 * @param laid from zero to what is wanted
 */
public record TrayLine(
    long id,
    long itemId,
    String place,
    String note,
    int walkOrder,
    Quantity wanted,
    Quantity laid) {

  public Quantity missing() {
    return wanted.minus(laid);
  }

  public boolean isLaid() {
    return laid.equals(wanted);
  }
}
