package dev.lonja.core.waste;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TrayId;
import java.time.Instant;
import java.util.Optional;

/**
 * Something that was put into a container.
 *
 * @param tray whose job it comes from
 * @param from where it comes from, in words; may be empty
 * @param actor who put it in
 */
public record WasteEntry(
    WasteEntryId id,
    Instant at,
    Quantity quantity,
    Optional<TrayId> tray,
    String from,
    String actor) {}
