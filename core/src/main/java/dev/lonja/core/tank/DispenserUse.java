package dev.lonja.core.tank;

import dev.lonja.core.fluid.ProductId;
import java.time.Instant;
import java.util.Optional;

/**
 * That a fluid went through a dispenser, or that it was cleaned.
 *
 * @param product empty for a cleaning
 * @param tray the number of the tray for which it was poured; empty for none
 */
public record DispenserUse(
    Optional<ProductId> product, String actor, Instant at, Optional<String> tray) {}
