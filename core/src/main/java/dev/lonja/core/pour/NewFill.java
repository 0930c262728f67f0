package dev.lonja.core.pour;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What was really poured into a compartment, before it is noted.
 *
 * @param drained what ran out before, if somebody measured it
 * @param level how it stood then, if somebody read it
 */
public record NewFill(
    CompartmentId compartmentId,
    ItemId itemId,
    FillCondition condition,
    Volume volume,
    Optional<Volume> drained,
    Optional<FillLevel> level,
    LocalDate day,
    String actor) {}
