/**
 * What a service takes: fluids, parts and seals, what comes in a box anyway, and a kit held against
 * it. Start with {@link dev.lonja.core.take.ServiceTake}.
 */
@NullMarked
package dev.lonja.core.take;

import org.jspecify.annotations.NullMarked;
