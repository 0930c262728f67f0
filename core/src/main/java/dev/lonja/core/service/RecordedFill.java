package dev.lonja.core.service;

import dev.lonja.core.fleet.FillCondition;
import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;

/** What was really poured into a compartment, as noted when a job came back. */
public record RecordedFill(
    long id,
    long compartmentId,
    long itemId,
    FillCondition condition,
    Volume volume,
    LocalDate day,
    String actor) {}
