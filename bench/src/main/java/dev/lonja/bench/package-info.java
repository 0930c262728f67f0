/**
 * Benchmarks, and the large store they run on. Start with {@link dev.lonja.bench.LargeFleet}.
 * Nothing depends on this module; its figures are kept in {@code docs/benchmarks.md}.
 */
@NullMarked
package dev.lonja.bench;

import org.jspecify.annotations.NullMarked;
