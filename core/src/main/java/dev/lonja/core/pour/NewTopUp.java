package dev.lonja.core.pour;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What was added to a compartment, before it is noted.
 *
 * @param signOffId the signature it needed, if it needed one
 * @param note a word about it; may be empty
 */
public record NewTopUp(
    CompartmentId compartmentId,
    ItemId itemId,
    Volume volume,
    LocalDate day,
    Optional<Long> signOffId,
    String note,
    String actor) {}
