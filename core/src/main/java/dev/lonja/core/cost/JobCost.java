package dev.lonja.core.cost;

import dev.lonja.core.fleet.UnitId;
import java.time.LocalDate;
import java.util.Optional;

/**
 * What one job cost.
 *
 * @param tray the number of the tray that went out for it
 * @param unitId empty for what the workshop used itself
 * @param day on which the tray went out
 * @param outside what its services would cost elsewhere
 */
public record JobCost(
    String tray,
    Optional<UnitId> unitId,
    String title,
    LocalDate day,
    Spent spent,
    Outside outside) {}
