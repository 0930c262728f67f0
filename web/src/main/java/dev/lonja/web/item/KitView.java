package dev.lonja.web.item;

import dev.lonja.core.tray.TrayId;
import dev.lonja.web.frame.Plate;
import java.util.List;

/**
 * A kit: what is in it, and what of a chosen service it covers.
 *
 * @param services that may be chosen, the current one marked
 * @param answer what came of the comparison, in a sentence; empty before a service is chosen
 */
record KitView(
    Plate plate,
    String description,
    String free,
    List<ContentRow> contents,
    List<ServiceChoice> services,
    String answer,
    List<LineRow> covered,
    List<LineRow> missing,
    List<LineRow> surplus,
    List<TrayChoice> trays) {

  /** Something in the kit; {@code stocked} is empty if it cannot be booked loose. */
  record ContentRow(Plate plate, String what, int quantity, String loose) {}

  /** A service of a variant. */
  record ServiceChoice(String value, String words, boolean current) {}

  /** A line of the job or of the kit. */
  record LineRow(String place, String number, String quantity) {}

  /** An open tray on which the kit may be laid. */
  record TrayChoice(TrayId id, String words) {}
}
