package dev.lonja.store.fluid;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.UnitId;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.tray.TrayId;
import java.time.Instant;
import java.util.Optional;

/**
 * Somebody's signature for a fluid that the spec does not allow without a word.
 *
 * @param trayId the tray it was for, if it was for one
 * @param verdict what the rules said, in words, with the reasons
 * @param signedBy who answers for it
 * @param actor who entered it
 */
public record SignOff(
    UnitId unitId,
    CompartmentId compartmentId,
    ItemId itemId,
    Optional<TrayId> trayId,
    String verdict,
    String signedBy,
    String why,
    String actor,
    Instant at) {}
