package dev.lonja.core.cost;

import dev.lonja.core.quantity.Money;
import java.time.LocalDate;

/**
 * What a workshop elsewhere asks for a service, its work and material together.
 *
 * @param by who asks it
 * @param on when that was said
 */
public record Quote(Money price, String by, LocalDate on) {}
