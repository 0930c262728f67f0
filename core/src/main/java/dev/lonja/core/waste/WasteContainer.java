package dev.lonja.core.waste;

import dev.lonja.core.quantity.Quantity;

/**
 * Where one stream is gathered.
 *
 * @param place where it stands; may be empty
 * @param leadDays calendar days from the call to the collection
 */
public record WasteContainer(
    ContainerId id,
    String name,
    WasteStream stream,
    Quantity capacity,
    String place,
    int leadDays) {

  /** The longest that a collector takes, in days. */
  public static final int MOST_LEAD = 365;
}
