package dev.lonja.core.pour;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.item.ItemId;
import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;

/** What was really poured into a compartment, before it is noted. */
public record NewFill(
    CompartmentId compartmentId,
    ItemId itemId,
    FillCondition condition,
    Volume volume,
    LocalDate day,
    String actor) {}
