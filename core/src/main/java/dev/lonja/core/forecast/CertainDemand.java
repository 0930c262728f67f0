package dev.lonja.core.forecast;

import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.wanted.WantedPart;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What somebody asks for whatever is planned: a wanted part, or a line of an open tray that no
 * service asks for.
 *
 * @param quantity more than nothing
 * @param place where it goes, in words; empty if that is not said
 */
public record CertainDemand(
    ItemId itemId,
    LocalDate date,
    Quantity quantity,
    Optional<String> unitCode,
    String place,
    Because because)
    implements Demand {

  /** Why it is wanted. */
  public sealed interface Because {
    /** An open tray waits for it. */
    record OnTray(String number, String title) implements Because {}

    /** It is wanted and on no tray. */
    record Wanted(WantedPart.Cause cause) implements Because {}
  }

  /** A wanted part that is on no tray. */
  public static CertainDemand of(WantedPart part, LocalDate today) {
    return new CertainDemand(
        part.itemId(),
        part.demandedOn(today),
        part.quantity(),
        part.unit().map(WantedPart.ForUnit::code),
        part.place(),
        new Because.Wanted(part.cause()));
  }
}
