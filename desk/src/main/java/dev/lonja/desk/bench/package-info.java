/**
 * Makes the simulated outside things do something. Start with {@link
 * dev.lonja.desk.bench.BenchDesk}.
 */
@NullMarked
package dev.lonja.desk.bench;

import org.jspecify.annotations.NullMarked;
