package dev.lonja.core.pour;

import dev.lonja.core.fleet.CompartmentId;
import dev.lonja.core.quantity.Volume;
import java.time.LocalDate;

/** What was added to a compartment on a day, between two services. */
public record RecordedTopUp(CompartmentId compartmentId, LocalDate on, Volume volume) {}
