package dev.lonja.core.waste;

import dev.lonja.core.quantity.Quantity;
import dev.lonja.core.tray.TrayId;
import java.time.Instant;
import java.util.Optional;

/** An entry that is not stored yet; its parts are those of {@link WasteEntry}. */
public record NewWasteEntry(
    Instant at, Quantity quantity, Optional<TrayId> tray, String from, String actor) {}
